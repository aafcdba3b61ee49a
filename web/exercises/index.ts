export { ClassesPage } from './ClassesPage.tsx';
export { ClassPage } from './ClassPage.tsx';
export { ExercisesPage } from './ExercisesPage.tsx';
export { SheetPage } from './SheetPage.tsx';
export { TellClass } from './TellClass.tsx';
