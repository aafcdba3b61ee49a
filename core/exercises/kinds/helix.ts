import { findLeadTrains, leadOf } from '../../lead/index.ts';
import { tableOfGears, trainText, TWELVE_GEARS, type Train } from '../../gearing/index.ts';
import { stationOf } from '../../plan/index.ts';
import { angleText, approx, exact, measure } from '../../units/index.ts';
import { angleField, choiceField, lengthField, type JudgedField } from '../figure.ts';
import { lackingGear, SCHOOL_GEARS } from '../owned.ts';
import { figureAt, planSpur, workingAt, type GivenGear } from '../school.ts';
import type { Chance } from '../chance.ts';
import type { Drawn, Level, Verdict } from '../types.ts';
import { line, posed } from './drawn.ts';

const ANGLES: Readonly<Record<Level, readonly string[]>> = {
  1: ['15', '20', '30'],
  2: ['12', '15', '18', '22.5', '25', '30'],
  3: ['7.5', '14', '17.5', '23', '27.5', '35'],
};
type Hand = 'right' | 'left';

function drawHelical(chance: Chance, level: Level) {
  const teeth = chance.whole(16, 48);
  const pitch = chance.one(['1', '1.5', '2', '2.5']);
  const angle = chance.one(ANGLES[level]);
  const hand: Hand = level === 1 ? 'right' : chance.one(['right', 'left']);
  const gear: GivenGear = {
    units: 'mm',
    pitch,
    teeth,
    change: (part) => ({ ...part, gear: { ...part.gear, helix: measure(angle, 'deg'), hand } }),
  };
  const part = planSpur(gear);
  const given = [
    { label: 'Teeth', text: String(teeth) },
    { label: 'Normal module', text: pitch },
    { label: 'Helix angle', text: `${angle}° ${hand} hand` },
  ];
  return { part, plain: planSpur({ units: 'mm', pitch, teeth }), given, angle: Number(angle), hand };
}

const RAD = Math.PI / 180;

const outside: Drawn = {
  topic: 'helix',
  title: 'Blank of a helical gear',
  pose: (chance, level) => {
    const { part, plain, given, angle } = drawHelical(chance, level);
    const pitchDiameter = figureAt(part, 'gear', 'pitchDiameter');
    const straight = figureAt(plain, 'blank', 'tipDiameter');
    const addendum = figureAt(part, 'gear', 'addendum');
    return posed({
      asks: 'To what diameter is the blank of this helical gear turned?',
      given,
      fields: [
        lengthField({
          key: 'outside',
          label: 'Outside diameter',
          units: 'mm',
          truth: figureAt(part, 'blank', 'tipDiameter'),
          slips: [
            {
              gives: straight,
              says: 'That is a gear of straight teeth: leaning teeth take more room round it.',
            },
            { gives: pitchDiameter, says: 'That is the pitch diameter: the teeth stand out beyond it.' },
            {
              gives: straight / Math.cos(angle * RAD),
              says: 'Only the pitch diameter grows; the teeth are no higher for leaning.',
            },
            {
              gives: (straight - 2 * addendum) * Math.cos(angle * RAD) + 2 * addendum,
              says: 'Divided by the cosine, not times it.',
            },
          ],
        }),
      ],
      hint: 'The pitch diameter is teeth times module over the cosine of the angle; the addenda stay as they are.',
      working: [...workingAt(part, 'gear', 'pitchDiameter'), ...workingAt(part, 'blank', 'tipDiameter')],
    });
  },
};

const lead: Drawn = {
  topic: 'helix',
  title: 'Lead of a helical gear',
  pose: (chance, level) => {
    const { part, plain, given, angle } = drawHelical(chance, level);
    const truth = figureAt(part, 'gear', 'lead');
    const round = Math.PI * figureAt(plain, 'gear', 'pitchDiameter');
    return posed({
      asks: 'How long is the lead: the travel in which a tooth would go once round?',
      given,
      fields: [
        lengthField({
          key: 'lead',
          label: 'Lead',
          units: 'mm',
          truth,
          slips: [
            {
              gives: round / Math.tan(angle * RAD),
              says: 'The pitch diameter of a helical gear is larger: teeth times module over the cosine.',
            },
            {
              gives: Math.PI * figureAt(part, 'gear', 'pitchDiameter') * Math.tan(angle * RAD),
              says: 'Over the tangent, not times it: a steeper helix has a shorter lead.',
            },
            { gives: truth / Math.PI, says: 'Round the gear, not across it: π is missing.' },
            {
              gives: (Math.PI * figureAt(part, 'blank', 'tipDiameter')) / Math.tan(angle * RAD),
              says: 'The angle holds at the pitch circle, not at the outside.',
            },
          ],
        }),
      ],
      hint: 'Unroll the pitch cylinder: its girth is one side of a triangle, the lead the other.',
      working: workingAt(part, 'lead', 'lead'),
    });
  },
};

const TRAIN_LIKE = 'drivers before drivens: 32 : 44, or 32 : 44, 24 : 48';
const TRAIN = /^(\d{1,3}) ?[:/] ?(\d{1,3})(?: ?[,;] ?(\d{1,3}) ?[:/] ?(\d{1,3}))?$/;

/** Gears as people write them, drivers first; null where it cannot be read. */
export function readTrain(typed: string): Train | null {
  const read = TRAIN.exec(typed.slice(0, 60).trim().replace(/\s+/g, ' '));
  if (!read) return null;
  const [driver, driven, driver2, driven2] = read.slice(1).map(Number);
  const second = read[3] === undefined ? null : { driver: driver2!, driven: driven2! };
  const train = { driver: driver!, driven: driven!, second };
  return [driver, driven, ...(second ? [driver2, driven2] : [])].includes(0) ? null : train;
}

const turnedOver = ({ driver, driven, second }: Train): Train => ({
  driver: driven,
  driven: driver,
  second: second && { driver: second.driven, driven: second.driver },
});

/** µm that a tooth may stray over the face of an exercise. */
const STRAY = 30;

function trainField(
  asked: Parameters<typeof findLeadTrains>[0]['asked'],
  machine: ReturnType<typeof exact>,
  answer: string,
): JudgedField {
  const strays = (train: Train): number =>
    Math.abs(
      asked.faceWidth * Math.PI * asked.pitchDiameter * (1 / approx(leadOf(train, machine)) - 1 / asked.lead),
    ) * 1000;
  return {
    key: 'train',
    label: 'Gears, from the table screw to the worm',
    unit: '',
    like: TRAIN_LIKE,
    answer,
    judge: (typed): Verdict => {
      if (typed.trim() === '') return { state: 'unread', says: 'Nothing is written here yet.' };
      const train = readTrain(typed);
      if (!train) return { state: 'unread', says: `Write the gears ${TRAIN_LIKE}.` };
      const sizes = [
        train.driver,
        train.driven,
        ...(train.second ? [train.second.driver, train.second.driven] : []),
      ];
      const lacking = lackingGear(sizes);
      if (lacking) return { state: 'wrong', says: lacking };
      if (strays(train) <= STRAY) return { state: 'right' };
      const cuts = `It cuts a lead of ${approx(leadOf(train, machine)).toFixed(1)} mm.`;
      if (strays(turnedOver(train)) <= STRAY)
        return { state: 'slip', says: `Drivers and drivens are exchanged. ${cuts}` };
      return { state: 'wrong', says: `Not near enough. ${cuts}` };
    },
  };
}

const gears: Drawn = {
  topic: 'helix',
  title: 'Gears for a lead',
  pose: (chance, level) => {
    const { part } = drawHelical(chance, level);
    const detail = stationOf(part, 'lead')?.detail;
    if (!detail?.wanted || !detail.machine || !detail.pitchDiameter || !detail.faceWidth) return null;
    const asked = { lead: detail.wanted, pitchDiameter: detail.pitchDiameter, faceWidth: detail.faceWidth };
    const machine = exact(detail.machineText!);
    const [best] = findLeadTrains({
      table: tableOfGears(TWELVE_GEARS),
      machine,
      asked,
      leadSearch: { compound: true, most: 1 },
    });
    if (!best || Math.abs(best.overFace) > STRAY / 2) return null;
    return posed({
      asks: `Which gears drive the head from the table screw, so that a tooth strays no more than ${(STRAY / 1000).toFixed(2)} mm over the face?`,
      given: [
        { label: 'Lead wanted', text: `${detail.wanted.toFixed(2)} mm` },
        { label: 'Lead of the machine', text: `${detail.machine} mm, at one to one` },
        {
          label: 'Pitch diameter, face',
          text: `${detail.pitchDiameter.toFixed(2)} mm, ${detail.faceWidth} mm`,
        },
        {
          label: 'Gears',
          text: SCHOOL_GEARS,
        },
      ],
      fields: [trainField(asked, machine, trainText(best.train))],
      hint: 'Drivens over drivers is the lead wanted over the lead of the machine. A longer lead turns the work slower.',
      working: workingAt(part, 'lead', 'machine', 'ratio'),
    });
  },
};

const swing: Drawn = {
  topic: 'helix',
  title: 'Swing of the table',
  pose: (chance, level) => {
    const { part, given, angle, hand } = drawHelical(chance, level);
    const table = stationOf(part, 'lead')?.detail.table;
    if (!table) return null;
    const away = table.way === 'away';
    return posed({
      asks: 'Standing before the knee: which way does the right end of the table go, and by how much?',
      given,
      fields: [
        choiceField({
          key: 'way',
          label: 'The right end of the table',
          options: [
            { value: 'away', text: 'away from you' },
            { value: 'towards', text: 'towards you' },
          ],
          answer: away ? 'away' : 'towards',
          slips: {
            [away ? 'towards' : 'away']:
              `That lays the cutter along a ${hand === 'right' ? 'left' : 'right'}-hand tooth.`,
          },
        }),
        angleField({
          key: 'angle',
          label: 'By',
          truth: table.scale,
          within: 0.02,
          answer: angleText(exact(table.scale.toFixed(6))),
          slips: [
            {
              gives: 90 - angle,
              says: 'That is the angle from the face of the gear: the table starts along the axis.',
            },
          ],
        }),
      ],
      hint: 'A right-hand tooth leans to the right as it goes away from you, like a right-hand thread; the tooth must come to lie along the cutter.',
      working: [line('Swing', '\\beta', `${angle}^\\circ`, `${angle}^\\circ`)],
    });
  },
};

export const HELIX = { 'helical-blank': outside, lead, 'lead-gears': gears, swing };
