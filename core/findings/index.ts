export { ISSUE_FIGURES, type DetailNames, type DetailOf, type IssueCode } from './details.ts';
export { toldLength, type ToldLength } from './figure.ts';
export {
  placedUnder,
  breaksThings,
  issueOf,
  type FiguresOf,
  type Issue,
  type IssueOf,
  type Severity,
} from './issue.ts';
export { fail, need, ok, type Result } from './result.ts';
export { fieldAt, type FieldIn } from './place.ts';
