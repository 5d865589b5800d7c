import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import { api } from '../../shared/api/api';
import type { RootState } from '../../shared/store/hooks';
import { shotSaver } from './saving';
import { selectSaving } from './savingSlice';
import { documentEdited } from './shotSlice';

type Dispatch = ThunkDispatch<RootState, unknown, UnknownAction>;

/**
 * Takes over a version of the open shot that was saved on another device. With an edit here that is not saved yet, nothing happens: saving that
 * edit finds the other version, and asks.
 */
export function takeOverSaved(shotId: string, version: number) {
  return async (dispatch: Dispatch, getState: () => RootState): Promise<void> => {
    const isBehind = () => {
      const { id, status, baseVersion } = selectSaving(getState());
      return id === shotId && status === 'saved' && baseVersion < version;
    };
    if (!isBehind()) return;
    const { data } = await dispatch(api.endpoints.shot.initiate(shotId, { forceRefetch: true, subscribe: false }));
    // an edit may have been made meanwhile
    if (!data || !isBehind()) return;
    const { scene, slate, title, plan } = data;
    dispatch(documentEdited({ document: { scene, slate, title, plan }, name: 'the version saved elsewhere' }));
    await dispatch(shotSaver.acceptStored(data));
  };
}
