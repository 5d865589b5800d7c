import type { FloorItem, Place, ShotPlan } from '@still-heron/core';
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { useAppDispatch } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import type { Size } from '../../shared/useSize';
import { groupSelected, itemSelected } from '../shot/sessionSlice';
import type { FloorLayout, FloorView } from './floorLayout';
import type { ToolName } from './FloorTools';
import styles from './FloorGround.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly layout: FloorLayout;
  readonly view: FloorView;
  readonly size: Size;
  readonly tool: ToolName | null;
  readonly onView: (view: FloorView) => void;
  readonly onTool: (place: Place) => void;
  /** A line was drawn on the picture */
  readonly onLength: (from: Place, to: Place) => void;
}

type Stretch = readonly [from: readonly [number, number], to: readonly [number, number]];

/** The ground: a press uses the tool, a drag pans, a drag with Shift selects. The scale tool draws a line of known length. */
export function FloorGround(props: Props) {
  const { size, tool } = props;
  const { ground, stretch, onPointerDown, onKeyDown } = useGround(props);
  const takesPress = takesAPress(tool);
  return (
    <>
      <rect
        ref={ground}
        width={size.width}
        height={size.height}
        fill="transparent"
        className={styles.floorGround}
        data-testid="floor-ground"
        tabIndex={takesPress ? 0 : undefined}
        role={takesPress ? 'button' : undefined}
        aria-label={takesPress ? 'The middle of the view' : undefined}
        onPointerDown={onPointerDown}
        onKeyDown={onKeyDown}
      />
      {takesPress && <path d={`M${size.width / 2 - 8},${size.height / 2}h16m-8,-8v16`} className={styles.floorMiddle} />}
      {stretch && <path d={tool === 'scale' ? lineOf(stretch) : frameOf(stretch)} className={styles.floorStretch} />}
    </>
  );
}

/** Whether a press on the ground uses the tool. The scale is drawn, and the picture has handles. */
function takesAPress(tool: ToolName | null): boolean {
  return tool !== null && tool !== 'scale' && tool !== 'picture';
}

/** Presses, drags and keys on the ground. */
function useGround({ plan, layout, view, tool, onView, onTool, onLength }: Props) {
  const dispatch = useAppDispatch();
  const ground = useRef<SVGRectElement>(null);
  const grabbed = useRef(view);
  const stretching = useRef<'frame' | 'length' | null>(null);
  const startPx = useRef<readonly [number, number]>([0, 0]);
  const [stretch, setStretch] = useState<Stretch | null>(null);
  // the release may come before the last move is drawn
  const stretched = useRef<Stretch | null>(null);
  const stretchTo = (next: Stretch | null) => {
    stretched.current = next;
    setStretch(next);
  };
  useEffect(() => {
    if (takesAPress(tool)) ground.current?.focus();
  }, [tool]);

  const drag = useDrag({
    onStart: () => (grabbed.current = view),
    onDrag: ({ dx, dy }) => {
      const [x, y] = startPx.current;
      if (stretching.current) stretchTo([startPx.current, [x + dx, y + dy]]);
      else {
        const { centre, pxPerMm } = grabbed.current;
        onView({ pxPerMm, centre: { xMm: centre.xMm - dx / pxPerMm, yMm: centre.yMm + dy / pxPerMm } });
      }
    },
    onEnd: () => {
      const drawn = stretched.current;
      if (drawn && stretching.current === 'frame') dispatch(groupSelected(within(plan, layout, drawn)));
      if (drawn && stretching.current === 'length') onLength(layout.toPlace(drawn[0]), layout.toPlace(drawn[1]));
      stretchTo(null);
    },
    onGiveUp: () => {
      if (!stretching.current) onView(grabbed.current);
      stretchTo(null);
    },
  });
  function onPointerDown(event: PointerEvent<SVGRectElement>): void {
    const box = event.currentTarget.getBoundingClientRect();
    startPx.current = [event.clientX - box.left, event.clientY - box.top];
    const framed = tool === null && event.shiftKey ? 'frame' : null;
    stretching.current = tool === 'scale' ? 'length' : framed;
    if (takesAPress(tool)) {
      if (event.button === 0) onTool(layout.toPlace(startPx.current));
      return;
    }
    if (stretching.current === null) dispatch(itemSelected(null));
    drag.onPointerDown(event);
  }
  function onKeyDown(event: KeyboardEvent): void {
    if (event.key !== 'Enter' || tool === null) return;
    event.preventDefault();
    if (takesAPress(tool)) onTool(view.centre);
  }
  return { ground, stretch, onPointerDown, onKeyDown };
}

function lineOf([[x1, y1], [x2, y2]]: Stretch): string {
  return `M${x1},${y1}L${x2},${y2}`;
}

function frameOf([[x1, y1], [x2, y2]]: Stretch): string {
  return `M${x1},${y1}H${x2}V${y2}H${x1}Z`;
}

/** Items whose place is inside a rectangle. */
function within({ marks, floor }: ShotPlan, { toPx }: FloorLayout, [[x1, y1], [x2, y2]]: Stretch): FloorItem[] {
  const isIn = (place: Place | null) => {
    if (place === null) return false;
    const [x, y] = toPx(place);
    return x >= Math.min(x1, x2) && x <= Math.max(x1, x2) && y >= Math.min(y1, y2) && y <= Math.max(y1, y2);
  };
  const pick = (kind: FloorItem['kind'], items: readonly { readonly id: string }[]) => items.map(({ id }) => ({ kind, id }));
  return [
    ...pick(
      'mark',
      marks.filter(({ place }) => isIn(place)),
    ),
    ...pick('landmark', floor!.landmarks.filter(isIn)),
    ...pick('camera', floor!.camera.filter(isIn)),
  ];
}
