import { Component, type ErrorInfo, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';

export function PageWait() {
  return <p className="page-say">Opening…</p>;
}

function PageFault({ title, children }: { readonly title: string; readonly children: string }) {
  return (
    <main className="page-say">
      <h1>{title}</h1>
      <p>{children}</p>
      <p>
        <Link to="/">Back to the bench</Link>
      </p>
    </main>
  );
}

export function NoSuchPage() {
  return (
    <PageFault title="There is no such page">
      The address may be mistyped, or the job was on another workshop.
    </PageFault>
  );
}

interface FaultProps {
  /** Of the page that is shown: at another the fault is over. */
  readonly place: string;
  readonly children: ReactNode;
}

interface FaultState {
  readonly failed: boolean;
  readonly place: string;
}

class FaultOf extends Component<FaultProps, FaultState> {
  override state: FaultState = { failed: false, place: this.props.place };

  static getDerivedStateFromError(): Pick<FaultState, 'failed'> {
    return { failed: true };
  }

  static getDerivedStateFromProps({ place }: FaultProps, state: FaultState): FaultState | null {
    return place === state.place ? null : { failed: false, place };
  }

  override componentDidCatch(fault: Error, { componentStack }: ErrorInfo): void {
    console.error('The page could not be shown:', fault, componentStack);
  }

  override render(): ReactNode {
    if (!this.state.failed) return this.props.children;
    return (
      <PageFault title="This page could not be shown">
        Nothing that was counted or stored is lost. Load the page again; if it stays away, restart Vuelta.
      </PageFault>
    );
  }
}

/** A page that failed to show, or did not arrive, says so; another address is another try. */
export function PageGuard({ children }: { readonly children: ReactNode }) {
  const { key } = useLocation();
  return <FaultOf place={key}>{children}</FaultOf>;
}
