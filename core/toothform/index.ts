export { actingFlank, fitButtons, type TwoButtons } from './buttons.ts';
export { diskErrors, virtualTeeth, type HelicalCut } from './disk.ts';
export { formErrors, type FlankError, type FormErrors } from './formError.ts';
export { gearOutline, toothFlank, toothOutline } from './outline.ts';
export { rootRadius, spaceOf, spaceSide, tipRadius, type Continuation, type ToothForm } from './space.ts';
export {
  CHECK_BAR,
  FRONT_RELIEF,
  readScale,
  SIDE_RELIEF,
  checkBar,
  templateLine,
  templateOf,
  type Template,
  type TemplateSize,
} from './template.ts';
