import { Component, type ErrorInfo, type ReactNode } from 'react';

interface GuardProps {
  /** What it stands round: `The drawing`. */
  readonly what: string;
  /** Another thing to show begins anew. */
  readonly of: string;
  readonly children: ReactNode;
}

/** A fault in one panel or drawing stays in it: the rest of the page goes on, and the fault says its words. */
export class Guard extends Component<GuardProps, { readonly fault: Error | null; readonly of: string }> {
  override state = { fault: null, of: this.props.of };

  static getDerivedStateFromError(fault: unknown): { readonly fault: Error } {
    return { fault: fault instanceof Error ? fault : new Error(String(fault)) };
  }

  static getDerivedStateFromProps({ of }: GuardProps, state: { readonly of: string }) {
    return of === state.of ? null : { fault: null, of };
  }

  override componentDidCatch(fault: Error, { componentStack }: ErrorInfo): void {
    console.error(`${this.props.what} could not be shown:`, fault, componentStack);
  }

  override render(): ReactNode {
    const { fault } = this.state as { readonly fault: Error | null };
    if (!fault) return this.props.children;
    return (
      <div className="guard" role="alert">
        <p>
          {this.props.what} could not be shown. Nothing typed, counted or stored is lost, and the rest of the
          page works on.
        </p>
        <p className="soft">{fault.message}</p>
        <button type="button" className="plain-link" onClick={() => this.setState({ fault: null })}>
          Try again
        </button>
      </div>
    );
  }
}
