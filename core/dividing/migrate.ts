type Raw = Readonly<Record<string, unknown>>;
const isObject = (raw: unknown): raw is Raw => typeof raw === 'object' && raw !== null && !Array.isArray(raw);

/** A choice as it rested when only counts were divided, and always exactly. */
export function choiceFromV2(raw: unknown): unknown {
  if (!isObject(raw)) return raw;
  const { divisions, ...rest } = raw;
  return { ...rest, advance: divisions === 1 ? '1' : `1/${String(divisions)}`, exact: true };
}

/** The dividing station's own fields as they rested before block order and made plates. */
export function dividingFromV2(raw: unknown, units: 'mm' | 'in'): unknown {
  if (!isObject(raw)) return raw;
  return {
    ...raw,
    millId: null,
    choice: choiceFromV2(raw['choice']),
    stride: { typed: '1', unit: 'count' },
    made: {
      use: 'ring',
      pitchCircle: { typed: units === 'mm' ? '100' : '4', unit: units },
      holeSize: { typed: units === 'mm' ? '3' : '1/8', unit: units },
      startAngle: { typed: '0', unit: 'deg' },
      holeError: { typed: units === 'mm' ? '0.02' : '.001', unit: units },
    },
  };
}

/** How a cut of an old run was come to: the move was the same each time, and the hole was kept. */
export function landingFromV2(move: unknown, hole: unknown): unknown {
  const { turns, spaces } = isObject(move) ? move : {};
  return { on: 'plate', turns, spaces, hole };
}
