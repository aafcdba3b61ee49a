import { readCuttingSpeed, type Material } from '../shop/index.ts';
import {
  mmResult,
  unitTex,
  figureValue,
  lengthValue,
  textValue,
  type Caution,
  type Value,
  type Working,
} from '../station/index.ts';
import { approx, decimalText, lengthText, type UnitSystem } from '../units/index.ts';
import type { SetupRead } from './read.ts';
import type { SetupDetail, SetupWork } from './detail.ts';
import { CLEAR_BY } from './stroke.ts';
import { timeText, USUAL_INDEX_SECONDS, USUAL_RETURN_SECONDS } from './time.ts';

export const rpmText = (rpm: number): string => `${decimalText(rpm, rpm < 100 ? 1 : 0)} rpm`;
export const feedText = (feed: number, system: UnitSystem): string =>
  `${decimalText(system === 'mm' ? feed : feed / 25.4, system === 'mm' ? 1 : 2)} ${system}/min`;

/**
 * What a point of the rim moves at: m a minute, or feet a minute to a job in inches.
 * @param speed m a minute
 */
export const surfaceSpeedText = (speed: number, system: UnitSystem): string =>
  system === 'mm' ? `${decimalText(speed, 1)} m/min` : `${decimalText((speed * 1000) / 304.8, 0)} ft/min`;

/** The station in one line. */
export function answerOf({ data, stroke, sink, minutes, cutter }: SetupDetail, system: UnitSystem): string {
  const parts = [
    ...(data ? [rpmText(data.rpm)] : []),
    ...(data?.feed ? [feedText(data.feed, system)] : []),
    ...(stroke ? [`clear ${lengthText(stroke.approach, system)} off`] : []),
    ...(sink ? [`clear ${lengthText(sink.depth, system)} out`] : []),
    ...(minutes === null ? [] : [`about ${timeText(minutes)}`]),
  ];
  if (parts.length > 0) return parts.slice(0, 3).join(', ');
  return cutter.diameter === null ? 'waits for the cutter’s size' : 'waits for material and face';
}

/** Speeds and feeds are starting figures: a twentieth either way changes nobody’s mind. Common practice. */
const TWENTIETH = 0.05;

export function valuesOf(detail: SetupDetail, system: UnitSystem): Value[] {
  const { data, stroke, sink, thrust, minutes, outside, round } = detail;
  const values: Value[] = [];
  if (data)
    values.push(
      figureValue({
        naming: { key: 'rpm', label: 'Spindle', settles: true },
        text: rpmText(data.rpm),
        figure: {
          is: data.rpm,
          within: TWENTIETH * data.rpm,
          unit: 'rpm',
        },
      }),
    );
  if (data?.feed)
    values.push(
      figureValue({
        naming: { key: 'feed', label: 'Feed', settles: true },
        text: feedText(data.feed, system),
        figure: { is: data.feed, within: TWENTIETH * data.feed, unit: 'mm/min' },
        at: feedText(data.feed, 'mm'),
      }),
    );
  if (stroke) {
    values.push(lengthValue({ key: 'approach', label: 'Approach', settles: true }, stroke.approach));
    values.push(lengthValue({ key: 'through', label: 'Through at' }, stroke.through));
    values.push(lengthValue({ key: 'clear-after', label: 'Clear past the far side at' }, stroke.clearAfter));
    values.push(lengthValue({ key: 'travel', label: 'Travel for each cut' }, stroke.travel[detail.indexAt]));
  }
  if (sink)
    values.push(lengthValue({ key: 'out', label: 'Clear when drawn out by', settles: true }, sink.depth));
  if (outside !== null)
    values.push(
      textValue(
        { key: 'push', label: 'The cut pushes', settles: true },
        `${thrust.toward}, to the ${thrust.toHead ? 'head' : 'tailstock'}`,
      ),
    );
  if (round) values.push(lengthValue({ key: 'runout', label: 'Runout', settles: true }, round.runout));
  if (minutes !== null)
    values.push(textValue({ key: 'time', label: 'For the whole job' }, timeText(minutes)));
  return values;
}

interface With {
  readonly work: SetupWork;
  readonly read: SetupRead;
  readonly material: Material | null;
}

export function workingOf(detail: SetupDetail, { read, material }: With): Working[] {
  const { data, cutter, stroke, sink, depth, helixDeg, round, outside } = detail;
  const f = (value: number, places = 3) => decimalText(value, places);
  const lines: Working[] = [];
  const push = ({
    key,
    label,
    formula,
    put,
    result,
    source,
  }: {
    readonly key: string;
    readonly label: string;
    readonly formula: string;
    readonly put: string;
    readonly result: string;
    readonly source: string;
  }) => lines.push({ key, label, formula, put, result, source });
  const speed = material ? readCuttingSpeed(material.speed) : null;
  if (data && cutter.diameter !== null && speed?.ok) {
    push({
      key: 'rpm',
      label: 'Spindle speed',
      formula: 'n = \\frac{1000\\,v}{\\pi D}',
      put: `\\frac{1000 \\times ${f(approx(speed.value), 1)}}{\\pi \\times ${f(cutter.diameter)}}`,
      result: `${f(data.rpmWanted, 1)} \\rightarrow ${f(data.rpm, 1)}\\ \\mathrm{rpm}`,
      source: 'cutting-speed formula, Machinery’s Handbook; the step at or below it',
    });
    if (data.feedWanted !== null)
      push({
        key: 'feed',
        label: 'Feed',
        formula: 'F = n\\,z_c\\,f_z',
        put: `${f(data.rpm, 1)} \\times ${cutter.teeth} \\times ${f(data.feedWanted / data.rpm / cutter.teeth!)}`,
        result: `${f(data.feedWanted, 1)} \\rightarrow ${f(data.feed!, 1)}\\ \\mathrm{mm/min}`,
        source: 'feed per tooth, Machinery’s Handbook; the step at or below it',
      });
  }
  if (stroke && depth !== null && cutter.diameter !== null) {
    const straight = helixDeg === 0;
    push({
      key: 'approach',
      label: 'Approach',
      formula: straight
        ? 'a = \\sqrt{h(D-h)}'
        : 'a = \\sqrt{h(D-h)}\\,\\cos\\beta + \\tfrac{w}{2}\\sin\\beta',
      put: `\\sqrt{${f(depth)}(${f(cutter.diameter)} - ${f(depth)})}${straight ? '' : `\\cos ${f(helixDeg, 2)}^\\circ + ${f((cutter.width ?? 0) / 2)}\\sin ${f(helixDeg, 2)}^\\circ`}`,
      ...mmResult(stroke.approach, 3),
      source: 'half the chord of the cutter at that depth',
    });
  }
  const { firstTouch } = detail;
  if (stroke && firstTouch !== null && firstTouch >= 0.005)
    push({
      key: 'first-touch',
      label: 'The table, where the first cut touches',
      formula: 'a - a_1',
      put: `${f(stroke.approach)} - ${f(stroke.approach - firstTouch)}`,
      ...mmResult(firstTouch, 3),
      source: 'the approach at full depth, less that of the first round',
    });
  if (stroke && detail.face !== null)
    push({
      key: 'clear',
      label: 'Clear on the far side, from the first touch',
      formula: '2a + b',
      put: `2 \\times ${f(stroke.approach)} + ${f(detail.face)}`,
      ...mmResult(stroke.clearAfter, 3),
      source: 'the approach on either side, and the face between',
    });
  if (sink)
    push({
      key: 'out',
      label: 'Clear when drawn out by',
      formula: 'h',
      put: f(sink.depth),
      ...mmResult(sink.depth, 3),
      source: 'the depth on the dial, from the touch: the Wheel station',
    });
  const travel = stroke ? stroke.travel[detail.indexAt] : sink && sink.depth + CLEAR_BY;
  if (travel !== null && detail.minutes !== null && data?.feed) {
    const seconds = (read.returnSeconds ?? USUAL_RETURN_SECONDS) + (read.indexSeconds ?? USUAL_INDEX_SECONDS);
    const perCut = travel / data.feed + seconds / 60;
    push({
      key: 'time',
      label: 'Time for all cuts',
      formula: 'N\\left(\\frac{s}{F} + t\\right)',
      put: `${f(detail.minutes / perCut, 0)} \\left(\\frac{${f(travel)}}{${f(data.feed, 1)}} + \\frac{${seconds}}{60}\\right)`,
      result: unitTex(detail.minutes, 'min', 0),
      source: 'feed, return and indexing of each; common practice',
    });
  }
  const chosen = detail.centrings.find(({ by }) => by === detail.centring);
  if (chosen?.move && chosen.formula && outside !== null && cutter.width !== null)
    push({
      key: 'centre',
      label: 'Move to the middle',
      formula: chosen.formula,
      put: chosen.formula
        .replace('D', f(outside))
        .replace('w', f(cutter.width))
        .replace('t', f(read.paper ?? 0))
        .replace('H', f(chosen.move - cutter.width / 2)),
      ...mmResult(chosen.move, 3),
      source: 'geometry of the touch',
    });
  if (round)
    push({
      key: 'eccentric',
      label: 'Off the middle',
      formula: `e = \\frac{2}{n}\\left|\\sum r_i\\,e^{i\\theta_i}\\right|`,
      put: `\\frac{2}{${round.readings.length}} \\times ${f((round.off * round.readings.length) / 2, 4)}`,
      ...mmResult(round.off, 4),
      source: 'least squares: the circle that lies best through the readings',
    });
  return lines;
}

const DEFER = 'Your machine’s manual, your school’s or shop’s rules and local codes come first.';

export function cautionsOf(detail: SetupDetail, system: UnitSystem): Caution[] {
  const { stroke, sink, thrust, reasons, indexAt } = detail;
  const along = detail.travels === 'cross slide';
  const sooner = along ? 'Moved on any sooner' : 'Turned any sooner';
  const cautions: Caution[] = [];
  if (along)
    cautions.push({
      code: 'arbor-along',
      when: 'The arbor',
      text: 'lies along the table, on an attachment for racks or a head turned so: the cutter has to turn in line with the cross slide that feeds it. On an arbor across the table the bar lies across as well; then the cross slide divides and the table feeds, and these readings are of the wrong screws.',
    });
  if (stroke) {
    const at = lengthText(indexAt === 'entry' ? 0 : stroke.clearAfter, system);
    cautions.push({
      code: 'index-clear',
      when: 'Before indexing',
      text:
        indexAt === 'entry'
          ? `run back past the first touch, ${lengthText(stroke.approach, system)} before the face. ${sooner}, the work gouges itself on the cutter.`
          : `run on to ${at} past the first touch. ${sooner}, the cutter nicks the next land.`,
    });
  }
  if (sink)
    cautions.push({
      code: 'index-clear',
      when: 'Before indexing',
      text: `draw the work back past the touch, ${lengthText(sink.depth, system)} out of the bottom. Turned any sooner, the work gouges itself on the cutter.`,
    });
  if (thrust.climb && !sink)
    cautions.push({
      code: 'climb',
      when: 'Climb',
      text: 'the cutter pulls the table along. With slack in the screw it snatches, breaks the cutter and throws the work.',
    });
  if (reasons.some(({ key, against }) => key === 'key' && against))
    cautions.push({
      code: 'creep',
      when: 'No key',
      text: 'a blank that creeps on its mandrel leaves half a tooth at the end: key or pin it.',
    });
  cautions.push({
    code: 'setup-hands',
    when: 'Setting up',
    text: `spindle stopped while anything is measured, clamped or brushed. ${along ? 'Lock the table before a cut.' : 'Lock the head before a cut; drop the worm or pull the direct pin, never both engaged.'} Eye protection; guards stay where they belong. ${DEFER}`,
  });
  return cautions;
}
