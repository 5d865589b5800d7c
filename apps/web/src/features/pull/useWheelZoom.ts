import { useEffect, useRef, useState } from 'react';
import type { PullChartLayout } from './pullChartLayout';

/** Zoom factor per pixel of wheel movement. */
const PER_PX = 1.0016;

/** Ctrl + wheel zooms around the pointer; horizontal wheel or Shift pans. Pass the result as a ref. */
export function useWheelZoom(
  layout: PullChartLayout,
  zoom: (factor: number, aroundS?: number) => void,
  pan: (byS: number) => void,
): (element: SVGSVGElement | null) => void {
  const [element, setElement] = useState<SVGSVGElement | null>(null);
  const current = useRef({ layout, zoom, pan });
  useEffect(() => {
    current.current = { layout, zoom, pan };
  });
  useEffect(() => {
    if (!element) return undefined;
    const onWheel = (event: WheelEvent) => {
      const { layout: now, zoom: draw, pan: move } = current.current;
      const across = event.shiftKey ? event.deltaY : event.deltaX;
      if (event.ctrlKey || event.metaKey) {
        const x = event.clientX - element.getBoundingClientRect().left;
        draw(PER_PX ** -event.deltaY, now.x.invert(Math.min(Math.max(x, now.left), now.right)));
      } else if (Math.abs(across) > 0) move(now.x.invert(now.left + across) - now.x.invert(now.left));
      else return;
      event.preventDefault();
    };
    // React's wheel listeners are passive and could not prevent the page zoom
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, [element]);
  return setElement;
}
