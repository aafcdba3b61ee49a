export { PURPOSES, type Term } from './purposes.ts';
export { boardTex, degreesTex, mmResult, mmTex, unitTex } from './board.ts';
export { breaksMachine, wordsOf } from './caution.ts';
export {
  answerToSettle,
  giveText,
  settledByStationSchema,
  stateOf,
  whatMoved,
  type Settled,
  type SettledByStation,
} from './settled.ts';
export {
  STATION_IDS,
  STATIONS,
  type Caution,
  type FigureOfText,
  type Moved,
  type Placed,
  type StationId,
  type StationState,
  type StationWork,
  type Value,
  type Working,
} from './station.ts';
export { angleValue, figureValue, lengthValue, pitchValue, textValue } from './values.ts';
