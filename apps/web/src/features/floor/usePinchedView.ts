import { usePinch } from '@use-gesture/react';
import { type RefObject, useRef } from 'react';
import type { Size } from '../../shared/useSize';
import { type FloorView, scaledView } from './floorLayout';

/** Two fingers scale and move the view: what was under them at the start stays under them. */
export function usePinchedView(
  target: RefObject<SVGSVGElement | null>,
  { view, size, onView }: { readonly view: FloorView; readonly size: Size; readonly onView: (view: FloorView) => void },
): void {
  const start = useRef({ view, x: 0, y: 0 });
  usePinch(
    ({ origin: [x, y], movement: [factor], first }) => {
      const box = target.current!.getBoundingClientRect();
      const at = { x: x - box.left, y: y - box.top };
      if (first) start.current = { view, ...at };
      const { view: from, x: fromX, y: fromY } = start.current;
      const scaled = scaledView(from, factor, [fromX, fromY], size);
      const [dx, dy] = [(at.x - fromX) / scaled.pxPerMm, (at.y - fromY) / scaled.pxPerMm];
      onView({ ...scaled, centre: { xMm: scaled.centre.xMm - dx, yMm: scaled.centre.yMm + dy } });
    },
    // the wheel has its own way of scaling
    { target, pinchOnWheel: false, eventOptions: { passive: false } },
  );
}
