import type { ShotDocument, ShotView } from '@still-heron/contract';
import { isDeepEqual } from '@still-heron/core';
import { api } from '../../shared/api/api';
import { createDocumentSaver } from '../../shared/saving/documentSaver';
import type { Saving } from '../../shared/saving/savingSlice';
import { outbox } from './outbox';
import { savingActions, selectSaving } from './savingSlice';
import { selectDocument, shotOpened } from './shotSlice';

type State = Parameters<typeof selectDocument>[0] & { readonly saving: Saving<ShotView> };

/** Saves shots: each edit goes to the outbox at once, and to the server after a pause. */
export const shotSaver = createDocumentSaver<State, ShotDocument, ShotView>({
  actions: savingActions,
  pauseMs: 600,
  outbox,
  selectSaving,
  selectDocument,
  isOpening: shotOpened.match,
  send: (dispatch, { id, version, document }) => dispatch(api.endpoints.saveShot.initiate({ id, version, document })),
  isSame: (document, { scene, slate, title, plan }) => isDeepEqual(document, { scene, slate, title, plan }),
  savedAtOf: ({ updatedAt }) => updatedAt,
});
