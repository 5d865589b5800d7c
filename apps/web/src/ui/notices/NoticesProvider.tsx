import { type ReactNode, Suspense, useEffect, useState } from 'react';
import { lazyPart } from '../../shared/lazyPart';
import { createNoticeLine, NoticesContext } from './notices';

/** The place is loaded this long after the page, while the server is there: what it tells is often that the server is gone. */
const LOAD_AFTER_MS = 2500;

const NoticePlace = lazyPart(() => import('./NoticePlace').then(({ NoticePlace }) => NoticePlace));

/** Gives notices to the parts inside. What shows them is loaded after the page, or when there is something to show. */
export function NoticesProvider({ children }: { readonly children: ReactNode }) {
  const [isDue, setDue] = useState(false);
  const [line] = useState(() => createNoticeLine(() => setDue(true)));
  useEffect(() => {
    const timer = setTimeout(() => setDue(true), LOAD_AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <NoticesContext value={line.notices}>
      {children}
      <Suspense>{isDue && <NoticePlace onReady={line.connect} />}</Suspense>
    </NoticesContext>
  );
}
