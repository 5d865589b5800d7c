import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ShotDocument } from '@still-heron/contract';
import type { ShotPlan } from '@still-heron/core';
import { ActionCreators, type StateWithHistory } from 'redux-undo';
import { withHistory } from '../../app/history';

/**
 * The shot that is open. Saved: the document. This session's: the undo history, with the name of each step.
 * Whether and how it is saved stands in `savingSlice`.
 */
export interface OpenShot {
  readonly document: ShotDocument | null;
  /** What the last step did, for "Undo: …" */
  readonly stepName: string;
}

export interface DocumentEdit {
  readonly document: ShotDocument;
  readonly name: string;
  /** Edits of one gesture (a drag, a run of nudges) make one step */
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

export const shotReducer = withHistory(slice.reducer, documentEdited.type);

interface WithShot {
  readonly shot: StateWithHistory<OpenShot>;
}

export const selectDocument = (state: WithShot): ShotDocument | null => state.shot.present.document;
export const selectPlan = (state: WithShot): ShotPlan | null => state.shot.present.document?.plan ?? null;
/** Name of the step that undo takes back; null when there is none. */
export const selectUndoName = (state: WithShot): string | null =>
  state.shot.past.length > 0 ? state.shot.present.stepName : null;
export const selectRedoName = (state: WithShot): string | null => state.shot.future[0]?.stepName ?? null;

/** Edits the open plan as it stands when the edit runs, so that a fast drag never works on an old one. */
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

/** Opens a document, or none, with no steps behind it. */
export function openDocument(document: ShotDocument | null) {
  return (dispatch: (action: { type: string }) => void): void => {
    dispatch(document ? shotOpened(document) : shotClosed());
    dispatch(ActionCreators.clearHistory());
  };
}

/** Takes back what a gesture has done so far; nothing when it has done nothing. */
export function abandonGesture(gesture: string) {
  return (dispatch: (action: { type: string }) => void, getState: () => WithShot): void => {
    const { group } = getState().shot as { group?: string | null };
    if (group === gesture) dispatch(ActionCreators.undo());
  };
}
