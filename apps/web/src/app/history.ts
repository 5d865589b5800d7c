import undoable, { type StateWithHistory } from 'redux-undo';

/** Steps kept: an evening's work. */
const HISTORY = 300;

interface EditAction {
  readonly type: string;
  readonly payload?: { readonly gesture?: string };
}

/**
 * A reducer with undo: every edit is a step, the edits of one gesture make one step together, and nothing else is remembered.
 * Only one document of the page is open at a time, so that undo always means that one.
 */
export function withHistory<S>(
  reducer: (state: S | undefined, action: { type: string }) => S,
  editedType: string,
): (state: StateWithHistory<S> | undefined, action: { type: string }) => StateWithHistory<S> {
  // redux-undo's types are older than Redux 5's reducers: what it returns is put right here, once
  return undoable(reducer as never, {
    limit: HISTORY,
    filter: (action: EditAction) => action.type === editedType,
    groupBy: (action: EditAction) => (action.type === editedType ? (action.payload?.gesture ?? null) : null),
    syncFilter: true,
  }) as unknown as (state: StateWithHistory<S> | undefined, action: { type: string }) => StateWithHistory<S>;
}
