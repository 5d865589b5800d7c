import { changePicture, type FloorPicture, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { type KeyboardEvent, useRef } from 'react';
import { newGesture } from '../../shared/gestures/newGesture';
import { useDrag } from '../../shared/gestures/useDrag';
import { useAppDispatch } from '../../shared/store/hooks';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import type { FloorLayout } from './floorLayout';
import { TurnHandle } from './TurnHandle';
import { nudge } from './useFloorDrag';
import styles from './PictureLayer.module.css';

interface Props {
  readonly picture: FloorPicture;
  readonly layout: FloorLayout;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
}

/** The picture while it is put in place: dragged and turned by hand, or by arrow keys. */
export function PictureHandles({ plan, ...rest }: Omit<Props, 'picture'> & { readonly plan: ShotPlan }) {
  const picture = plan.floor?.picture;
  return picture ? <Handles picture={picture} {...rest} /> : null;
}

function Handles({ picture, layout, pxPerMm, units }: Props) {
  const dispatch = useAppDispatch();
  const grabbed = useRef(picture);
  const gesture = useRef('');
  const change = (name: string, changes: Parameters<typeof changePicture>[1], inGesture: string) =>
    dispatch(editPlan(name, (now) => changePicture(now, changes), inGesture));
  const move = (xMm: number, yMm: number, inGesture: string) => change('move the picture', { xMm, yMm }, inGesture);
  const drag = useDrag({
    onStart: () => (grabbed.current = picture),
    onDrag: ({ dx, dy, gesture: dragged }) =>
      move(grabbed.current.xMm + dx / pxPerMm, grabbed.current.yMm - dy / pxPerMm, dragged),
    onGiveUp: (dragged) => dispatch(abandonGesture(dragged)),
  });
  function onKeyDown(event: KeyboardEvent): void {
    const by = nudge(event.key, event.shiftKey, units);
    if (!by) return;
    event.preventDefault();
    move(picture.xMm + by.xMm, picture.yMm + by.yMm, gesture.current);
  }
  const [x, y] = layout.toPx(picture);
  const [width, height] = [picture.widthMm * pxPerMm, picture.heightMm * pxPerMm];
  return (
    <>
      <rect
        x={-width / 2}
        y={-height / 2}
        width={width}
        height={height}
        transform={`translate(${x},${y}) rotate(${-picture.turnedDeg})`}
        className={styles.held}
        role="button"
        tabIndex={0}
        aria-label={`Picture ${picture.name}`}
        data-testid="held-picture"
        onPointerDown={drag.onPointerDown}
        onFocus={() => (gesture.current = newGesture('floor'))}
        onKeyDown={onKeyDown}
      />
      <TurnHandle
        name="the picture"
        at={[x, y]}
        armPx={Math.max(Math.min(width / 2, 160), 60)}
        turnedDeg={picture.turnedDeg}
        onTurn={(turnedDeg, turned) => change('turn the picture', { turnedDeg }, turned)}
        onGiveUp={(turned) => dispatch(abandonGesture(turned))}
      />
    </>
  );
}
