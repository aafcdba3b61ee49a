export { TemplateSheet } from './TemplateSheet.tsx';
