import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ShotDocument } from '@still-heron/contract';
import type { ShotPlan } from '@still-heron/core';
import { ActionCreators, type StateWithHistory } from 'redux-undo';
import { withUndo } from '../../shared/undo';

declare module '../../shared/store/hooks' {
  interface RootState {
    readonly shot: StateWithHistory<OpenShot>;
  }
}

/** The open shot with its undo history. Its save state is in `savingSlice`. */
export interface OpenShot {
  readonly document: ShotDocument | null;
  /** Name of the last step, for "Undo: …" */
  readonly stepName: string;
}

export interface DocumentEdit {
  readonly document: ShotDocument;
  readonly name: string;
  /** Edits of one gesture (a drag, a series of key presses) are one step */
  readonly gesture?: string;
}

const slice = createSlice({
  name: 'shot',
  initialState: { document: null, stepName: '' } as OpenShot,
  reducers: {
    shotOpened: (_, { payload }: PayloadAction<ShotDocument>): OpenShot => ({ document: payload, stepName: '' }),
    shotClosed: (): OpenShot => ({ document: null, stepName: '' }),
    documentEdited: (_, { payload }: PayloadAction<DocumentEdit>): OpenShot => ({
      document: payload.document,
      stepName: payload.name,
    }),
  },
});

export const { shotOpened, shotClosed, documentEdited } = slice.actions;

export const shotReducer = withUndo(slice.reducer, documentEdited.type);

interface WithShot {
  readonly shot: StateWithHistory<OpenShot>;
}

export const selectDocument = (state: WithShot): ShotDocument | null => state.shot.present.document;
export const selectPlan = (state: WithShot): ShotPlan | null => state.shot.present.document?.plan ?? null;
/** Name of the step that undo reverts; null if there is none. */
export const selectUndoName = (state: WithShot): string | null =>
  state.shot.past.length > 0 ? state.shot.present.stepName : null;
export const selectRedoName = (state: WithShot): string | null => state.shot.future[0]?.stepName ?? null;

/** Edits the current state of the open plan, so that a fast drag never uses a stale one. */
export function editPlan(name: string, edit: (plan: ShotPlan) => ShotPlan, gesture?: string) {
  return (dispatch: (action: ReturnType<typeof documentEdited>) => void, getState: () => WithShot): void => {
    const document = selectDocument(getState());
    if (!document) return;
    const plan = edit(document.plan);
    if (plan !== document.plan)
      dispatch(documentEdited({ document: { ...document, plan }, name, ...(gesture ? { gesture } : {}) }));
  };
}

/** Edits slate, title or scene. */
export function editHeading(name: string, changes: Partial<Pick<ShotDocument, 'scene' | 'slate' | 'title'>>) {
  return (dispatch: (action: ReturnType<typeof documentEdited>) => void, getState: () => WithShot): void => {
    const document = selectDocument(getState());
    if (document) dispatch(documentEdited({ document: { ...document, ...changes }, name }));
  };
}

/** Opens a document, or none, with an empty undo history. */
export function openDocument(document: ShotDocument | null) {
  return (dispatch: (action: { type: string }) => void): void => {
    dispatch(document ? shotOpened(document) : shotClosed());
    dispatch(ActionCreators.clearHistory());
  };
}

/** Reverts the edits of a gesture; does nothing if there are none. */
export function abandonGesture(gesture: string) {
  return (dispatch: (action: { type: string }) => void, getState: () => WithShot): void => {
    const { group } = getState().shot as { group?: string | null };
    if (group === gesture) dispatch(ActionCreators.undo());
  };
}
