import { trainRatio } from '../../core/gearing/index.ts';
import { leadNow, plateRatioNow, type Machine, type HeadBench } from '../../core/practice/index.ts';
import { TrainView } from '../scribe/index.ts';

interface TrainOnProps {
  readonly bench: HeadBench;
  readonly machine: Machine;
}

/** The gears that are on, as they stand and as they have turned; nothing where none are. */
export function TrainOn({ bench, machine }: TrainOnProps) {
  const { gearing, ratio } = bench;
  const { gears } = machine;
  if (!gearing || !gears) return null;
  if (gearing.between === 'spindle') {
    const way = plateRatioNow(bench, machine).gte(0) ? 'with' : 'against';
    return (
      <TrainView
        {...gears}
        ends={['spindle', 'plate shaft']}
        caption={`the plate goes ${way} the crank`}
        turned={machine.spindle.valueOf()}
      />
    );
  }
  const lead = leadNow(bench, machine);
  if (lead === null) return null;
  // what the worm shaft has turned, back through the gears
  const screw = (machine.table * ratio.valueOf()) / Math.abs(lead) / trainRatio(gears.train).valueOf();
  return (
    <TrainView
      {...gears}
      ends={['screw', 'worm shaft']}
      caption={`a ${lead < 0 ? 'left' : 'right'}-hand helix`}
      turned={screw}
    />
  );
}
