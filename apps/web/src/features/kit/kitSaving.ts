import type { KitItemView } from '@still-heron/contract';
import { isDeepEqual, type KitItems, type KitKind } from '@still-heron/core';
import { kitApi } from '../../shared/api/kitApi';
import { createDocumentSaver } from '../../shared/saving/documentSaver';
import { createOutbox, type Unsent } from '../../shared/saving/outbox';
import type { Saving } from '../../shared/saving/savingSlice';
import { kitSavingActions, selectKitSaving } from './kitSavingSlice';
import { kitOpened, selectOpenKit, type WithKit } from './kitSlice';

type KitItem = KitItems[KitKind];
type State = WithKit & { readonly kitSaving: Saving<KitItemView> };

/** Saves kit items: each edit goes to the outbox at once, and to the server after a pause. */
export const kitSaver = createDocumentSaver<State, KitItem, KitItemView>({
  actions: kitSavingActions,
  pauseMs: 500,
  outbox: createOutbox('still-heron-kit-outbox', (kept) => kept as Unsent<KitItem>),
  selectSaving: selectKitSaving,
  selectDocument: (state) => selectOpenKit(state)?.item ?? null,
  isOpening: kitOpened.match,
  send: (dispatch, { id, context, version, document }) =>
    dispatch(kitApi.endpoints.saveKitItem.initiate({ kind: context as KitKind, id, version, item: document })),
  isSame: (item, stored) => isDeepEqual(item, stored.item),
  savedAtOf: () => null,
});
