import {
  type FloorItem,
  MM_PER_INCH,
  moveOnFloor,
  type Place,
  type ShotPlan,
  type UnitSystem,
  type Landmark,
} from '@still-heron/core';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { newGesture } from '../../shared/gestures/newGesture';
import { useAppDispatch, useAppSelector, useAppStore, type RootState } from '../../shared/store/hooks';
import { useDrag } from '../../shared/gestures/useDrag';
import { itemReached, itemSelected, itemToggled, selectHeld } from '../shot/sessionSlice';
import { abandonGesture, editPlan, selectPlan } from '../shot/shotSlice';
import { type Guide, othersThan, snap } from './snap';

/** Step of an arrow key, with and without Shift: round values in either unit. */
const NUDGES_MM = {
  metric: { near: 100, far: 1000 },
  imperial: { near: 3 * MM_PER_INCH, far: 36 * MM_PER_INCH },
};

/** Step of an arrow key; null for another key. */
export function nudge(key: string, isFar: boolean, units: UnitSystem): Place | null {
  const by = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  const stepMm = NUDGES_MM[units][isFar ? 'far' : 'near'];
  return by ? { xMm: by[0]! * stepMm, yMm: by[1]! * stepMm } : null;
}

/** Place of an item on the floor. */
function placeOf({ marks, floor }: ShotPlan, { kind, id }: FloorItem): Place {
  if (kind === 'mark') return marks.find((mark) => mark.id === id)!.place!;
  return (kind === 'camera' ? floor!.camera : floor!.landmarks).find((thing) => thing.id === id)!;
}

/** What an item aligns with: the places of the others, and for a camera the tracks. */
function snapTo(state: RootState, item: FloorItem): { others: readonly Place[]; tracks: readonly Landmark[] } {
  const plan: ShotPlan = selectPlan(state)!;
  const tracks = item.kind === 'camera' ? (plan.floor?.landmarks ?? []).filter(({ shape }) => shape === 'track') : [];
  return { others: othersThan(plan, selectHeld(state)), tracks };
}

function wayFrom(from: Place, to: Place): Place {
  return { xMm: to.xMm - from.xMm, yMm: to.yMm - from.yMm };
}

interface Options {
  readonly item: FloorItem;
  /** Name of the undo step */
  readonly name: string;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
  readonly onGuides: (guides: readonly Guide[]) => void;
}

/**
 * Selecting and moving an item on the floor. A press selects it, Shift adds it to the selection. A drag or an arrow key moves
 * all selected items, with alignment; Alt turns alignment off.
 */
export function useFloorDrag({ item, name, pxPerMm, units, onGuides }: Options) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const isHeld = useAppSelector((state) => selectHeld(state).some(({ kind, id }) => kind === item.kind && id === item.id));
  const grabbed = useRef<Place>({ xMm: 0, yMm: 0 });
  const gesture = useRef('');
  const isPressed = useRef(false);

  // several pointer moves can arrive between two renders
  const placeNow = () => placeOf(selectPlan(store.getState())!, item);
  function moveBy(by: Place, inGesture: string): void {
    // the item can have keyboard focus without being selected, after Escape
    if (selectHeld(store.getState()).length === 0) dispatch(itemSelected(item));
    const held = selectHeld(store.getState());
    const words = held.length > 1 ? `move ${held.length} items` : name;
    dispatch(editPlan(words, (now) => moveOnFloor(now, held, by), inGesture));
  }
  const drag = useDrag({
    onStart: () => (grabbed.current = placeNow()),
    onDrag: ({ dx, dy, isAlt, gesture: dragged }) => {
      const pointed = { xMm: grabbed.current.xMm + dx / pxPerMm, yMm: grabbed.current.yMm - dy / pxPerMm };
      const to = isAlt ? { place: pointed, guides: [] } : snap(pointed, { ...snapTo(store.getState(), item), pxPerMm, units });
      onGuides(to.guides);
      moveBy(wayFrom(placeNow(), to.place), dragged);
    },
    onEnd: () => onGuides([]),
    onGiveUp: (dragged) => {
      onGuides([]);
      dispatch(abandonGesture(dragged));
    },
  });
  return {
    isHeld,
    handlers: {
      onPointerDown: (event: PointerEvent<Element>) => {
        isPressed.current = true;
        if (event.shiftKey) {
          dispatch(itemToggled(item));
          event.stopPropagation();
          return;
        }
        if (!isHeld) dispatch(itemSelected(item));
        drag.onPointerDown(event);
      },
      onFocus: () => {
        gesture.current = newGesture('floor');
        // a press has already selected; with the keyboard, a group stays selected until Enter
        if (!isPressed.current && selectHeld(store.getState()).length < 2) dispatch(itemReached(item));
        isPressed.current = false;
      },
      // pressing the focused item sends no focus event
      onBlur: () => (isPressed.current = false),
      onKeyDown: (event: KeyboardEvent) => {
        if (event.key === 'Enter') {
          event.preventDefault();
          return void dispatch(event.shiftKey ? itemToggled(item) : itemSelected(item));
        }
        const by = nudge(event.key, event.shiftKey, units);
        if (!by) return;
        event.preventDefault();
        moveBy(by, gesture.current);
      },
    },
  };
}
