import { PageNote } from './PageNote';
import { Button } from './Button';

/** Replaces a page that failed to render. Edits are still kept on this device. */
export function PartFailed({ error }: { readonly error: unknown }) {
  return (
    <PageNote title="This page could not be shown.">
      <p role="alert">
        {error instanceof Error ? error.message : 'Unknown reason'}. Your edits are kept here. If the server is not running, start
        it with npm start (or npm run demo), then:
      </p>
      <Button look="main" onClick={() => window.location.reload()}>
        Load the page again
      </Button>
      <a href="/productions">Back to the productions</a>
    </PageNote>
  );
}
