import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Input } from 'antd';
import { useId, useState } from 'react';
import { rangeText, type Shopping } from '../../core/cutter/index.ts';
import { plural } from '../../core/units/index.ts';
import { saveTable } from '../frame/index.ts';
import { api, keys, useShop } from '../state/index.ts';

/** The list to order by: a line for each gear that a cutter serves. */
function saveShopping({ buy, toGrind }: Shopping): void {
  const bought = buy.flatMap((one) =>
    one.serves.map(({ name, teeth, error }) => [
      ...[one.pitch, `${one.angleDeg}°`, one.inch, one.metric, rangeText(one), name, String(teeth)],
      error.toFixed(0),
    ]),
  );
  const ground = toGrind.map(({ name, teeth }) => ['to grind', '', '', '', '', name, String(teeth), '']);
  const heading = ['pitch', 'angle', 'No. inch', 'No. metric', 'range', 'gear', 'teeth', 'flank error µm'];
  void saveTable('to-buy.csv', [heading, ...bought, ...ground]);
}

/** The fewest cutters to buy so that every gear on the bench can be cut. */
export function ToBuy() {
  const id = useId();
  const [typed, setTyped] = useState('0');
  const { data: shop } = useShop();
  const tolerance = /^\d{1,4}(\.\d+)?$/.test(typed.trim()) ? Number(typed) : null;
  const asked = tolerance ?? 0;
  const { data: shopping, error } = useQuery({
    queryKey: keys.toBuy(shop?.revision ?? 0, asked),
    queryFn: () => api.toBuy(asked),
    placeholderData: keepPreviousData,
    refetchOnMount: 'always',
  });
  if (error) return <p className="scribe-say">{error.message}</p>;
  if (!shopping) return <p className="scribe-say">The bench is being gone through…</p>;
  const { buy, served, toGrind } = shopping;
  return (
    <section className="to-buy" aria-label="To buy for the jobs on the bench">
      <h3>To buy for the jobs on the bench</h3>
      <p className="to-buy-figure">{buy.length}</p>
      <p className="scribe-say">
        {buy.length === 1 ? 'cutter' : 'cutters'}, the fewest that do; {plural(served.length, 'gear')} served
        by yours.
      </p>
      <label htmlFor={id} className="scribe-say">
        Flank error put up with beyond the ranges, µm
      </label>
      <Input
        id={id}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        status={tolerance === null ? 'error' : ''}
        style={{ width: 110 }}
        autoComplete="off"
      />
      {tolerance === null && <p className="scribe-say">Write micrometres, like 20; 0 keeps to the ranges.</p>}
      <ul>
        {buy.map((one) => (
          <li key={`${one.pitch} ${one.angleDeg} ${one.inch}`}>
            <strong>
              {one.pitch}, {one.angleDeg}°: No. {one.inch} inch, No. {one.metric} metric
            </strong>
            <span>{rangeText(one)}</span>
            {one.serves.map(({ name, teeth, error }) => (
              <small key={`${name} ${teeth}`}>
                {name}: {teeth} teeth, {error.toFixed(0)} µm
              </small>
            ))}
          </li>
        ))}
        {toGrind.map(({ name, teeth }) => (
          <li key={`${name} ${teeth}`}>
            <strong>To grind: {teeth} teeth</strong>
            <small>{name}: no set goes below 12</small>
          </li>
        ))}
      </ul>
      {buy.length + toGrind.length > 0 && (
        <button type="button" className="plain-link" onClick={() => saveShopping(shopping)}>
          save as CSV
        </button>
      )}
    </section>
  );
}
