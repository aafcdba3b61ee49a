export { copiesOf, copyStore, isCopyDue, thinCopies, troubleIn, type CopyRule } from './copies.ts';
export { lockStore, type StoreLock } from './lock.ts';
export { lookBeforeOpening, needFolder, takeCopy } from './opening.ts';
