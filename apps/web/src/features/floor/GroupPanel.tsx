import { copyOnFloor, type FloorItem, removeFromFloor } from '@still-heron/core';
import { useAppDispatch, useAppStore } from '../../shared/store/hooks';
import { groupSelected, itemSelected, itemsCopied } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import layoutStyles from '../../ui/layout.module.css';

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
      dispatch(editPlan(copies.length === 1 ? 'paste a copy' : 'paste copies', (now) => copyOnFloor(now, items, BESIDE).plan));
      dispatch(groupSelected(copies));
      // offset the next copy from this one
      dispatch(itemsCopied(copies));
    },
    remove(items: readonly FloorItem[]): void {
      const [only] = items;
      const thing = only?.kind === 'camera' ? 'camera position' : only?.kind;
      const name = items.length > 1 ? `delete ${items.length} items` : `delete a ${thing}`;
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
    <section aria-label="Selection">
      <h2>{held.length} items selected</h2>
      <p className={textStyles.muted}>
        Drag one of them, or press the arrow keys, and all of them move. Shift and click adds or removes an item.
      </p>
      <div className={layoutStyles.sideActions}>
        <Button onClick={() => edits.putDown(held)}>Copy beside them</Button>
        <Button onClick={() => edits.remove(held)}>Delete them</Button>
      </div>
    </section>
  );
}
