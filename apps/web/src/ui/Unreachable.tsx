import { useEffect } from 'react';
import { problemOf } from '../shared/api/api';
import { PageNote } from './PageNote';

const RETRY_MS = 2000;
const UNREACHABLE =
  'Start it again with npm start (or npm run demo). This page tries again every two seconds. Your edits are kept here.';

interface Props {
  readonly error: unknown;
  readonly retry: () => void;
}

/** Replaces a page whose data could not be loaded. It says why, and tries again while the reason is one that passes. */
export function Unreachable({ error, retry }: Props) {
  const { isPassing, isUnreachable, body } = problemOf(error);
  useEffect(() => {
    if (!isPassing) return undefined;
    const timer = setInterval(retry, RETRY_MS);
    return () => clearInterval(timer);
  }, [isPassing, retry]);
  const refused = body.code === 'not-found' ? 'It may have been deleted, or the address is incomplete.' : `Needed: ${body.need}.`;
  return (
    <PageNote
      title={isUnreachable ? 'The server does not answer.' : `${body.message[0]?.toUpperCase()}${body.message.slice(1)}.`}
    >
      <p role="alert">{isUnreachable ? UNREACHABLE : refused}</p>
      {!isUnreachable && <a href="/productions">Back to the productions</a>}
    </PageNote>
  );
}
