import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { FormGround } from '../../../core/cutter/index.ts';
import type { FlankError } from '../../../core/toothform/index.ts';
import { Axis } from '../../scribe/index.ts';
import { useFormErrors, WorkBroke, type CutterErrors } from '../../workers/index.ts';

const WIDTH = 460;
const HEIGHT = 200;
const PAD = { left: 52, right: 12, top: 12, bottom: 34 };

/**
 * What each cutter of the choice leaves on a flank, root to tip, so that the choice is a judgement with
 * figures.
 */
export function FormErrors({ ground, angleDeg }: { readonly ground: FormGround; readonly angleDeg: number }) {
  const { found: errors, broken } = useFormErrors(ground);
  const composite = Math.abs(angleDeg - 14.5) < 1e-6;
  return (
    <section aria-label="Form error">
      <h3 className="methods-head">What it leaves on a flank</h3>
      <WorkBroke what="Working out the form error" broken={broken} />
      {errors ? (
        <>
          <Plot errors={errors} />
          <ul className="error-says">
            {errors.map((one, i) => (
              <li key={one.madeFor} className={`is-line-${i}`}>
                {one.name}, made for {one.madeFor}: {errorSaying(one)}
              </li>
            ))}
          </ul>
        </>
      ) : (
        !broken && <p className="soft">…</p>
      )}
      <p className="soft">
        Plus: metal gone that should stand. Minus: metal left, the flank is full there.
        {composite &&
          ' Older 14½° form cutters are composite curves with eased tips: there the involute figure is a guide.'}
      </p>
    </section>
  );
}

const micro = (error: number): string =>
  `${error > 0 ? '+' : ''}${error.toFixed(Math.abs(error) < 10 ? 1 : 0)} µm`;

function errorSaying({ worst, atRoot, atTip }: CutterErrors): string {
  if (worst < 0.05) return 'exact for this count';
  return `${micro(atTip)} at the tip, ${micro(atRoot)} where the flank begins`;
}

function Plot({ errors }: { readonly errors: readonly CutterErrors[] }) {
  const most = Math.max(1, ...errors.map(({ worst }) => worst));
  const high = Math.max(...errors.map(({ flank }) => flank.at(-1)?.above ?? 1));
  const low = Math.min(...errors.map(({ flank }) => flank[0]?.above ?? 0));
  const x = scaleLinear([low, high], [PAD.left, WIDTH - PAD.right]);
  const y = scaleLinear([-most, most], [HEIGHT - PAD.bottom, PAD.top]).nice(4);
  const path = line<FlankError>(
    ({ above }) => x(above),
    ({ error }) => y(error),
  );
  return (
    <svg
      className="error-plot"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Error of the flank in µm from root to tip: ${errors.map((one) => `${one.name} ${errorSaying(one)}`).join('; ')}`}
    >
      <Axis scale={y} on="left" at={PAD.left} marks={4} />
      <Axis scale={x} on="bottom" at={HEIGHT - PAD.bottom} marks={5} />
      <path d={`M${PAD.left} ${y(0)}H${WIDTH - PAD.right}`} className="error-zero" />
      {[...errors].reverse().map((one, i) => (
        <path
          key={one.madeFor}
          d={path(one.flank) ?? ''}
          className={`error-line is-line-${errors.length - 1 - i}`}
        />
      ))}
      <text x={PAD.left + 6} y={PAD.top + 4}>
        µm
      </text>
      <text x={WIDTH - PAD.right} y={HEIGHT - 2} textAnchor="end">
        mm above the floor of the tooth space, tip at the right
      </text>
    </svg>
  );
}
