import type { TroubleFacts } from './facts.ts';

/** What a person sees, hears or measures. */
export const SYMPTOMS = [
  {
    id: 'end-tooth',
    say: 'One tooth at the end is thin, thick or half',
    ofOther: 'What is left at the end is too narrow or too wide',
    words: 'half tooth last tooth thin thick end does not close odd tooth',
  },
  {
    id: 'marks',
    say: 'The scratch round does not close',
    words: 'scratch marks last mark first mark do not close miss beside',
  },
  {
    id: 'drift',
    say: 'Every tooth is a little off',
    ofOther: 'Each one is a little off',
    words: 'drift all teeth thin growing spacing wrong every tooth',
  },
  {
    id: 'once-round',
    say: 'Thick on one side, thin on the other',
    words: 'eccentric once per turn wobble runout one side periodic',
  },
  {
    id: 'nick',
    say: 'A flat nick on the teeth, at one end',
    ofOther: 'A nick beside each one, at one end',
    words: 'nick gouge flat mark entry exit scratch land',
  },
  {
    id: 'lean',
    say: 'The teeth lean',
    ofOther: 'They lean, or stand beside the middle',
    words: 'lean leaning slanted not upright off centre crooked',
  },
  { id: 'tight', say: 'Too tight with its mate', words: 'tight binds mesh no backlash stiff' },
  {
    id: 'loose',
    say: 'Too much play with its mate',
    words: 'loose play slack backlash rattles knocks thin teeth too much',
  },
  {
    id: 'shallow',
    say: 'Shallow in the middle, or tapered along the face',
    words: 'shallow taper depth middle bend deflect',
  },
  {
    id: 'noise',
    say: 'It rings, chatters or moves',
    words: 'ringing chatter noise loose vibration sing move',
  },
  { id: 'motor', say: 'The motor labours or jerks', words: 'stepper motor labours missed steps stall hot' },
  {
    id: 'count',
    say: 'Another number of teeth came out',
    ofOther: 'Another number came out',
    words: 'wrong count number of teeth total too many too few',
  },
] as const;
type Symptom = (typeof SYMPTOMS)[number];
export type SymptomId = Symptom['id'];

/** A symptom in the words of the work: slots, flats and holes have no teeth. */
export const symptomText = (symptom: Symptom, { work }: Pick<TroubleFacts, 'work'>): string =>
  work === 'divided' && 'ofOther' in symptom ? symptom.ofOther : symptom.say;

const SMALL = ['and', 'the', 'with', 'that', 'there', 'this', 'its', 'for', 'are', 'has', 'out', 'over'];
/** `sings`, `singing` and `sing` are one. */
const stem = (word: string): string => word.slice(0, 4);
const stemsOf = (text: string): string[] => (text.match(/[a-z]{3,}/g) ?? []).map(stem);

/** Symptoms that go with a description, best first; all of them where nothing does. */
export function findSymptoms(described: string): readonly Symptom[] {
  const words = (described.toLowerCase().match(/[a-z]{3,}/g) ?? []).filter((word) => !SMALL.includes(word));
  const marked = SYMPTOMS.map((symptom, i) => ({
    symptom,
    i,
    hits: words.filter((word) =>
      stemsOf(`${symptom.say.toLowerCase()} ${symptom.words}`).includes(stem(word)),
    ).length,
  }));
  const hit = marked.filter(({ hits }) => hits > 0).sort((a, b) => b.hits - a.hits || a.i - b.i);
  return (hit.length > 0 ? hit : marked).map(({ symptom }) => symptom);
}
