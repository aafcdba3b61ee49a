import { Component, type ErrorInfo, type ReactNode } from 'react';

interface GuardProps {
  /** What it stands round: `The drawing`. */
  readonly what: string;
  /** What it shows: once that is another object, it is tried anew. */
  readonly of: unknown;
  /** Shown in its place, where it is more than a part of a page. */
  readonly instead?: ReactNode;
  readonly children: ReactNode;
}

interface GuardState {
  readonly fault: Error | null;
  readonly of: unknown;
}

/**
 * A fault in one panel or drawing stays in it: the rest of the page goes on, and the fault says its words.
 */
export class Guard extends Component<GuardProps, GuardState> {
  override state: GuardState = { fault: null, of: this.props.of };

  static getDerivedStateFromError(fault: unknown): Pick<GuardState, 'fault'> {
    return { fault: fault instanceof Error ? fault : new Error(String(fault)) };
  }

  static getDerivedStateFromProps({ of }: GuardProps, state: GuardState): GuardState | null {
    return of === state.of ? null : { fault: null, of };
  }

  override componentDidCatch(fault: Error, { componentStack }: ErrorInfo): void {
    console.error(`${this.props.what} could not be shown:`, fault, componentStack);
  }

  override render(): ReactNode {
    const { fault } = this.state;
    if (!fault) return this.props.children;
    if (this.props.instead !== undefined) return this.props.instead;
    return (
      <div className="guard" role="alert">
        <p>
          {this.props.what} could not be shown. Nothing typed, counted or stored is lost, and the rest of the
          page works on. It is tried again when something changes.
        </p>
        <p className="soft">{fault.message}</p>
        {/* a piece of the program that did not arrive comes with the page only */}
        <button type="button" className="plain-link" onClick={() => window.location.reload()}>
          Load the page again
        </button>
      </div>
    );
  }
}
