import { useCallback, useState } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Follows the size of an element: give `ref` to it. The size is null until it stands in the page. */
export function useSize(): { ref: (element: Element | null) => (() => void) | undefined; size: Size | null } {
  const [size, setSize] = useState<Size | null>(null);
  const ref = useCallback((element: Element | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize((known) => (known && known.width === width && known.height === height ? known : { width, height }));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, size };
}
