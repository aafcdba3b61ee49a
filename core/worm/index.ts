export { findLatheGears, PI_STAND_INS, type Lathe, type LatheWay } from './lathe.ts';
export { flatAndCrest, WORM_SCHOOLS, type WormProportions } from './proportions.ts';
export { USUAL_FACE_ANGLE, wheelCutAs, wheelSizes, type WheelSizes } from './wheel.ts';
export {
  axialFromNormal,
  likelySelfLocking,
  USUAL_FRICTION,
  wormForCentre,
  wormSizes,
  type Worm,
  type WormSizes,
} from './worm.ts';
