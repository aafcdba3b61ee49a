import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { Guard } from './Guard.tsx';

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

function FailedPage() {
  return (
    <PageFault title="This page could not be shown">
      Nothing that was counted or stored is lost. Load the page again; if it stays away, restart Vuelta.
    </PageFault>
  );
}

/** A page that failed to show, or did not arrive, says so; another address is another try. */
export function PageGuard({ children }: { readonly children: ReactNode }) {
  const { key } = useLocation();
  return (
    <Guard what="The page" of={key} instead={<FailedPage />}>
      {children}
    </Guard>
  );
}
