/** The house's own lint rules. */
import { existsSync } from 'node:fs';
import path from 'node:path';

const INDEX = 'index.ts';

/** A second public file of a folder, where one would make a circle. */
const FACES = ['core/kinds/plans.ts'];

/** The outermost folder that holds the target, not the one who imports it, and has an index. */
function roomBetween(root, from, target) {
  const steps = path.relative(root, path.dirname(target)).split(path.sep);
  for (let i = 1; i <= steps.length; i++) {
    const folder = path.join(root, ...steps.slice(0, i));
    const inside = (from + path.sep).startsWith(folder + path.sep);
    if (!inside && existsSync(path.join(folder, INDEX))) return folder;
  }
  return null;
}

/** A folder that has an index is entered through it. */
const throughTheIndex = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { past: '{{folder}}/ is entered through its index.ts: import from there.' },
  },
  create(context) {
    const root = context.cwd;
    const from = path.dirname(context.filename);
    const look = (node) => {
      const asked = node.source?.value;
      if (typeof asked !== 'string' || !asked.startsWith('.') || asked.endsWith('.css')) return;
      const target = path.resolve(from, asked);
      if (FACES.includes(path.relative(root, target).split(path.sep).join('/'))) return;
      const folder = roomBetween(root, from, target);
      if (folder === null || target === path.join(folder, INDEX)) return;
      context.report({ node, messageId: 'past', data: { folder: path.relative(root, folder) } });
    };
    return {
      ImportDeclaration: look,
      ExportNamedDeclaration: look,
      ExportAllDeclaration: look,
      ImportExpression: look,
    };
  },
};

/** The formatter decides the shape of everything. */
const noFormatterIgnored = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { ignored: 'The formatter decides the shape: give the code another form instead.' },
  },
  create(context) {
    return {
      Program() {
        for (const comment of context.sourceCode.getAllComments())
          if (/prettier-ignore/.test(comment.value))
            context.report({ loc: comment.loc, messageId: 'ignored' });
      },
    };
  },
};

export default {
  rules: { 'through-the-index': throughTheIndex, 'no-formatter-ignored': noFormatterIgnored },
};
