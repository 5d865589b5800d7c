import { createSlice, type PayloadAction, type UnknownAction } from '@reduxjs/toolkit';
import type { ErrorBody } from '@still-heron/contract';
import { codeInAddress } from '@still-heron/wording';
import type { AppDispatch, RootState } from '../store/hooks';

/** Whether this device must give the crew code before the server answers it. */
interface Entry {
  readonly isAsked: boolean;
  readonly isTrying: boolean;
  /** Why the last code was refused */
  readonly problem: ErrorBody | null;
}

const slice = createSlice({
  name: 'entry',
  initialState: { isAsked: false, isTrying: false, problem: null } as Entry,
  reducers: {
    asked: (entry) => ({ ...entry, isAsked: true }),
    trying: (entry) => ({ ...entry, isTrying: true }),
    refused: (entry, { payload }: PayloadAction<ErrorBody>) => ({ ...entry, isAsked: true, isTrying: false, problem: payload }),
    entered: () => ({ isAsked: false, isTrying: false, problem: null }),
  },
});

export const entryReducer = slice.reducer;

export const selectEntry = (state: RootState): Entry => state.entry;

/** Status of an answer to a device that must give the code first. */
export const NEEDS_CODE = 401;

/** Notes that the server asked for the code, unless it has already. */
export function askForCode(dispatch: (action: UnknownAction) => unknown, state: Pick<RootState, 'entry'>): void {
  if (!state.entry.isAsked) dispatch(slice.actions.asked());
}

/** Looks whether the server wants the code: a live connection that it refuses does not tell why. */
export function lookWhetherAsked() {
  return async (dispatch: AppDispatch, getState: () => RootState): Promise<void> => {
    if (getState().entry.isAsked) return;
    const answer = await fetch('/api/network').catch(() => null);
    if (answer?.status === NEEDS_CODE) askForCode(dispatch, getState());
  };
}

/** Gives the crew code to the server, which keeps this device in by a cookie. */
export function giveCode(code: string) {
  return async (dispatch: AppDispatch): Promise<void> => {
    dispatch(slice.actions.trying());
    try {
      const response = await fetch('/api/network/enter', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ code }),
      });
      dispatch(response.ok ? slice.actions.entered() : slice.actions.refused((await response.json()) as ErrorBody));
    } catch {
      dispatch(slice.actions.refused(NO_ANSWER));
    }
  };
}

const NO_ANSWER: ErrorBody = { code: 'unreachable', message: 'the server does not answer', path: '', need: 'another try' };

/** Gives the code that the page's address brings with it, and takes it out of the address. */
export async function enterByAddress(dispatch: AppDispatch): Promise<void> {
  const { hash, pathname, search } = window.location;
  const code = codeInAddress(hash);
  if (code === null) return;
  window.history.replaceState(window.history.state, '', pathname + search);
  await dispatch(giveCode(code));
}

declare module '../store/hooks' {
  interface RootState {
    readonly entry: Entry;
  }
}
