import { landingGround, landingText, type DividingChoice, type Landing } from '../../core/dividing/index.ts';
import type { Head } from '../../core/shop/index.ts';
import { approx, exact } from '../../core/units/index.ts';
import { DialView } from './DialView.tsx';
import { PlateView } from './PlateView.tsx';

interface LandingViewProps {
  readonly choice: DividingChoice;
  /** Null where no head is used: a rack on the table. */
  readonly head: Head | null;
  /** Where the move ends. */
  readonly landing: Landing;
  /** Where it begins; null when nothing is moved: the pin stands where it landed. */
  readonly from: Landing | null;
  readonly live?: { readonly plate: number; readonly pin: number } | null;
  readonly large?: boolean;
}

const holeOf = (landing: Landing | null): number => (landing && 'hole' in landing ? landing.hole : 0);

/** Circles on the side of the plate that a choice uses. */
function circlesInUse(head: Head | null, choice: DividingChoice): readonly number[] {
  if (!('plateId' in choice)) return [];
  const plate = head?.plates.find(({ id }) => id === choice.plateId);
  return plate?.sides[choice.side]?.circles ?? [choice.circle];
}

/** A move as it is made and read: on the plate, on the ring, on a wheel, or as a count of steps. */
export function LandingView({ choice, head, landing, from, live = null, large = false }: LandingViewProps) {
  const moved = from !== null;
  const end = holeOf(landing);
  // at rest the pin is where it is: nothing is drawn as still to be made
  const start = moved ? holeOf(from) : end;
  const says = (what: string, of: string) =>
    moved ? `${what}: pin in hole ${start}, lands in hole ${end}${of}` : `${what}: pin in hole ${end}${of}`;
  switch (landing.on) {
    case 'plate':
    case 'two-circles': {
      if (!('plateId' in choice)) return null;
      const { circle, plateName } = choice;
      const [turns, spaces] = moved ? [landing.turns, landing.spaces] : [0, 0];
      const back =
        landing.on === 'two-circles' && choice.method === 'compound'
          ? {
              circle: choice.back.circle,
              spaces: moved ? landing.back : 0,
              from: from?.on === 'two-circles' ? from.backHole : landing.backHole,
              to: landing.backHole,
            }
          : null;
      return (
        <PlateView
          circles={circlesInUse(head, choice)}
          move={{ circle, turns, spaces, from: start, to: end }}
          back={back}
          live={live}
          large={large}
          label={says(`Plate ${plateName}`, ` of ${circle}`)}
        />
      );
    }
    case 'ring': {
      const holes = choice.method === 'direct' ? choice.holes : 0;
      const spaces = moved ? landing.spaces : 0;
      return (
        <PlateView
          circles={[holes]}
          arms={false}
          move={{ circle: holes, turns: 0, spaces, from: start, to: end }}
          live={live}
          large={large}
          label={says(`Ring of ${holes}`, '')}
        />
      );
    }
    case 'dial': {
      const marks = choice.method === 'handwheel' || choice.method === 'table' ? choice.marks : 1;
      const vernier = choice.method === 'handwheel' ? choice.vernier : 1;
      const ground = landingGround(choice, exact(head?.ratio ?? '1'));
      const said = landingText(landing, ground);
      const reading = said.split(/, (?:wheel|mark) /)[1] ?? said;
      return (
        <DialView
          marks={marks}
          vernier={vernier}
          mark={approx(exact(landing.mark))}
          reading={reading}
          large={large}
          label={`The wheel stands at ${said}`}
        />
      );
    }
    case 'steps':
      return null;
  }
}
