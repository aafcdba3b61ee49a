export {
  contentOf,
  FILE_NAMES,
  FILE_TYPES,
  filesOf,
  formatOf,
  type FileAsked,
  type FileContent,
  type FileFormat,
  type FileName,
} from './content.ts';
export { fileSetSchema, type FileSet, type FileSetTyped } from './set.ts';
export { FORMULA } from './harmless.ts';
