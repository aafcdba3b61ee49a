export { ISSUE_FIGURES, type IssueCode, type IssueDetails } from './details.ts';
export {
  at,
  breaksThings,
  issueOf,
  type FiguresOf,
  type Issue,
  type IssueOf,
  type Severity,
} from './issue.ts';
export { ISSUE_CODES, sayIssue } from './messages.ts';
export { fail, need, ok, type Result } from './result.ts';
export { fieldAt, type FieldIn } from './place.ts';
