import type { PartGround, PartPlan } from '../card/index.ts';
import type { CutterNeed } from '../cutter/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { planDivide } from './divide/plan.ts';
import type { Kind, Part, PartOf } from './documents.ts';
import { planSpur, spurCutterNeed } from './spur/plan.ts';
import { planWheelPart, wheelCutterNeed } from './wheel/plan.ts';
import { planWormPart } from './worm/plan.ts';

/** The plan face of a kind of part: its stations in order, each on the facts of those before it. */
interface KindPlan<Doc> {
  readonly compose: (part: Doc, on: PartGround) => PartPlan;
  /** What it asks of a form cutter; null where it asks for none, or that is not known yet. */
  readonly cutterNeed: (part: Doc, units: UnitSystem) => CutterNeed | null;
}

const asksNoCutter = () => null;

/** Every kind of part, and how it is planned. */
const PLANS: { readonly [K in Kind]: KindPlan<PartOf<K>> } = {
  spur: { compose: planSpur, cutterNeed: spurCutterNeed },
  divide: { compose: planDivide, cutterNeed: asksNoCutter },
  worm: { compose: planWormPart, cutterNeed: asksNoCutter },
  wheel: { compose: planWheelPart, cutterNeed: wheelCutterNeed },
};

// a part and the plan of its own kind: the compiler sees the union of both, each time
const planOf = (part: Part): KindPlan<Part> => PLANS[part.kind] as KindPlan<Part>;

export const composePart = (part: Part, on: PartGround): PartPlan => planOf(part).compose(part, on);

/** What a part asks of a form cutter. @returns null where it asks for none, or that is not known yet */
export const cutterNeedOf = (part: Part, units: UnitSystem): CutterNeed | null =>
  planOf(part).cutterNeed(part, units);
