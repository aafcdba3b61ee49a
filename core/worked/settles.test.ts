import { expect, test } from '@jest/globals';
import { partsOfEveryKind } from './everyKind.ts';

/*
 * What a station is settled with is what a person turns, sets, buys or fits by it. What only follows from
 * these (a pitch diameter from pitch and count, a lead angle from lead and diameter) raises no doubt of its
 * own. Common practice; decision 4.
 */
const SETTLED_WITH: Readonly<Record<string, string>> = {
  gear: 'addendum cutDepth hand helix module pressureAngle teeth wholeDepth',
  spacing: 'acrossFlats angle count depth diameter pitch',
  blank: 'bore dialDepth faceWidth measured tipDiameter',
  cutter: 'cutAs inchNumber metricNumber',
  dividing: 'divisions lead move pitch plate ratio step stride',
  lead: 'idlers lead stray swing train way',
  setup: 'approach feed out push rpm runout',
  cut: 'depth-finish depth-one depth-rough',
  inspect: 'chordal-read pins-read span-read verdict',
  drive: 'axialPitch centre counts hand pitch ratio wormDiameter',
  lathe: 'astray lathe setting starts train wanted',
  worm: 'depth flat hand included lead length outside pitchDiameter',
  wheelBlank: 'bore cornersTurned faceWidth measured outside side throat throatRadius',
  wheel: 'depth hand leadAngle school swing way',
};

test('each station is settled with what is made, set or bought by it, and with nothing that only follows', () => {
  const found = new Map<string, Set<string>>();
  for (const { stations } of partsOfEveryKind())
    for (const { id, values } of stations)
      for (const { key, settles } of values)
        if (settles) found.set(id, (found.get(id) ?? new Set()).add(key));
  expect(Object.fromEntries([...found].map(([id, keys]) => [id, [...keys].sort().join(' ')]))).toEqual(
    SETTLED_WITH,
  );
});
