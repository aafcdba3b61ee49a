import { drawnDriveJob, withCutter, withDrive, withPart, type Job } from '../../core/job/index.ts';
import { isRim } from '../../core/kinds/index.ts';
import { measure } from '../../core/units/index.ts';
import { demoShop } from './shop.ts';

/** The carriage of the lens is turned by hand through a worm when the clockwork rests. */
export function carriageDrive(): Job {
  const drawn = drawnDriveJob({ id: 'demo-carriage', name: 'Lens carriage, hand drive', shop: demoShop });
  return withCutter({ job: drawn, partId: 'p1', cutterId: 'winding-2-6', shop: demoShop });
}

/** The winch came in worn out: what was read off its worm and wheel. */
export function wornWinch(): Job {
  const job = drawnDriveJob(
    { id: 'demo-winch', name: 'Boat winch, worn worm', units: 'in', shop: demoShop },
    { pitch: measure('', 'dp'), teeth: measure('', 'count'), wormDiameter: measure('', 'in') },
  );
  const read = withDrive(job, 'p2', (drive) => ({
    ...drive,
    sample: {
      ...drive.sample,
      outside: measure('1.198', 'in'),
      threads: measure('7', 'count'),
      over: measure('1.884', 'in'),
      starts: measure('2', 'count'),
      teeth: measure('36', 'count'),
      throat: measure('3.794', 'in'),
      centre: measure('2.300', 'in'),
    },
  }));
  return withPart(read, 'p1', (part) =>
    isRim(part) ? { ...part, rim: { ...part.rim, bore: measure('5/8', 'in') } } : part,
  );
}
