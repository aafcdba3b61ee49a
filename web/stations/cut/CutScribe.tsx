import { stationOf } from '../../../core/plan/index.ts';
import { SpacesView, ToothSpace } from '../../scribe/index.ts';
import type { StationProps } from '../../panel/index.ts';
import { sectionOf } from '../section.ts';

const NAMES = { scratch: 'scratch', one: 'depth', rough: 'rough', finish: 'finish' } as const;

/** The depths of the rounds, in the space. */
export function CutScribe({ planned, station, units }: StationProps<'cut'>) {
  const section = sectionOf(planned);
  const spacing = stationOf(planned, 'spacing');
  if (spacing?.detail.drawing)
    return <SpacesView {...spacing.detail.drawing} label={spacing.answer} height={420} />;
  if (!section)
    return <p className="scribe-empty">The depths are drawn here as soon as pitch and teeth are known.</p>;
  return (
    <ToothSpace
      drawing={section.drawing}
      units={units}
      depths={station.detail.rounds.flatMap(({ name, depthMm }) =>
        depthMm === null ? [] : [{ name: NAMES[name], mm: depthMm - section.above }],
      )}
      height={340}
    />
  );
}
