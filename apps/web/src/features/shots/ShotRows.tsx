import type { ShotRowView } from '@still-heron/contract';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import styles from './ShotsPage.module.css';

interface Props {
  readonly shots: readonly ShotRowView[];
  readonly row: (shot: ShotRowView, index: number) => ReactNode;
}

/** Height of a row without its scene, until it is measured. */
const ROW_PX = 85;
/** Rows beyond the visible ones, so that a drag or the Tab key finds the next row. */
const OVERSCAN = 8;

/** Rows of shots. Only those near the visible ones are rendered, so hundreds of shots stay fast. */
export function ShotRows({ shots, row }: Props) {
  const list = useRef<HTMLOListElement>(null);
  const [scroller, setScroller] = useState<HTMLElement | null>(null);
  const [offsetPx, setOffsetPx] = useState(0);
  useLayoutEffect(() => {
    const main = list.current!.closest('main');
    setScroller(main);
    if (main) setOffsetPx(list.current!.getBoundingClientRect().top - main.getBoundingClientRect().top + main.scrollTop);
  }, []);
  const virtual = useVirtualizer({
    count: shots.length,
    getScrollElement: () => scroller,
    estimateSize: () => ROW_PX,
    getItemKey: (index) => shots[index]!.id,
    overscan: OVERSCAN,
    scrollMargin: offsetPx,
    initialRect: { width: 1200, height: 800 },
  });
  return (
    <ol className={styles.shotRows} ref={list} style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ key, index, start }) => (
        <li
          key={key}
          ref={virtual.measureElement}
          data-index={index}
          aria-setsize={shots.length}
          aria-posinset={index + 1}
          className={styles.shotPlace}
          style={{ top: start - offsetPx }}
        >
          {row(shots[index]!, index)}
        </li>
      ))}
    </ol>
  );
}
