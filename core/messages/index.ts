export { ISSUE_CODES, sayIssue } from './messages.ts';
