/** Equipment of some version, its shape not yet checked. */
type Raw = Readonly<Record<string, unknown>>;

const isObject = (raw: unknown): raw is Raw => typeof raw === 'object' && raw !== null && !Array.isArray(raw);

/** A head as it rested before heads could be geared: nothing was known of its gears, and its plate could be freed. */
export function headFromV1(raw: unknown): unknown {
  return isObject(raw) ? { plateLock: true, differential: null, ...raw } : raw;
}

/** Equipment as it rested before change gears were listed. */
export function equipmentFromV1(raw: unknown): unknown {
  if (!isObject(raw)) return raw;
  const { heads } = raw;
  return { gearSets: [], ...raw, heads: Array.isArray(heads) ? heads.map(headFromV1) : heads };
}
