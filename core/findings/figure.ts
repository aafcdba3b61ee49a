/** A length that gets its words when it is told: mm, whose units come first, how fine. */
export interface ToldLength {
  readonly mm: number;
  readonly units: 'mm' | 'in';
  /** `both` has the other unit beside it. */
  readonly finish: 'shop' | 'fine' | 'both';
}

/** A length to be told. @param mm any finite @param units of who reads it */
export const toldLength = (
  mm: number,
  units: ToldLength['units'],
  finish: ToldLength['finish'] = 'shop',
): ToldLength => ({ mm, units, finish });
