export { Pictures } from './Pictures.tsx';
export { PrintedPictures } from './PrintedPictures.tsx';
export { usePicturesAt } from './usePictures.ts';
