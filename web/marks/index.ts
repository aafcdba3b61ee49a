export { MarksDialog } from './MarksDialog.tsx';
