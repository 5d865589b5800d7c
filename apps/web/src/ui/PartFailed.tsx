import { useRouteError } from 'react-router';
import { PageNote } from './PageNote';

/** Replaces a page that failed to render. Edits are still kept on this device. */
export function PartFailed() {
  const error = useRouteError();
  return (
    <PageNote title="This page could not be shown.">
      <p role="alert">
        {error instanceof Error ? error.message : 'The reason is not known'}. What you edited is kept here. Is the server running?
        Start it again with npm start (or npm run demo), then:
      </p>
      <button type="button" className="main-action" onClick={() => window.location.reload()}>
        Load it again
      </button>
    </PageNote>
  );
}
