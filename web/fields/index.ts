export { HANDS, PITCH_UNITS } from './choices.ts';
export { ChoiceField, EitherField } from './ChoiceField.tsx';
export { echoAngle, echoLength, echoPitch } from './echo.ts';
export { LengthField } from './LengthField.tsx';
export { Gears } from './Gears.tsx';
export { Length } from './Length.tsx';
export { MeasureField } from './MeasureField.tsx';
export { Symbol } from './Symbol.tsx';
export { HandAsk } from './HandAsk.tsx';
