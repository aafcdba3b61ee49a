/**
 * For tests: what React draws anew. To be imported before anything that imports React’s renderer.
 */
interface Fiber {
  readonly type: { readonly name?: string; readonly type?: { readonly name?: string } } | string | null;
  readonly flags: number;
  readonly alternate: Fiber | null;
  readonly child: Fiber | null;
  readonly sibling: Fiber | null;
}

/** React sets this on a component that it has just called. */
const PERFORMED_WORK = 1;
/** How often each component was drawn anew, by its name. */
export const drawn = new Map<string, number>();

const nameOf = ({ type }: Fiber): string =>
  typeof type === 'string' || type === null ? '' : (type.name ?? type.type?.name ?? '');

/** What a commit has drawn: below what was left as it is, nothing was. */
function countDrawn(fiber: Fiber | null): void {
  for (let at = fiber; at; at = at.sibling) {
    const name = nameOf(at);
    if (name && (at.flags & PERFORMED_WORK) !== 0) drawn.set(name, (drawn.get(name) ?? 0) + 1);
    if (at.child !== at.alternate?.child) countDrawn(at.child);
  }
}

// what React tells those who watch it; it is there before React is
Object.assign(globalThis, {
  __REACT_DEVTOOLS_GLOBAL_HOOK__: {
    supportsFiber: true,
    inject: () => 1,
    onCommitFiberRoot: (_id: number, root: { readonly current: Fiber }) => countDrawn(root.current.child),
    onCommitFiberUnmount: () => {},
  },
});
