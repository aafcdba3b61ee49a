/**
 * inv φ = tan φ − φ.
 * @param angle radians, 0 ≤ φ < π/2
 * Source: ISO 21771; docs/sources.md#involute
 */
export function involute(angle: number): number {
  return Math.tan(angle) - angle;
}

/**
 * Half the angle a tooth takes up at a radius, measured at the gear's centre.
 * @param radius mm, ≥ base radius
 * @param baseRadius mm @param pitchRadius mm @param pressureAngle radians
 * @param toothThickness mm along the pitch circle
 * @returns radians; 0 or less where the tooth has come to a point
 * Source: s_y/2r_y = s/2r + inv α − inv φ_y, ISO 21771
 */
export function toothHalfAngle({
  radius,
  baseRadius,
  pitchRadius,
  pressureAngle,
  toothThickness,
}: {
  readonly radius: number;
  readonly baseRadius: number;
  readonly pitchRadius: number;
  readonly pressureAngle: number;
  readonly toothThickness: number;
}): number {
  const angleAtRadius = Math.acos(Math.min(1, baseRadius / radius));
  return toothThickness / (2 * pitchRadius) + involute(pressureAngle) - involute(angleAtRadius);
}
