let context: AudioContext | null = null;

/** How long the pin rings, s, and its two notes, Hz: the spring’s and the plate’s. */
const RINGS = 0.05;
const NOTES = [
  [2300, 0.16],
  [340, 0.3],
] as const;

/** The pin falls into its hole, to be heard. A browser without sound says nothing. */
export function clickOfPin(): void {
  try {
    context ??= new AudioContext();
    const now = context.currentTime;
    for (const [frequency, loud] of NOTES) {
      const note = context.createOscillator();
      const gain = context.createGain();
      note.frequency.value = frequency;
      gain.gain.setValueAtTime(loud, now);
      gain.gain.exponentialRampToValueAtTime(0.001, now + RINGS);
      note.connect(gain).connect(context.destination);
      note.start(now);
      note.stop(now + RINGS);
    }
  } catch {
    // nothing of anyone's depends on it
  }
}
