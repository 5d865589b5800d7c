import type { RevisionView, ShotCheckView, ShotDocument } from '@still-heron/contract';
import { api } from './api';

/** Endpoints for saved versions of a shot. */
export const revisionsApi = api.enhanceEndpoints({ addTagTypes: ['Revisions'] }).injectEndpoints({
  endpoints: (build) => ({
    /** `version` is the newest known one: a new version loads the list again */
    revisions: build.query<RevisionView[], { shotId: string; version: number }>({
      query: ({ shotId }) => `shots/${shotId}/revisions`,
      providesTags: ['Revisions'],
    }),
    nameRevision: build.mutation<RevisionView, { shotId: string; version: number; name: string }>({
      query: ({ shotId, version, name }) => ({ url: `shots/${shotId}/revisions/${version}/name`, method: 'PUT', body: { name } }),
      invalidatesTags: ['Revisions'],
    }),
    revision: build.query<ShotDocument, { shotId: string; version: number }>({
      query: ({ shotId, version }) => `shots/${shotId}/revisions/${version}`,
    }),
    shotCheck: build.query<ShotCheckView, string>({ query: (id) => `shots/${id}/check`, keepUnusedDataFor: 0 }),
  }),
});

export const { useNameRevisionMutation, useRevisionQuery, useRevisionsQuery, useShotCheckQuery } = revisionsApi;
