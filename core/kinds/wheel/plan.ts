import {
  cutterInForce,
  finishStation,
  settingWords,
  type PartGround,
  type PartPlan,
} from '../../card/index.ts';
import { planCut } from '../../cut/index.ts';
import { countFor, judgeCutter, pickedCutter, planCutter, type CutterNeed } from '../../cutter/index.ts';
import { countAim, planDividing, type Target } from '../../dividing/index.ts';
import { planDrive, type DriveFacts } from '../../drive/index.ts';
import type { WheelPart } from './document.ts';
import { layingFor } from '../../lead/index.ts';
import type { ToothForm } from '../../toothform/index.ts';
import { exact, type UnitSystem } from '../../units/index.ts';
import { planSetup } from '../../setup/index.ts';
import { planRim, planWheel } from '../../wheel/index.ts';

/** What a wheel asks of its cutter: by its own count for one start, as a helical gear of the lead angle for several. */
function wheelNeed({ teeth, starts, pitch, includedDeg, worm, addendum }: DriveFacts): CutterNeed {
  return {
    teeth,
    pitch,
    angleDeg: includedDeg.div(2),
    helixDeg: starts === 1 ? 0 : (worm.leadAngle * 180) / Math.PI,
    dedendum: worm.depth - addendum,
    normalModule: worm.normalModule,
  };
}

/** The same from the document alone. */
export function wheelCutterNeed(part: WheelPart, units: UnitSystem): CutterNeed | null {
  const { facts } = planDrive(part.drive, '', units);
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
  const { dividing: ground, cutters, setup: shop, path, units: system } = on;
  const drive = planDrive(part.drive, `${path}.drive`, system);
  const { facts } = drive;
  const blank = planRim(part.rim, facts, `${path}.rim`, system);
  const { cutter: picked, diameter } = cutterInForce(
    pickedCutter(part.cutter, cutters.jobs, cutters.shop),
    part.setup,
  );
  const need = facts && wheelNeed(facts);
  const cutter = planCutter(
    part.cutter,
    facts?.teeth ?? null,
    need,
    facts && formOf(facts),
    { picked, owned: cutters.shop, diameter },
    path,
    'drive.teeth',
  );
  const judged = need && picked ? judgeCutter(picked, need, part.cutter.countBy, cutters.shop) : null;
  const madeFor = judged?.madeFor ?? (need && countFor(need, part.cutter.countBy, diameter));
  const wheel = planWheel(
    { ...part.gash, ...layingFor(ground.mill, part.gash, part.setup.side) },
    { drive: facts, rim: blank.facts, mill: ground.mill, cutter: { diameter, madeFor }, system },
    `${path}.gash`,
  );
  const target: Target | null = facts && { along: 'turn', aim: countAim(facts.teeth, facts.wheelDiameter) };
  const dividing = planDividing(part.dividing, target, ground, `${path}.dividing`);
  const spaces = facts && { spaces: facts.teeth, full: true };
  const depth = wheel.facts && exact(wheel.facts.depth.toFixed(9));
  const cut = planCut(part.cut, depth, spaces, `${path}.cut`, system);
  const rim = blank.facts;
  const setup = planSetup(
    part.setup,
    {
      // a touch on its side, and a caliper across it, meet the corners, not the throat
      outside: rim && rim.corners,
      bore: rim && rim.bore,
      face: rim && rim.faceWidth,
      module: facts && facts.worm.normalModule,
      teeth: facts?.teeth ?? null,
      helixDeg: facts ? (facts.worm.leadAngle * 180) / Math.PI : 0,
      rounds: cut.detail.rounds,
      travels: part.gash.school === 'traverse' ? 'table' : null,
      sizes: null,
    },
    shop,
    picked,
    `${path}.setup`,
    system,
  );
  const { settled } = part;
  const ready = facts && wheel.facts && dividing.facts && cut.facts;
  return {
    id: part.id,
    kind: part.kind,
    name: part.name,
    stations: [
      finishStation('drive', drive, settled.drive, system),
      finishStation('wheelBlank', blank, settled.wheelBlank, system),
      finishStation('cutter', cutter, settled.cutter, system),
      finishStation('dividing', dividing, settled.dividing, system),
      finishStation('wheel', wheel, settled.wheel, system),
      finishStation('setup', setup, settled.setup, system),
      finishStation('cut', cut, settled.cut, system),
    ],
    cutting: ready
      ? {
          divisions: facts.teeth,
          full: true,
          startSpace: cut.facts.startSpace,
          rounds: cut.detail.rounds,
          helix: null,
          laid: wheel.facts.setting && {
            by: wheel.facts.setting.by,
            setting: settingWords(wheel.facts.setting),
          },
          touchOn: wheel.facts.touchOn,
          mount: setup.detail.mount,
          safe: setup.facts?.safe ?? null,
          minutesPerCut: setup.facts?.minutesPerCut ?? null,
          outside: setup.detail.outside,
          bore: rim && rim.bore > 0 ? rim.bore : null,
        }
      : null,
  };
}
