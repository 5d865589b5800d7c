import { copyOnFloor, type FloorItem, removeFromFloor } from '@still-heron/core';
import { Button } from 'antd';
import { useAppDispatch, useAppStore } from '../../app/store';
import { groupSelected, itemSelected, itemsCopied } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';

/** Offset of a copy from its original. */
const BESIDE = { xMm: 500, yMm: -500 };

/** Actions on all selected items. */
export function useFloorEdits() {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  return {
    copy: (items: readonly FloorItem[]) => dispatch(itemsCopied(items)),
    putDown(items: readonly FloorItem[]): void {
      const plan = selectPlan(store.getState());
      if (!plan) return;
      const { copies } = copyOnFloor(plan, items, BESIDE);
      if (copies.length === 0) return;
      dispatch(
        editPlan(copies.length === 1 ? 'put a copy down' : 'put copies down', (now) => copyOnFloor(now, items, BESIDE).plan),
      );
      dispatch(groupSelected(copies));
      // offset the next copy from this one
      dispatch(itemsCopied(copies));
    },
    remove(items: readonly FloorItem[]): void {
      const [only] = items;
      const name =
        items.length > 1
          ? `take ${items.length} things away`
          : only?.kind === 'camera'
            ? 'the camera does not go there'
            : `take a ${only?.kind} away`;
      dispatch(editPlan(name, (now) => removeFromFloor(now, items)));
      dispatch(itemSelected(null));
    },
    selectAll(): void {
      const plan = selectPlan(store.getState());
      if (!plan?.floor) return;
      const items = [
        ...plan.marks.flatMap(({ id, place }): FloorItem[] => (place ? [{ kind: 'mark', id }] : [])),
        ...plan.floor.landmarks.map(({ id }): FloorItem => ({ kind: 'landmark', id })),
        ...plan.floor.camera.map(({ id }): FloorItem => ({ kind: 'camera', id })),
      ];
      dispatch(groupSelected(items));
    },
  };
}

/** Panel for several selected items. */
export function GroupPanel({ held }: { readonly held: readonly FloorItem[] }) {
  const edits = useFloorEdits();
  return (
    <section aria-label="What is held">
      <h2>{held.length} things held together</h2>
      <p className="haze">
        Drag one of them, or press the arrow keys: they all go. Shift and a press takes one more, or one less.
      </p>
      <div className="side-actions">
        <Button onClick={() => edits.putDown(held)}>Put a copy beside them</Button>
        <Button onClick={() => edits.remove(held)}>Take them away</Button>
      </div>
    </section>
  );
}
