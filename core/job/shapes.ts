/**
 * The literal shapes that the steps of a job's document write, each as it was in the version it is named by.
 * Never changed and calling nothing that lives on: what an empty set-up becomes later changes nothing of what
 * an old file meant.
 */

type System = 'mm' | 'in';

/** A figure that nobody typed yet. */
export const empty = (unit: string) => ({ typed: '', unit });

export const cutterV4 = () => ({
  cutterId: null,
  countBy: 'disk',
  continuation: 'trochoid',
  scale: { typed: '20', unit: 'count' },
});

/** A spur gear of nominal teeth, no mate known. */
export const teethV4 = (units: System) => ({
  helix: empty('deg'),
  hand: 'right',
  thinning: empty(units),
  mate: { teeth: empty('count'), centre: empty(units), backlash: empty(units) },
});

/** The pitch is the normal one, the angle is given as such. */
export const planesV5 = (units: System) => ({
  pitchPlane: 'normal',
  otherPitch: empty(units === 'mm' ? 'module' : 'dp'),
  helixFrom: 'angle',
  lead: empty(units),
});

/** Shafts side by side. */
export const shaftsV5 = () => ({
  shafts: 'parallel',
  helix: empty('deg'),
  hand: 'right',
  shaftAngle: empty('deg'),
});

export const leadV5 = (units: System) => ({
  gearSetId: null,
  drive: 'worm',
  choice: null,
  sixGears: false,
  allowed: empty(units),
  setUp: 'table',
  side: 'near',
  give: { angle: { typed: '1', unit: 'deg' }, centre: empty(units), diameter: empty(units) },
});

export const inspectionV6 = (units: System) => ({
  pin: empty(units),
  tolerance: empty(units),
  outside: empty(units),
  depth: empty(units),
  chordal: empty(units),
  span: empty(units),
  pins: empty(units),
  runout: empty(units),
});

export const setupV7 = (units: System) => ({
  materialId: null,
  cutterDiameter: empty(units),
  cutterWidth: empty(units),
  cutterTeeth: empty('count'),
  face: empty(units),
  outside: empty(units),
  holding: 'mandrel',
  mandrelId: null,
  keyed: false,
  blanks: { typed: '1', unit: 'count' },
  kerf: empty(units),
  headAt: 'left',
  spin: 'clockwise',
  side: 'behind',
  feed: 'right',
  indexAt: 'entry',
  offset: empty(units),
  jawGap: empty(units),
  jawDiameter: empty(units),
  tailGap: empty(units),
  tailDiameter: empty(units),
  centring: 'touch',
  paper: empty(units),
  alongLength: empty(units),
  alongTop: empty(units),
  alongSide: empty(units),
  round: empty(units),
  speedSet: empty('count'),
  feedSet: empty(units),
  returnSeconds: empty('count'),
  indexSeconds: empty('count'),
  keyWidth: empty(units),
  keyCutter: empty(units),
  keyDepth: empty(units),
});
