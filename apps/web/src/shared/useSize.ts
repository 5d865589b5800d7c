import { useCallback, useState } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Observes the size of an element: pass it `ref`. The size is null until the element is mounted. */
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
