/** Longest side of a picture as it is kept: fine enough for the engraving on a cutter held close. */
const LONGEST = 1600;
/** Tried in turn until a picture is small enough to be sent. */
const FINENESS = [0.85, 0.7, 0.5] as const;

/** A picture as it is sent: upright, no larger than it is looked at. */
export interface Shrunk {
  readonly width: number;
  readonly height: number;
  /** JPEG in base64. */
  readonly data: string;
}

/** The size a picture is kept at: its own where that is no larger. */
export function keptSize(width: number, height: number): { readonly width: number; readonly height: number } {
  const scale = Math.min(1, LONGEST / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

const base64Of = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => reject(new Error('it could not be read to its end'));
    reader.readAsDataURL(blob);
  });

/**
 * A photo made ready to be kept: turned as the camera says, made smaller, as JPEG.
 * @param most letters in base64
 * @throws a sentence where this browser can make no picture of the file
 */
export async function shrink(file: File, most: number): Promise<Shrunk> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error(`${file.name || 'That'} is no picture that this browser can read. Take a JPEG or PNG.`);
  });
  const { width, height } = keptSize(bitmap.width, bitmap.height);
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width, height });
  const pen = canvas.getContext('2d');
  // what is clear in a picture would come out black
  if (pen) pen.fillStyle = '#fff';
  pen?.fillRect(0, 0, width, height);
  pen?.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  for (const fineness of FINENESS) {
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', fineness));
    const data = blob ? await base64Of(blob) : '';
    if (data !== '' && data.length <= most) return { width, height, data };
  }
  throw new Error(`${file.name || 'That'} could not be made small enough to be kept.`);
}
