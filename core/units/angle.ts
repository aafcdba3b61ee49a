/** An angle in radians. @param degrees any size and sign */
export const radiansOf = (degrees: number): number => (degrees * Math.PI) / 180;

/** An angle in degrees. @param radians any size and sign */
export const degreesOf = (radians: number): number => (radians * 180) / Math.PI;
