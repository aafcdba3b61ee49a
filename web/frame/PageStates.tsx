import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

export function PageWait() {
  return <p className="page-say">Opening…</p>;
}

/** A page that is not there, or that failed to show. */
export function PageFault() {
  const error = useRouteError();
  const missing =
    error === undefined || error === null || (isRouteErrorResponse(error) && error.status === 404);
  return (
    <main className="page-say">
      <h1>{missing ? 'There is no such page' : 'This page could not be shown'}</h1>
      <p>
        {missing
          ? 'The address may be mistyped, or the job was on another workshop.'
          : 'Nothing that was counted or stored is lost. Load the page again; if it stays away, restart Vuelta.'}
      </p>
      <p>
        <Link to="/">Back to the bench</Link>
      </p>
    </main>
  );
}
