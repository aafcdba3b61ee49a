export { causesOf, type Cause } from './causes.ts';
export { creep, wrongDifferential, wrongHoles } from './counts.ts';
export { troubleFacts, type TroubleFacts } from './facts.ts';
export { findSymptoms, SYMPTOMS, type SymptomId } from './symptoms.ts';
