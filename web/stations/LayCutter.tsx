import type { ReactNode } from 'react';
import type { TableSetting } from '../../core/lead/index.ts';
import { dmsText, exact } from '../../core/units/index.ts';
import { EitherField } from '../fields/index.ts';

const SET_UPS = [
  { value: 'table', label: 'swing table' },
  { value: 'head', label: 'tilt head' },
] as const;
const SIDES = [
  { value: 'near', label: 'near side' },
  { value: 'far', label: 'far side' },
] as const;

interface How {
  readonly setUp: 'table' | 'head';
  readonly side: 'near' | 'far';
}

interface LayCutterProps {
  readonly heading: string;
  readonly setting: TableSetting;
  readonly how: How;
  readonly set: (change: Partial<How>) => void;
  /** What the scale’s nearest mark leaves, said when it leaves anything: `1′ over; a gash leans 4 µm`. */
  readonly rest: string | null;
  /** Which way the teeth lean, as a sentence of its own. */
  readonly hand: string;
  readonly children?: ReactNode;
}

const angle = (degrees: number): string => dmsText(exact(Math.abs(degrees).toFixed(6)));

function wayOf({ by, way }: TableSetting): string {
  if (by === 'head') return `Tilt the head: its top to the ${way}`;
  return way === 'away'
    ? 'Push the table’s right end away from you'
    : 'Pull the table’s right end towards you';
}

/**
 * How the cutter is laid along a slanting space: by table or head, which way, and how far on the machine’s
 * own scale.
 */
export function LayCutter({ heading, setting, how, set, rest, hand, children }: LayCutterProps) {
  return (
    <section aria-label="Table">
      <h3 className="methods-head">{heading}</h3>
      {setting.upright ? (
        <p className="soft">
          An upright spindle: its head is tilted, the cutter on the side that Set-up says. Swinging the table
          would not lay a flat cutter along the teeth.
        </p>
      ) : (
        <div className="fields">
          <EitherField label="How" options={SET_UPS} value={how.setUp} onChange={(setUp) => set({ setUp })} />
          {setting.by === 'head' && (
            <EitherField
              label="Stub arbor, cutter on the"
              options={SIDES}
              value={how.side}
              onChange={(side) => set({ side })}
            />
          )}
        </div>
      )}
      <p className="said">
        {wayOf(setting)}, to <b>{angle(setting.scale)}</b> on the scale
        {rest !== null && Math.abs(setting.off) * 60 >= 0.5 ? `: the nearest mark, ${rest}` : ''}. {hand}
      </p>
      {children}
    </section>
  );
}
