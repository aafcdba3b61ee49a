import { newSpurJob, withCutter, withMatePart, withSpurPart, type Job } from '../../core/job/index.ts';
import type { SpurPart } from '../../core/kinds/index.ts';
import { measure } from '../../core/units/index.ts';
import { demoShop } from './shop.ts';

/** A helical gear of module 1.5, drawn in the museum’s shop, with the cutter of its virtual count. */
export function helical(
  given: { readonly id: string; readonly name: string; readonly teeth: number; readonly face: string },
  gear: (gear: SpurPart['gear']) => SpurPart['gear'],
): Job {
  const { id, name, teeth, face } = given;
  const job = newSpurJob({ id, name, units: 'mm', shop: demoShop });
  return withSpurPart(job, 'p1', (part) => ({
    ...part,
    gear: gear({
      ...part.gear,
      pitch: measure('1.5', 'module'),
      teeth: measure(String(teeth), 'count'),
    }),
    blank: { ...part.blank, faceWidth: measure(face, 'mm'), bore: measure('14', 'mm') },
  }));
}

/** The blower’s drive: a pair at 20°, both in one job. */
export function blowerPair(): Job {
  const drawn = helical(
    { id: 'demo-blower', name: 'Fog signal, blower drive', teeth: 30, face: '18' },
    (gear) => ({
      ...gear,
      helix: measure('20', 'deg'),
      mate: { ...gear.mate, teeth: measure('45', 'count') },
    }),
  );
  const ofSet = demoShop.cutters.find(({ number, pitch }) => number === '6' && pitch.typed === '1.5');
  return withMatePart({
    job: withCutter({ job: drawn, partId: 'p1', cutterId: ofSet?.id ?? null, shop: demoShop }),
    partId: 'p1',
    crossed: null,
  }).job;
}
