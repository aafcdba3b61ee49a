export type { Cause } from './cause.ts';
export { causesOf } from './causes.ts';
export { creep, wrongDifferential, wrongHoles } from './counts.ts';
export { troubleFacts, type TroubleFacts } from './facts.ts';
export { otherScrew, SCREW_SLACK, wrongAlong } from './onTable.ts';
export { findSymptoms, SYMPTOMS, symptomText, type SymptomId } from './symptoms.ts';
