import { useEffect, useState } from 'react';

/** Time from what comes first to what comes later; and for a page on which the first never comes. */
const LATER_MS = 300;
const LATEST_MS = 1000;

/**
 * False at first, and true a while after what comes first is there: for parts that can come later.
 *
 * @param isReady - what comes first is there
 */
export function useAfterPaint(isReady: boolean): boolean {
  const [isPainted, setIsPainted] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsPainted(true), isReady ? LATER_MS : LATEST_MS);
    return () => clearTimeout(timer);
  }, [isReady]);
  return isPainted;
}
