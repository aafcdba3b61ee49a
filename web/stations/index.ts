import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import type { StationId } from '../../core/station/index.ts';
import type { StationProps } from '../panel/index.ts';

interface StationScreens<Id extends StationId> {
  readonly Panel: LazyExoticComponent<ComponentType<StationProps<Id>>>;
  readonly Scribe: LazyExoticComponent<ComponentType<StationProps<Id>>>;
}
type Loader<Id extends StationId> = () => Promise<{
  Panel: ComponentType<StationProps<Id>>;
  Scribe: ComponentType<StationProps<Id>>;
}>;

const screens = <Id extends StationId>(load: Loader<Id>): StationScreens<Id> => ({
  Panel: lazy(() => load().then(({ Panel }) => ({ default: Panel }))),
  Scribe: lazy(() => load().then(({ Scribe }) => ({ default: Scribe }))),
});

/** The screens of each station. One line for each. */
export const stationScreens: { readonly [Id in StationId]: StationScreens<Id> } = {
  gear: screens(() => import('./gear/index.ts')),
  drive: screens(() => import('./drive/index.ts')),
  spacing: screens(() => import('./spacing/index.ts')),
  blank: screens(() => import('./blank/index.ts')),
  wheelBlank: screens(() => import('./wheelBlank/index.ts')),
  cutter: screens(() => import('./cutter/index.ts')),
  dividing: screens(() => import('./dividing/index.ts')),
  lathe: screens(() => import('./lathe/index.ts')),
  lead: screens(() => import('./lead/index.ts')),
  worm: screens(() => import('./worm/index.ts')),
  wheel: screens(() => import('./wheel/index.ts')),
  setup: screens(() => import('./setup/index.ts')),
  cut: screens(() => import('./cut/index.ts')),
  inspect: screens(() => import('./inspect/index.ts')),
};

export type { StationProps } from '../panel/index.ts';
