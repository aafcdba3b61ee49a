import { drawnDriveJob, withDrive } from '../../job/index.ts';
import { plan, type PartPlan } from '../../plan/index.ts';
import { angleText, exact, measure } from '../../units/index.ts';
import { angleField, countField, lengthField } from '../figure.ts';
import { figureAt, SCHOOL, wordsAt, workingAt } from '../school.ts';
import type { Chance } from '../chance.ts';
import type { Drawn, Level } from '../types.ts';
import { line, posed } from './drawn.ts';

interface DriveDrawn {
  readonly pitch: string;
  readonly starts: number;
  readonly teeth: number;
  readonly diameter: number;
}

const MODULES = ['1', '1.25', '1.5', '1.75', '2', '2.25', '2.5', '3', '4'];

function drawNumbers(chance: Chance, level: Level): DriveDrawn {
  const pitch = chance.one(level === 1 ? ['1', '1.5', '2', '3'] : MODULES);
  const starts = level === 1 ? 1 : chance.whole(1, level);
  const teeth = chance.whole(20, 60);
  return { pitch, starts, teeth, diameter: Math.round(Number(pitch) * chance.whole(8, 14)) };
}

function planWormOf({ pitch, starts, teeth, diameter }: DriveDrawn): PartPlan {
  const job = drawnDriveJob({ id: 'exercise', name: 'Exercise', shop: SCHOOL });
  const drawn = withDrive(job, 'p2', (drive) => ({
    ...drive,
    pitch: measure(pitch, 'module'),
    starts: measure(String(starts), 'count'),
    teeth: measure(String(teeth), 'count'),
    wormDiameter: measure(String(diameter), 'mm'),
  }));
  // its wheel is not asked for, and is left on the bench
  const parts = drawn.parts.filter(({ kind }) => kind === 'worm');
  return plan({ ...drawn, parts, relations: [] }, SCHOOL).parts[0]!;
}

function drawDrive(chance: Chance, level: Level) {
  const drawn = drawNumbers(chance, level);
  const { pitch, starts, teeth, diameter } = drawn;
  const given = [
    { label: 'Module, along the axis', text: pitch },
    { label: 'Starts', text: String(starts) },
    { label: 'Pitch diameter of the worm', text: `${diameter} mm` },
  ];
  return { part: planWormOf(drawn), pitch: Number(pitch), starts, teeth, diameter, given };
}

const leadAngle: Drawn = {
  topic: 'worm',
  title: 'Lead angle of a worm',
  pose: (chance, level) => {
    const { part, given, starts, diameter, pitch } = drawDrive(chance, level);
    const truth = figureAt(part, 'drive', 'leadAngle');
    const degrees = (tan: number) => (Math.atan(tan) * 180) / Math.PI;
    const tan = Math.tan((truth * Math.PI) / 180);
    return posed({
      asks: 'At what lead angle is the wheel gashed? To the nearest five minutes or closer.',
      given,
      fields: [
        angleField({
          key: 'angle',
          label: 'Lead angle',
          truth,
          within: 0.05,
          answer: angleText(exact(Math.round(truth * 60), 60)),
          slips: [
            {
              gives: 90 - truth,
              says: 'That is the helix angle of the thread; the lead angle is what it leans from square to the axis.',
            },
            {
              gives: degrees(tan * Math.PI),
              says: 'The lead is set against the girth of the worm, not its diameter.',
            },
            { gives: degrees(tan / starts), says: 'The lead is the starts times the axial pitch.' },
            {
              gives: degrees((starts * pitch * Math.PI) / (Math.PI * (diameter + 2 * pitch))),
              says: 'At the pitch diameter, not at the outside.',
            },
          ],
        }),
      ],
      hint: 'Unroll the worm: the lead over the girth at the pitch diameter is the tangent.',
      working: workingAt(part, 'drive', 'axialPitch', 'lead', 'leadAngle'),
    });
  },
};

const centre: Drawn = {
  topic: 'worm',
  title: 'Centre distance of a worm drive',
  pose: (chance, level) => {
    const { part, given, teeth, diameter, pitch } = drawDrive(chance, level);
    const truth = figureAt(part, 'drive', 'centre');
    return posed({
      asks: 'How far apart do the two shafts stand?',
      given: [...given, { label: 'Teeth of the wheel', text: String(teeth) }],
      fields: [
        lengthField({
          key: 'centre',
          label: 'Centre distance',
          units: 'mm',
          truth,
          slips: [
            { gives: 2 * truth, says: 'Both radii, not both diameters.' },
            {
              gives: truth + pitch,
              says: 'Pitch circle to pitch circle: the outside of the worm has no part in it.',
            },
            { gives: truth + 2 * pitch, says: 'Pitch circles, not outsides.' },
            { gives: (teeth * pitch) / 2, says: 'The worm’s radius is missing.' },
            { gives: diameter / 2, says: 'The wheel’s radius is missing.' },
          ],
        }),
      ],
      hint: 'The wheel’s pitch diameter is its teeth times the module; the worm’s is given. Half of both.',
      working: workingAt(part, 'drive', 'wheelDiameter', 'centre'),
    });
  },
};

const threads: Drawn = {
  topic: 'worm',
  title: 'Axial pitch and lead',
  pose: (chance, level) => {
    const { part, given, starts } = drawDrive(chance, level);
    const pitch = figureAt(part, 'drive', 'axialPitch');
    const lead = figureAt(part, 'drive', 'lead');
    return posed({
      asks: 'What is the pitch of the thread along the axis, and what lead is the lathe geared for?',
      given: given.slice(0, 2),
      fields: [
        lengthField({
          key: 'pitch',
          label: 'Axial pitch',
          units: 'mm',
          truth: pitch,
          fine: true,
          slips: [
            { gives: pitch / Math.PI, says: 'That is the module: the pitch is π times it.' },
            { gives: lead, says: 'That is the lead, of all the starts together.' },
          ],
        }),
        lengthField({
          key: 'lead',
          label: 'Lead',
          units: 'mm',
          truth: lead,
          fine: true,
          slips: [
            {
              gives: pitch,
              says: `With ${starts} starts the thread goes on by ${starts} pitches in a turn.`,
            },
            { gives: pitch / starts, says: 'Times the starts, not over them.' },
          ],
        }),
      ],
      hint: 'π times the module from thread to thread; the lead is that times the starts.',
      working: workingAt(part, 'drive', 'axialPitch', 'lead'),
    });
  },
};

const ratioOf: Drawn = {
  topic: 'worm',
  title: 'Ratio of a worm drive',
  pose: (chance, level) => {
    const drawn = drawNumbers(chance, level === 1 ? 2 : level);
    const { starts, teeth } = drawn;
    if (teeth % starts !== 0 || starts === 1) return null;
    const truth = Number(wordsAt(planWormOf(drawn), 'drive', 'ratio').split(':')[0]);
    return posed({
      asks: 'How many turns does the worm make for one of the wheel?',
      given: [
        { label: 'Starts', text: String(starts) },
        { label: 'Teeth of the wheel', text: String(teeth) },
      ],
      fields: [
        countField({
          key: 'turns',
          label: 'Turns of the worm',
          truth,
          slips: [
            {
              gives: teeth,
              says: 'That holds for a single start: each turn moves the wheel by as many teeth as there are starts.',
            },
            { gives: teeth * starts, says: 'Over the starts, not times them.' },
          ],
        }),
      ],
      hint: 'One turn of the worm moves the wheel by as many teeth as it has starts.',
      working: [line('Ratio', 'i = \\frac{z_2}{z_1}', `\\frac{${teeth}}{${starts}}`, String(truth))],
    });
  },
};

export const WORMS = { 'lead-angle': leadAngle, centre, threads, 'worm-ratio': ratioOf };
