import type { DriveFacts } from '../drive/index.ts';
import { trainText } from '../gearing/index.ts';
import {
  mmResult,
  unitTex,
  figureValue,
  lengthValue,
  pitchValue,
  textValue,
  type Value,
  type Working,
} from '../station/index.ts';
import { approx, decimalText, exact, exactText, type Exact } from '../units/index.ts';
import type { Lathe, LatheWay } from './lathe.ts';
import type { LatheDetail } from './latheDetail.ts';

export const wayText = ({ setting, train }: LatheWay): string =>
  [setting && `box ${setting}`, train ? trainText(train) : 'gears one to one']
    .filter((part) => part !== '')
    .join(', ');

/**
 * Turns of the leadscrew after which a thread dial may still be waited for. Common practice: the largest
 * dials count so many.
 */
const DIAL_TURNS = 32;

/**
 * May the half-nuts be opened? Thread and leadscrew stand as at the start only after so many turns of the
 * screw as the lead has leadscrew pitches, in lowest terms.
 */
export function halfNuts({ leadscrew }: Lathe, { leadText }: LatheWay): string {
  const turns = exact(leadText).div(leadscrew).n;
  const back = 'keep the half-nuts shut and run the lathe back in reverse, the tool drawn out.';
  return turns > BigInt(DIAL_TURNS)
    ? `${back} No mark of a thread dial comes round for such a pitch: opened once, the next pass cuts another thread.`
    : `${back} Thread and leadscrew meet again only after every ${turns} turn${turns === 1n ? '' : 's'} of the leadscrew: opened and closed anywhere else, the next pass cuts another thread.`;
}

/** `3 µm long`, over the length engaged. */
export function astrayText(um: number): string {
  const size = Math.abs(um);
  if (size < 0.05) return 'too little to tell';
  return `${decimalText(size, size < 10 ? 1 : 0)} µm ${um > 0 ? 'long' : 'short'}`;
}

export function valuesOf({ lead, engaged, byStarts, lathe }: LatheDetail, way: LatheWay): Value[] {
  return [
    textValue({ key: 'lathe', label: 'Lathe', settles: true }, lathe!.name),
    pitchValue({ key: 'wanted', label: 'Lead wanted', symbol: 'p_z', settles: true }, lead!),
    ...(way.setting ? [textValue({ key: 'setting', label: 'Box at', settles: true }, way.setting)] : []),
    textValue(
      { key: 'train', label: 'Gears, driver : driven', settles: true },
      way.train ? trainText(way.train) : 'one to one',
    ),
    lengthValue({ key: 'lead', label: 'Lead they cut' }, exact(way.leadText)),
    lengthValue({ key: 'engaged', label: 'Engaged length' }, engaged!),
    figureValue({
      naming: { key: 'astray', label: 'Over that length', settles: true },
      text: astrayText(way.overLength),
      figure: {
        is: way.overLength,
        within: 2,
        unit: 'µm',
      },
    }),
    ...(byStarts
      ? [
          textValue(
            { key: 'starts', label: 'Next start', settles: true },
            byStarts.name.replace(/^By /, 'by '),
          ),
        ]
      : []),
  ];
}

export function workingOf({
  lathe,
  way,
  driveFacts: {
    worm: { lead },
    wheelDiameter,
    addendum,
  },
  engaged,
}: {
  readonly lathe: Lathe;
  readonly way: LatheWay;
  readonly driveFacts: DriveFacts;
  readonly engaged: number;
}): Working[] {
  const ratio: Exact = lathe.box.find(({ name }) => name === way.setting)?.ratio ?? exact(1);
  const gears = way.train ? trainText(way.train).replace(/ : /g, '/').replace(/, /g, '\\times ') : '1';
  return [
    {
      key: 'cut',
      label: 'Lead these gears cut',
      formula: "p' = p_s \\times \\text{box} \\times \\frac{\\text{drivers}}{\\text{drivens}}",
      put: `${decimalText(lathe.leadscrew, 4)} \\times ${exactText(ratio)} \\times ${gears}`,
      ...mmResult(approx(exact(way.leadText)), 6),
      source: 'common practice; by the motion of the gears',
    },
    {
      key: 'off',
      label: 'Off, in a million',
      formula: "\\frac{p'}{p_z} - 1",
      put: `\\frac{${decimalText(way.lead, 6)}}{${decimalText(lead, 6)}} - 1`,
      result: `${decimalText(way.ppm, 2)}\\times 10^{-6}`,
      source: 'by geometry',
    },
    {
      key: 'engaged',
      label: 'Length the wheel reaches over',
      formula: '4\\sqrt{\\tfrac{d_2}{2} h_a}',
      put: `4\\sqrt{\\tfrac{${decimalText(wheelDiameter, 3)}}{2} \\times ${decimalText(addendum, 4)}}`,
      ...mmResult(engaged, 3),
      source: 'chord of the throat circle, by geometry',
    },
    {
      key: 'astray',
      label: 'Astray over it',
      formula: "\\Delta = l\\left(\\frac{p'}{p_z} - 1\\right)",
      put: `${decimalText(engaged, 3)} \\times ${decimalText(way.ppm, 2)}\\times 10^{-6}`,
      result: unitTex(way.overLength, '\u00b5m', 2),
      source: 'by geometry',
    },
  ];
}
