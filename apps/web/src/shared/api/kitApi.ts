import type { KitFile, KitImportView, KitItemView } from '@still-heron/contract';
import { type KitItems, type KitKind, kitName } from '@still-heron/core';
import { api } from './api';

const byName = new Intl.Collator('en', { numeric: true });
const nameOf = (kind: KitKind, { item }: KitItemView) => kitName(kind, item as never);

/** Endpoints for the kit. */
export const kitApi = api.injectEndpoints({
  endpoints: (build) => ({
    kitItems: build.query<KitItemView[], KitKind>({
      query: (kind) => `kit/${kind}`,
      // numeric order: 28 mm before 135 mm
      transformResponse: (items: KitItemView[], _, kind) =>
        items.sort((a, b) => byName.compare(nameOf(kind, a), nameOf(kind, b))),
      providesTags: (_, __, kind) => [{ type: 'Kit', id: kind }],
    }),
    kitItem: build.query<KitItemView, { kind: KitKind; id: string }>({
      query: ({ kind, id }) => `kit/${kind}/${id}`,
      providesTags: (_, __, { kind, id }) => [{ type: 'Kit', id: `${kind}/${id}` }],
    }),
    createKitItem: build.mutation<KitItemView, { kind: KitKind; item: KitItems[KitKind] }>({
      query: ({ kind, item }) => ({ url: `kit/${kind}`, method: 'POST', body: { item } }),
      invalidatesTags: (_, __, { kind }) => [{ type: 'Kit', id: kind }],
    }),
    saveKitItem: build.mutation<KitItemView, { kind: KitKind; id: string; version: number; item: KitItems[KitKind] }>({
      query: ({ kind, id, version, item }) => ({ url: `kit/${kind}/${id}`, method: 'PUT', body: { version, item } }),
      invalidatesTags: (_, __, { kind, id }) => [{ type: 'Kit', id: `${kind}/${id}` }],
      // the server returns the changed row, so the other rows need not be loaded again
      async onQueryStarted({ kind, id }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (!data) return;
        dispatch(
          kitApi.util.updateQueryData('kitItems', kind, (items) => {
            const at = items.findIndex((item) => item.id === id);
            if (at >= 0) items[at] = data;
          }),
        );
      },
    }),
    removeKitItem: build.mutation<void, { kind: KitKind; id: string; version: number }>({
      query: ({ kind, id, version }) => ({ url: `kit/${kind}/${id}?version=${version}`, method: 'DELETE' }),
      invalidatesTags: (_, __, { kind, id }) => [
        { type: 'Kit', id: kind },
        { type: 'Kit', id: `${kind}/${id}` },
      ],
    }),
    restoreKitItem: build.mutation<KitItemView, { kind: KitKind; id: string }>({
      query: ({ kind, id }) => ({ url: `kit/${kind}/${id}/restore`, method: 'POST' }),
      invalidatesTags: (_, __, { kind, id }) => [
        { type: 'Kit', id: kind },
        { type: 'Kit', id: `${kind}/${id}` },
      ],
    }),
    importKit: build.mutation<KitImportView, KitFile>({
      query: (body) => ({ url: 'kit/import', method: 'POST', body }),
      invalidatesTags: ['Kit'],
    }),
  }),
});

export const {
  useKitItemsQuery,
  useKitItemQuery,
  useCreateKitItemMutation,
  useRemoveKitItemMutation,
  useRestoreKitItemMutation,
  useImportKitMutation,
  useSaveKitItemMutation,
} = kitApi;
