import undoable, { type StateWithHistory } from 'redux-undo';

/** Largest number of undo steps. */
const MAX_UNDO_STEPS = 300;

interface EditAction {
  readonly type: string;
  readonly payload?: { readonly gesture?: string };
}

/**
 * Adds undo to a reducer: every edit is a step, and edits of one gesture are one step. Nothing else is recorded. Only one
 * document is open at a time, so undo always applies to that one.
 */
export function withUndo<S>(
  reducer: (state: S | undefined, action: { type: string }) => S,
  editedType: string,
): (state: StateWithHistory<S> | undefined, action: { type: string }) => StateWithHistory<S> {
  // the types of redux-undo are older than Redux 5's reducers; this is the only cast
  return undoable(reducer as never, {
    limit: MAX_UNDO_STEPS,
    filter: (action: EditAction) => action.type === editedType,
    groupBy: (action: EditAction) => (action.type === editedType ? (action.payload?.gesture ?? null) : null),
    syncFilter: true,
  }) as unknown as (state: StateWithHistory<S> | undefined, action: { type: string }) => StateWithHistory<S>;
}
