/** Most letters of a picture as it is sent, in base64: some 1.3 MB of JPEG. */
export const MOST_PICTURE = 1_800_000;
/** Pictures with one job, run or thing of the shop. */
export const MOST_PICTURES = 60;
