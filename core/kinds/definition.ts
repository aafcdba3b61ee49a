import type { ArrivalBy } from '../arrival/index.ts';
import type { Head } from '../shop/index.ts';
import type { StationId } from '../station/index.ts';
import type { UnitSystem } from '../units/index.ts';

/** What a fresh part is laid with. */
export interface FreshPart {
  readonly id: string;
  readonly units: UnitSystem;
  /** The head that divides to start with; null where the shop has none. */
  readonly head: Head | null;
  /** How it arrives at the bench. */
  readonly by: ArrivalBy;
}

/** What can be told of how a part came, from the job it is in. */
export interface Company {
  /** The other half of its worm drive is in the same job. */
  readonly hasPartner: boolean;
  /** How the gear it is paired with arrived; null without one. */
  readonly mateCame: ArrivalBy | null;
}

/** What a kind of part is called. */
export interface KindWords<Doc> {
  /** In front of a sentence: `The gear`. */
  readonly called: string;
  /** What a lesson about all of the kind is about: `every gear`. */
  readonly all: string;
  /** What it is and how it arrived, under the job's name. */
  readonly came: (part: Doc, company: Company) => string;
}

/** The document face of a kind of part: what rests, what is laid, what it is called. */
export interface KindDocument<Doc> {
  readonly empty: (fresh: FreshPart) => Doc;
  readonly words: KindWords<Doc>;
  /** All that a part of the kind can have, in shop order. */
  readonly stations: readonly StationId[];
  /** Where a lesson about the kind is said again, and one about everything. */
  readonly lessonsAt: { readonly kind: StationId; readonly everything: StationId };
}
