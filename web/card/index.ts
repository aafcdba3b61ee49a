export { CardPage } from './CardPage.tsx';
export { NewJobPage } from './NewJobPage.tsx';
