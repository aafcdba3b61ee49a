/**
 * Which fields have asked for the issues that concern them. What none of them asked for is told above the
 * panel, so that nothing the plan raises stays unsaid.
 */
export class IssueDesk {
  private readonly asked = new Set<string>();
  private readonly listeners = new Set<() => void>();
  private told = 0;

  /** A field asks, while it is drawn; who waits for that hears of it when the drawing is done. */
  ask(path: string): void {
    if (this.asked.has(path)) return;
    this.asked.add(path);
    queueMicrotask(() => {
      this.told = this.asked.size;
      for (const listener of this.listeners) listener();
    });
  }

  has = (path: string): boolean => this.asked.has(path);

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Changes with every path that is new. */
  count = (): number => this.told;
}
