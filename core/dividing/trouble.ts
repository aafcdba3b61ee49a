import { clearsStud } from '../gearing/index.ts';
import type { Head } from '../shop/index.ts';
import type { Proof } from './proof.ts';
import type { DividingChoice } from './schema.ts';
import type { Circle } from './simple.ts';

/** How much there is to change, and to get wrong; less is better. */
export interface Trouble {
  readonly trouble: number;
  readonly because: string;
}

/**
 * What each method asks of a person beyond its changes: one pin is easier to count than spaces, spaces are
 * easier than a train that has to be tried, and two pins are the surest way to scrap. Common practice; the
 * figures only rank.
 */
const ASKS: Readonly<Record<DividingChoice['method'], number>> = {
  simple: 20,
  direct: 25,
  stepper: 45,
  handwheel: 50,
  differential: 60,
  compound: 90,
  'nearest-hole': 95,
  table: 30,
};
const INEXACT = 200;
const SECONDS_IN_A_TURN = 1_296_000;

/** Nothing to change, then turning the mounted plate over, then changing it. */
export const plateEffort = (head: Head, { plateId, side }: Circle): number =>
  head.mounted?.plateId !== plateId ? 2 : head.mounted.side === side ? 0 : 1;

function plateWords(effort: number): string {
  return ['the plate that is on', 'the plate that is on, turned over', 'a change of plate'][effort]!;
}

/** How a way ranks beside the others, and why. */
export function troubleOf({
  head,
  choice,
  circle,
  proof,
}: {
  readonly head: Head;
  readonly choice: DividingChoice;
  readonly circle: Circle | null;
  readonly proof: Proof;
}): Trouble {
  const effort = circle ? plateEffort(head, circle) : 0;
  const words: string[] = circle ? [plateWords(effort)] : [];
  let trouble = ASKS[choice.method] + 4 * effort;
  if (head.standing.worm === 'out' && choice.method !== 'direct') trouble += 4;
  switch (choice.method) {
    case 'simple':
      words.push(choice.spaces === 0 ? 'whole turns only' : 'one move to count');
      break;
    case 'direct':
      words.push('no cranking; the ring’s own error shows undivided');
      if (head.standing.worm === 'out') trouble -= 8;
      break;
    case 'differential': {
      const wheels = choice.train.second ? 4 : 2;
      trouble += 5 * wheels + 2 * choice.idlers;
      words.push(
        `${wheels} gears${choice.idlers > 0 ? ` and ${choice.idlers} ${choice.idlers === 1 ? 'idler' : 'idlers'}` : ''}`,
        'direction to be tried',
      );
      if (!clearsStud(choice.train)) {
        trouble += 6;
        words.push('the wheels may foul the stud');
      }
      break;
    }
    case 'compound':
      words.push('two pins to move every time, fiddly and a source of scrap');
      if (choice.back.spaces < 0) {
        trouble += 3;
        words.push('the plate goes back, and its slack has to be taken up');
      }
      break;
    case 'nearest-hole':
      words.push('the move changes from place to place');
      break;
    case 'handwheel':
      words.push('every setting is read off a wheel');
      break;
    case 'stepper':
      words.push('missed steps are silent');
      break;
    case 'table':
      words.push('read from the first place, so nothing adds up');
  }
  const read = ['handwheel', 'stepper', 'table'].includes(choice.method);
  if (!proof.everySpaceTrue && !read) trouble += INEXACT;
  // a wheel that is fiddly to read and comes nearer goes before a motor that is easy and does not: a second
  // for a point
  if (read && choice.method !== 'table')
    trouble += Math.min(INEXACT, Math.abs(proof.worst.turns) * SECONDS_IN_A_TURN);
  return { trouble, because: words.join(', ') };
}
