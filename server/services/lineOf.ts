import { findNodeAtLocation, parseTree, type Node } from 'jsonc-parser';
import type { Issue } from '../../core/findings/index.ts';

/** A part is named by its id, and anything else in a list by its place. */
function below(node: Node, name: string): Node | undefined {
  if (node.type === 'object') return findNodeAtLocation(node, [name]);
  if (node.type !== 'array') return undefined;
  const byId = node.children?.find((child) => findNodeAtLocation(child, ['id'])?.value === name);
  return byId ?? (/^\d+$/.test(name) ? findNodeAtLocation(node, [Number(name)]) : undefined);
}

/** Of a place in a text, from 1. */
export const lineAt = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;

/**
 * Issues of a file with the line that each stands in: its field’s own, or, where a field is lacking, that of
 * what lacks it.
 * @param text of the file, JSON
 */
export function withLines(text: string, issues: readonly Issue[]): readonly Issue[] {
  const tree = parseTree(text);
  if (!tree) return issues;
  return issues.map((issue) => {
    if (issue.code !== 'shape' || issue.path === '') return issue;
    let at = tree;
    for (const name of issue.path.split('.')) {
      const next = below(at, name);
      if (!next) break;
      at = next;
    }
    return { ...issue, detail: { what: `Line ${lineAt(text, at.offset)}. ${issue.detail.what}` } };
  });
}
