import { beforeEach, describe, expect, test } from '@jest/globals';
import { dequal } from 'dequal';
import fc from 'fast-check';
import { changedPlace, History, type HistoryStore } from './history.ts';

interface Card {
  readonly name: string;
  readonly gear: { readonly teeth: { readonly typed: string }; readonly pitch: { readonly typed: string } };
}
const card: Card = { name: 'Wheel', gear: { teeth: { typed: '62' }, pitch: { typed: '1.5' } } };
const teeth = (of: Card, typed: string): Card => ({ ...of, gear: { ...of.gear, teeth: { typed } } });
const pitch = (of: Card, typed: string): Card => ({ ...of, gear: { ...of.gear, pitch: { typed } } });

let now = 0;
let kept: string | null = null;
const store: HistoryStore = { read: () => kept, write: (text) => void (kept = text) };
const copy = <T>(of: T): T => JSON.parse(JSON.stringify(of)) as T;
function fresh(): History<Card> {
  const history = new History<Card>(() => now);
  history.open(store, card, dequal);
  return history;
}
beforeEach(() => {
  now = 0;
  kept = null;
});

describe('the place of a change', () => {
  test('is where the two part; changes at two places are no one place', () => {
    expect(changedPlace(card, teeth(card, '6'))).toBe('gear.teeth.typed');
    expect(changedPlace(card, { ...card, name: 'Year wheel' })).toBe('name');
    expect(changedPlace(card, pitch(teeth(card, '6'), '2'))).toBe('gear.teeth pitch');
    expect(changedPlace(card, card)).toBe('');
  });
});

describe('steps of a card', () => {
  test('one figure typed is one step, however many keys it took; another field, or a pause, is another', () => {
    const history = fresh();
    const keys = ['6', '', '5', '58'].map((typed) => teeth(card, typed));
    [card, ...keys.slice(0, -1)].forEach((before, i) => {
      now += 300;
      history.record(before, keys[i]!);
    });
    const typed = keys.at(-1)!;
    now += 300;
    const both = pitch(typed, '2');
    history.record(typed, both);
    expect(history.undo(both)).toBe(typed);
    expect(history.undo(typed)).toBe(card);
    expect([history.undo(card), history.canUndo]).toEqual([null, false]);
    now += 10_000;
    const later = teeth(card, '60');
    history.record(card, later);
    now += 2000;
    history.record(later, teeth(later, '61'));
    expect(history.undo(teeth(later, '61'))).toBe(later);
  });
  test('what was undone comes back, until something else is done', () => {
    const history = fresh();
    const second = teeth(card, '58');
    history.record(card, second);
    expect(history.undo(second)).toBe(card);
    expect(history.redo(card)).toBe(second);
    expect([history.redo(second), history.canRedo]).toEqual([null, false]);
    history.undo(second);
    history.record(card, pitch(card, '2'));
    expect(history.canRedo).toBe(false);
  });
  test('it goes on over a reload, and not where the card was changed elsewhere meanwhile', () => {
    const history = fresh();
    const second = teeth(card, '58');
    history.record(card, second);
    history.keep(second);
    const again = fresh();
    again.open(store, copy(second), dequal);
    expect(again.undo(second)).toEqual(card);
    const changed = fresh();
    changed.open(store, teeth(card, '59'), dequal);
    expect(changed.canUndo).toBe(false);
    kept = '{"past":';
    changed.open(store, second, dequal);
    expect(changed.canUndo).toBe(false);
  });
  test('whatever is done, undone and redone: back to the start, and forth to the end (seed 531)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('teeth', 'pitch'), fc.nat(99), fc.nat(4000)), { maxLength: 60 }),
        (edits) => {
          const history = fresh();
          let at = card;
          for (const [field, figure, pause] of edits) {
            now += pause;
            const next = (field === 'teeth' ? teeth : pitch)(at, String(figure));
            history.record(at, next);
            at = next;
          }
          const end = at;
          for (let before = history.undo(at); before; before = history.undo(at)) at = before;
          expect(at).toEqual(card);
          for (let after = history.redo(at); after; after = history.redo(at)) at = after;
          expect(at).toEqual(end);
        },
      ),
      { seed: 531, numRuns: 200 },
    );
  });
});
