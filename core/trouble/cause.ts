/** What may be behind a symptom, the test that tells it from the others, and what to do. */
export interface Cause {
  readonly key: string;
  readonly cause: string;
  readonly test: string;
  readonly mend: string;
}
