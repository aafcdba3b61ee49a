import { ratioText, type DriveShape } from '../drive/index.ts';
import type { Issue } from '../findings/index.ts';
import type { Job } from '../job/index.ts';
import { decimalText, dmsText, exact, degreesOf } from '../units/index.ts';
import { stationOf, type PartPlan } from '../card/index.ts';

/** What has to be alike on both halves, each with how it is said. */
const ALIKE: readonly { readonly name: string; readonly say: (facts: DriveShape) => string }[] = [
  { name: 'pitch', say: ({ worm }) => `${decimalText(worm.axialPitch, 4)} mm along the axis` },
  { name: 'ratio', say: ({ teeth, starts }) => `${ratioText(teeth, starts)} : 1` },
  { name: 'starts', say: ({ starts }) => String(starts) },
  {
    name: 'tool angle',
    say: ({ worm }) => dmsText(exact(degreesOf(worm.includedAngle).toFixed(4))),
  },
  { name: 'hand', say: ({ hand }) => hand },
  { name: 'lead angle', say: ({ worm }) => dmsText(exact(degreesOf(worm.leadAngle).toFixed(4))) },
  { name: 'depth', say: ({ worm }) => `${decimalText(worm.depth, 3)} mm` },
];

/** Were worm and wheel of one drive planned with the same figures? Issues: drive-differs */
export function judgeDrives(job: Job, plans: readonly PartPlan[]): Issue[] {
  return job.relations.flatMap(({ kind, parts }): Issue[] => {
    if (kind !== 'worm-drive') return [];
    const factsOf = (id: string | undefined) => {
      const part = plans.find((one) => one.id === id);
      return (part && stationOf(part, 'drive')?.detail.shape) ?? null;
    };
    const [worm, wheel] = [factsOf(parts[0]), factsOf(parts[1])];
    if (!worm || !wheel) return [];
    const differ = ALIKE.filter(({ say }) => say(worm) !== say(wheel));
    if (differ.length === 0) return [];
    const given = differ.map(({ name, say }) => `${name} ${say(worm)} and ${say(wheel)}`).join('; ');
    return [{ code: 'drive-differs', path: `parts.${parts[1]}.drive`, severity: 'query', given }];
  });
}
