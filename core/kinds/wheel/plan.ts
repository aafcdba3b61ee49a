import {
  cutterInForce,
  cuttingBy,
  finishPart,
  settingWords,
  type PartGround,
  type PartPlan,
} from '../../card/index.ts';
import { planCut } from '../../cut/index.ts';
import { countFor, judgeCutter, planCutter, type CutterNeed } from '../../cutter/index.ts';
import { countAim, planDividing, type Target } from '../../dividing/index.ts';
import { planDrive, type DriveFacts } from '../../drive/index.ts';
import type { WheelPart } from './document.ts';
import { layingFor } from '../../lead/index.ts';
import type { ToothForm } from '../../toothform/index.ts';
import { exact, type UnitSystem, degreesOf } from '../../units/index.ts';
import { planSetup, type SetupWork } from '../../setup/index.ts';
import { planRim, planWheel } from '../../wheel/index.ts';

/**
 * What a wheel asks of its cutter: by its own count for one start, as a helical gear of the lead angle for
 * several.
 */
function wheelNeed({ teeth, starts, pitch, includedDeg, worm, addendum }: DriveFacts): CutterNeed {
  return {
    teeth,
    pitch,
    angleDeg: includedDeg.div(2),
    helixDeg: starts === 1 ? 0 : degreesOf(worm.leadAngle),
    dedendum: worm.depth - addendum,
    normalModule: worm.normalModule,
  };
}

/** The same from the document alone. */
export function wheelCutterNeed(part: WheelPart, units: UnitSystem): CutterNeed | null {
  const { facts } = planDrive({ input: part.drive, path: '', units });
  return facts && wheelNeed(facts);
}

const formOf = ({ teeth, worm, proportions, addendum }: DriveFacts): ToothForm => ({
  teeth,
  module: worm.normalModule,
  pressureAngle: proportions.pressureAngle,
  addendum,
  wholeDepth: worm.depth,
  thinning: 0,
});

/** A worm wheel: the drive, its blank, cutter, spaces, how it is gashed, and the rounds. */
export function planWheelPart(part: WheelPart, on: PartGround): PartPlan {
  const { units } = on;
  const at = (field: string) => ({ path: `${on.path}.${field}`, units });
  const drive = planDrive({ input: part.drive, ...at('drive') });
  const { facts } = drive;
  const wheelBlank = planRim({ input: part.rim, drive: facts, ...at('rim') });
  const rim = wheelBlank.facts;
  const need = facts && wheelNeed(facts);
  const { cutter: picked, diameter } = cutterInForce(on.picked, part.setup);
  const cutter = planCutter({
    choice: part.cutter,
    count: facts && facts.teeth,
    need,
    form: facts && formOf(facts),
    picked,
    owned: on.cutters,
    diameter,
    path: on.path,
    teethAt: 'drive.teeth',
  });
  const { countBy } = part.cutter;
  const judged =
    need && picked ? judgeCutter({ cutter: picked, need, by: countBy, owned: on.cutters }) : null;
  const madeFor = judged?.madeFor ?? (need && countFor(need, countBy, diameter));
  const { mill } = on.dividing;
  const wheel = planWheel({
    input: { ...part.gash, ...layingFor(mill, part.gash, part.setup.side) },
    ground: { drive: facts, rim, mill, cutter: { diameter, madeFor } },
    ...at('gash'),
  });
  const target: Target | null = facts && { along: 'turn', aim: countAim(facts.teeth, facts.wheelDiameter) };
  const dividing = planDividing({ input: part.dividing, target, ground: on.dividing, ...at('dividing') });
  const wholeDepth = wheel.facts && exact(wheel.facts.depth.toFixed(9));
  const spaces = facts && { spaces: facts.teeth, full: true, divides: 'tooth-space' as const };
  const cut = planCut({ input: part.cut, wholeDepth, spaces, ...at('cut') });
  const work: SetupWork = {
    // a touch on its side, and a caliper across it, meet the corners, not the throat
    outside: rim && rim.corners,
    bore: rim && rim.bore,
    face: rim && rim.faceWidth,
    module: facts && facts.worm.normalModule,
    teeth: facts && facts.teeth,
    helixDeg: facts ? degreesOf(facts.worm.leadAngle) : 0,
    rounds: cut.detail.rounds,
    travels: part.gash.school === 'traverse' ? 'table' : null,
    sizes: null,
  };
  const setup = planSetup({ input: part.setup, work, shop: on.setup, picked, ...at('setup') });
  const cutting =
    facts && wheel.facts && dividing.facts && cut.facts
      ? {
          ...cuttingBy(cut.facts, cut.detail, setup),
          divisions: facts.teeth,
          divides: 'tooth-space' as const,
          full: true,
          laid: wheel.facts.setting && {
            by: wheel.facts.setting.by,
            setting: settingWords(wheel.facts.setting),
          },
          touchOn: wheel.facts.touchOn,
          outside: setup.detail.outside,
          bore: rim && rim.bore > 0 ? rim.bore : null,
        }
      : null;
  const works = { drive, wheelBlank, cutter, dividing, wheel, setup, cut };
  return finishPart(part, units, { works, cutting });
}
