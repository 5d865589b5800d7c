import { useEffect, useRef } from 'react';

/** @returns the latest ring angle of a wheel or motor at the port; null until one was sent */
export function useRingPort(): () => number | null {
  const latestDeg = useRef<number | null>(null);
  useEffect(() => {
    let isOver = false;
    let close = () => {};
    // the connection is not part of the first load of a page
    void import('../../shared/live/ringPort').then(({ openRingPort }) => {
      if (!isOver) close = openRingPort((ringDeg) => (latestDeg.current = ringDeg));
    });
    return () => {
      isOver = true;
      close();
    };
  }, []);
  return () => latestDeg.current;
}
