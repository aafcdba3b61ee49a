export { templateDxf, templateSvg } from './files.ts';
