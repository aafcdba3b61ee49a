import { create } from 'zustand';
import type { SpurPart } from '../../core/kinds/index.ts';

type Face = 'hand' | 'gear';

interface FaceState {
  /** What a person turned to, by part; without it the face follows from the job. */
  readonly turned: Readonly<Record<string, Face>>;
  turn(key: string, face: Face): void;
}

/** Which side of the gear station is up: what is at hand, or the gear that was taken for it. */
const useFaces = create<FaceState>()((set) => ({
  turned: {},
  turn: (key, face) => set(({ turned }) => ({ turned: { ...turned, [key]: face } })),
}));

export function useFace(jobId: string, part: SpurPart): { face: Face; turn: (face: Face) => void } {
  const key = `${jobId} ${part.id}`;
  const turned = useFaces(({ turned: all }) => all[key]);
  const turn = useFaces((state) => state.turn);
  const { arrival } = part;
  const own: Face = arrival.by === 'drawing' || arrival.taken !== null ? 'gear' : 'hand';
  return {
    face: arrival.by === 'drawing' ? 'gear' : (turned ?? own),
    turn: (face) => turn(key, face),
  };
}
