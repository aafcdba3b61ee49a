import { leadNow, plateRatioNow, type Machine, type PracticeBench } from '../../core/practice/index.ts';
import { TrainView } from '../scribe/index.ts';

interface TrainOnProps {
  readonly bench: PracticeBench;
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
  const lead = leadNow(bench, machine) ?? 0;
  // what the worm shaft has turned by the gears, back through them to the screw
  const plate = (machine.table * ratio.valueOf()) / (lead || 1);
  const { train, idlers } = gears;
  const size = (train.driver * (train.second?.driver ?? 1)) / (train.driven * (train.second?.driven ?? 1));
  return (
    <TrainView
      train={train}
      idlers={idlers}
      ends={['screw', 'worm shaft']}
      caption={`a ${lead < 0 ? 'left' : 'right'}-hand helix`}
      turned={Math.abs(plate / size) * Math.sign(machine.table)}
    />
  );
}
