import { Button } from 'antd';
import { useCallback, useEffect, useState } from 'react';
import { NavLink, useParams } from 'react-router';
import type { Equipment } from '../../core/shop/index.ts';
import { Notice, Shell, Steps, useTitle } from '../frame/index.ts';
import {
  editShop,
  openShopSteps,
  redoShop,
  storeMineOverIt,
  takeStoredShop,
  undoShop,
  useShopSteps,
} from '../edits/index.ts';
import { useShop, useShopSave } from '../state/index.ts';
import { Cutters } from './Cutters.tsx';
import { GearSets } from './GearSets.tsx';
import { Heads } from './Heads.tsx';
import { Lathes } from './Lathes.tsx';
import { Mandrels } from './Mandrels.tsx';
import { Materials } from './Materials.tsx';
import { Mills } from './Mills.tsx';
import { Motors } from './Motors.tsx';
import type { ShopProps } from './shopProps.ts';
import './shop.css';
import './rings.css';

const TABLES = [
  { id: 'heads', title: 'Heads and tables', Table: Heads },
  { id: 'gears', title: 'Change gears', Table: GearSets },
  { id: 'cutters', title: 'Form cutters', Table: Cutters },
  { id: 'motors', title: 'Motors', Table: Motors },
  { id: 'mills', title: 'Mills', Table: Mills },
  { id: 'lathes', title: 'Lathes', Table: Lathes },
  { id: 'materials', title: 'Materials', Table: Materials },
  { id: 'mandrels', title: 'Mandrels', Table: Mandrels },
] as const;

/** What the shop has: the ground of every plan. Jobs keep their own copy of what they were planned with. */
export function ShopPage() {
  const { table = 'heads' } = useParams();
  const shop = useShop();
  const { Table, title: shows } = TABLES.find(({ id }) => id === table) ?? TABLES[0];
  useTitle(`Shop: ${shows.toLowerCase()}`);
  return (
    <Shell>
      <main className="shop">
        <h1 className="visually-hidden">The shop: {shows.toLowerCase()}</h1>
        <nav className="shop-tabs" aria-label="Tables of the shop">
          {TABLES.map(({ id, title }) => (
            <NavLink key={id} to={`/shop/${id}`} className={id === table ? 'is-here' : ''}>
              {title}
            </NavLink>
          ))}
          <NavLink to="/devices">Devices</NavLink>
          <ShopSaveLine />
          <ShopSteps />
        </nav>
        {shop.data ? (
          <OpenShop key={table} equipment={shop.data.equipment} Table={Table} />
        ) : (
          <p className="page-say">{shop.error?.message ?? 'Opening…'}</p>
        )}
      </main>
    </Shell>
  );
}

function OpenShop({
  equipment,
  Table,
}: {
  readonly equipment: Equipment;
  readonly Table: (props: ShopProps) => React.ReactNode;
}) {
  const [removed, setRemoved] = useState<{ readonly what: string; readonly before: Equipment } | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  useEffect(() => openShopSteps(equipment), [equipment]);
  const remove = useCallback<ShopProps['remove']>(
    (what, change) => {
      const why = editShop(change);
      setRefused(why);
      setRemoved(why ? null : { what, before: equipment });
    },
    [equipment],
  );
  return (
    <>
      {refused && <Notice tone="wrong">{refused}</Notice>}
      {removed && (
        <Notice
          tone="note"
          actions={
            <Button
              onClick={() => {
                editShop((now) => putBack(now, removed.before));
                setRemoved(null);
              }}
            >
              Put it back
            </Button>
          }
        >
          {removed.what} is taken out of the shop. Jobs planned with it keep their own copy.
        </Notice>
      )}
      <Table equipment={equipment} edit={editShop} remove={remove} />
    </>
  );
}

/** What was there before and is not now, put back; whatever was changed since stays. */
function putBack(now: Equipment, before: Equipment): Equipment {
  const lacking = <T extends { readonly id: string }>(was: readonly T[], is: readonly T[]): readonly T[] => [
    ...is,
    ...was.filter(({ id }) => !is.some((other) => other.id === id)),
  ];
  return {
    ...now,
    heads: lacking(before.heads, now.heads),
    gearSets: lacking(before.gearSets, now.gearSets),
    steppers: lacking(before.steppers, now.steppers),
    mills: lacking(before.mills, now.mills),
    cutters: lacking(before.cutters, now.cutters),
    lathes: lacking(before.lathes, now.lathes),
    materials: lacking(before.materials, now.materials),
    mandrels: lacking(before.mandrels, now.mandrels),
  };
}

function ShopSteps() {
  const canUndo = useShopSteps((steps) => steps.canUndo);
  const canRedo = useShopSteps((steps) => steps.canRedo);
  return <Steps canUndo={canUndo} canRedo={canRedo} undo={undoShop} redo={redoShop} />;
}

function ShopSaveLine() {
  const save = useShopSave((kept) => kept);
  switch (save.kind) {
    case 'stored':
      return <span className="shop-save">✓ Stored</span>;
    case 'waiting':
      return <span className="shop-save">Storing…</span>;
    case 'away':
      return <span className="shop-save is-wrong">? Server away: kept on this page until it answers</span>;
    case 'conflict':
      return (
        <span className="shop-save is-wrong">
          ✕ Changed on another screen.{' '}
          <Button onClick={() => void takeStoredShop()}>Show the stored shop</Button>{' '}
          <Button onClick={() => void storeMineOverIt()}>Store mine over it</Button>
        </span>
      );
    case 'refused':
      return <span className="shop-save is-wrong">✕ Not stored: {save.message}</span>;
  }
}
