/** Which way teeth or a thread lean. */
export const HANDS = [
  { value: 'left', label: 'left-hand' },
  { value: 'right', label: 'right-hand' },
] as const;

/** The units a bare pitch may be meant in. */
export const PITCH_UNITS = [
  { value: 'module', label: 'module' },
  { value: 'dp', label: 'DP' },
] as const;
