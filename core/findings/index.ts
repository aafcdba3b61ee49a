export { at, breaksThings, type Issue, type IssueCode, type Severity } from './issue.ts';
export { ISSUE_CODES, sayIssue } from './messages.ts';
export { fail, need, ok, type Result } from './result.ts';
