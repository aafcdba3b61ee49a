import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { UnitSystem } from '../../core/units/index.ts';
import type { HolesAsked } from '../../core/prompts/index.ts';
import type { ChartLetters } from '../../core/dividing/index.ts';
import type { Shift } from '../theme/index.ts';

interface Preferences {
  readonly shift: Shift;
  /** Units a new job starts with. */
  readonly units: UnitSystem;
  /** Do single letters, figures and the space bar do things? */
  readonly singleKeys: boolean;
  readonly workingShown: boolean;
  /** Runs at the mill in which every step before a cut is asked for: the next learner's run begins plain. */
  readonly eachStepOf: readonly string[];
  /** How often the landing hole is asked there. */
  readonly holesAsked: HolesAsked;
  /** At the mill: figures larger still, the drawing left out. */
  readonly largeType: boolean;
  /** What the chart that is being read calls the positions of gears. */
  readonly chartLetters: ChartLetters;
  /** On the practice bench: is the pin heard as it falls? */
  readonly pinHeard: boolean;
  /** The words of cautions that were read. */
  readonly cautionsRead: readonly string[];
  readCautions(words: readonly string[]): void;
  setChartLetters(letters: ChartLetters): void;
  swapEachStep(runId: string): void;
  setHolesAsked(holes: HolesAsked): void;
  swapLargeType(): void;
  swapPinHeard(): void;
  swapSingleKeys(): void;
  swapShift(): void;
  setUnits(units: UnitSystem): void;
  swapWorking(): void;
}

/** More than there are; a browser’s store is small. */
const MOST_CAUTIONS = 300;
const MOST_RUNS = 50;

/** What this browser remembers of a person's taste. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      shift: 'day',
      units: 'mm',
      singleKeys: true,
      workingShown: false,
      eachStepOf: [],
      holesAsked: 'sometimes',
      largeType: false,
      chartLetters: {},
      pinHeard: false,
      cautionsRead: [],
      readCautions: (words) =>
        set(({ cautionsRead }) => ({
          cautionsRead: [...new Set([...cautionsRead, ...words])].slice(-MOST_CAUTIONS),
        })),
      setChartLetters: (chartLetters) => set({ chartLetters }),
      swapEachStep: (runId) =>
        set(({ eachStepOf }) => ({
          eachStepOf: eachStepOf.includes(runId)
            ? eachStepOf.filter((id) => id !== runId)
            : [...eachStepOf, runId].slice(-MOST_RUNS),
        })),
      setHolesAsked: (holesAsked) => set({ holesAsked }),
      swapPinHeard: () => set(({ pinHeard }) => ({ pinHeard: !pinHeard })),
      swapLargeType: () => set(({ largeType }) => ({ largeType: !largeType })),
      swapSingleKeys: () => set(({ singleKeys }) => ({ singleKeys: !singleKeys })),
      swapShift: () => set(({ shift }) => ({ shift: shift === 'day' ? 'night' : 'day' })),
      setUnits: (units) => set({ units }),
      swapWorking: () => set(({ workingShown }) => ({ workingShown: !workingShown })),
    }),
    { name: 'vuelta.preferences', version: 1 },
  ),
);
