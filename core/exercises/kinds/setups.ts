import { stationOf } from '../../plan/index.ts';
import { countField, figureField, lengthField, type JudgedField } from '../figure.ts';
import { figureAt, workingAt } from '../school.ts';
import type { Drawn } from '../types.ts';
import { lengthGiven, posed } from './drawn.ts';

import { DEPTHS } from './depths.ts';
import { drawSetup, MILL } from './drawnSetup.ts';

const speed: Drawn = {
  topic: 'setup',
  title: 'Speed of the cutter',
  pose: (chance, level) => {
    const { part, cutter, material } = drawSetup(chance, level);
    const data = stationOf(part, 'setup')!.detail.data!;
    const beside = data.beside.map(({ rpm }) => rpm);
    const metres = Number(/[\d.]+/.exec(material.speed)![0]);
    const steps = MILL!.speeds.split(' ').map(Number);
    const snapped = (rpm: number) => [...steps].reverse().find((step) => step <= rpm) ?? steps[0]!;
    return posed({
      asks: 'Which of the mill’s speeds is set?',
      given: [
        { label: 'Cutter', text: `Ø ${cutter.diameter} mm, high-speed steel` },
        { label: material.name, text: material.speed },
        { label: 'The mill has', text: `${MILL!.speeds} rpm` },
      ],
      fields: [
        countField({
          key: 'rpm',
          label: 'Speed',
          unit: 'rpm',
          truth: data.rpm,
          slips: [
            ...beside
              .filter((rpm) => rpm > data.rpm)
              .map((gives) => ({
                gives,
                says: 'That step is above what is wanted: too slow costs minutes, too fast costs the cutter.',
              })),
            {
              gives: Math.round(data.rpmWanted),
              says: 'That is what is wanted; the mill has it only in steps. Take the next below.',
            },
            {
              gives: snapped((1000 * metres) / (Math.PI * (cutter.diameter / 2))),
              says: 'Round the diameter, not the radius.',
            },
            {
              gives: snapped((1000 * metres) / cutter.diameter),
              says: 'π is missing: the girth of the cutter, not its diameter.',
            },
          ],
        }),
      ],
      hint: 'A thousand times the cutting speed, over the girth of the cutter; then the next step below.',
      working: workingAt(part, 'setup', 'rpm'),
    });
  },
};

const feed: Drawn = {
  topic: 'setup',
  title: 'Feed of the table',
  pose: (chance, level) => {
    const { part, cutter, material } = drawSetup(chance, level);
    const data = stationOf(part, 'setup')!.detail.data!;
    if (data.feedWanted === null || data.rpm === data.rpmWanted) return null;
    const chip = Number(material.chipLoad.typed);
    const figure = (truth: number): JudgedField =>
      figureField({
        key: 'feed',
        label: 'Feed',
        reads: 'number',
        units: 'mm',
        unit: 'mm a minute',
        truth,
        within: Math.max(0.5, truth * 0.006),
        answer: truth.toFixed(0),
        slips: [
          {
            gives: data.rpmWanted * cutter.teeth * chip,
            says: 'The speed that the mill turns at, not the one that was wanted.',
          },
          { gives: data.rpm * chip, says: 'Each tooth takes its chip: times the teeth of the cutter.' },
          { gives: data.rpm * cutter.teeth, says: 'The chip of a tooth is left out.' },
        ],
      });
    return posed({
      asks: 'What feed does that make, before it is set to the next step?',
      given: [
        { label: 'Turns', text: `${data.rpm} rpm` },
        { label: 'Cutter', text: `${cutter.teeth} teeth` },
        { label: 'Chip of a tooth', text: `${chip} mm` },
      ],
      fields: [figure(data.feedWanted)],
      hint: 'Turns a minute, times the teeth, times what each tooth takes.',
      working: workingAt(part, 'setup', 'feed'),
    });
  },
};

const centring: Drawn = {
  topic: 'setup',
  title: 'To the middle from a touch',
  pose: (chance, level) => {
    const by = level === 3 ? chance.one(['touch', 'far'] as const) : 'touch';
    const { part, cutter, paper } = drawSetup(chance, level, { centring: by });
    const detail = stationOf(part, 'setup')!.detail;
    const found = detail.centrings.find((one) => one.by === by)!;
    const outside = figureAt(part, 'blank', 'tipDiameter');
    if (found.move === null) return null;
    const over = by === 'touch' ? paper : 0;
    const half = outside / 2;
    const says = {
      touch: `The near face of the cutter touches the side of the work${paper > 0 ? ' through the paper' : ''}.`,
      far: 'The far face of the cutter is level with the side of the work, by a parallel laid across.',
    }[by];
    return posed({
      asks: `${says} How far is the cross screw moved, to bring the cutter over the middle?`,
      given: [
        lengthGiven('Outside of the blank', outside, 'mm'),
        { label: 'Width of the cutter', text: `${cutter.width} mm` },
        ...(over > 0 ? [{ label: 'Paper', text: `${over} mm` }] : []),
      ],
      fields: [
        lengthField({
          key: 'move',
          label: 'Move',
          units: 'mm',
          truth: found.move,
          slips: [
            ...(over > 0
              ? [
                  { gives: found.move - over, says: 'The paper is left out.' },
                  { gives: found.move - 2 * over, says: 'The paper is added, not taken off.' },
                ]
              : []),
            {
              gives: half + cutter.width + over,
              says: 'Half the cutter’s width, not all of it: its middle goes to the middle.',
            },
            { gives: half + over, says: 'To the middle of the cutter half its width is missing.' },
            {
              gives: by === 'touch' ? half - cutter.width / 2 + over : half + cutter.width / 2,
              says:
                by === 'touch'
                  ? 'That is for the far face: from a touch with the near one, half the width is added.'
                  : 'That is for a touch with the near face: with the far one level, half the width comes off.',
            },
            { gives: outside + cutter.width / 2 + over, says: 'Half the blank, not all of it.' },
          ],
        }),
      ],
      hint: 'From the face that was set to the middle of the cutter, and from the side of the work to its middle.',
      working: workingAt(part, 'setup', 'centre'),
    });
  },
};

const clear: Drawn = {
  topic: 'setup',
  title: 'Where the cutter is clear',
  pose: (chance, level) => {
    const { part, cutter } = drawSetup(chance, level);
    const depth = figureAt(part, 'gear', 'wholeDepth');
    const truth = figureAt(part, 'setup', 'approach');
    return posed({
      asks: 'From where the cutter first touches, how far must the table travel until it cuts at full depth, and so how far back is it clear before the work is turned?',
      given: [lengthGiven('Depth', depth, 'mm', true), { label: 'Cutter', text: `Ø ${cutter.diameter} mm` }],
      fields: [
        lengthField({
          key: 'approach',
          label: 'Approach',
          units: 'mm',
          truth,
          slips: [
            {
              gives: Math.sqrt(depth * cutter.diameter),
              says: 'The depth comes off the diameter: √(h·(D − h)).',
            },
            {
              gives: Math.sqrt(depth * (cutter.diameter / 2 - depth)),
              says: 'With the diameter, not the radius.',
            },
            {
              gives: cutter.diameter / 2,
              says: 'That is half the cutter: safe, but it cuts at full depth much earlier.',
            },
            { gives: depth * (cutter.diameter - depth), says: 'The root is left out.' },
          ],
        }),
      ],
      hint: 'Half a chord of the cutter, as far from its edge as the cut is deep.',
      working: workingAt(part, 'setup', 'approach'),
    });
  },
};

export const SETUPS = { speed, feed, centring, clear, ...DEPTHS };
