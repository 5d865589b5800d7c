import type {
  LensUseView,
  LoggedTakeView,
  StatisticsDetailsView,
  StatisticsView,
  TakePageView,
  TakeRevisionView,
  TakeRowView,
  TakeView,
  WrapUpView,
} from '@still-heron/contract';
import type { Take, UnitSystem } from '@still-heron/core';
import { api } from './api';

/** Endpoints for takes. Loaded with the first page that shows takes. */
export const takesApi = api.enhanceEndpoints({ addTagTypes: ['Takes', 'Log'] }).injectEndpoints({
  endpoints: (build) => ({
    takes: build.query<TakeRowView[], string>({
      query: (shotId) => `shots/${shotId}/takes`,
      providesTags: (_, __, shotId) => [{ type: 'Takes', id: shotId }],
    }),
    takeLog: build.query<TakePageView, { productionId: string; query: string }>({
      query: ({ productionId, query }) => `productions/${productionId}/takes?${query}`,
      providesTags: ['Log'],
    }),
    /** Deleted takes of a shot that can be restored */
    deletedTakes: build.query<TakeRowView[], string>({
      query: (shotId) => `shots/${shotId}/takes/deleted`,
      providesTags: (_, __, shotId) => [{ type: 'Takes', id: shotId }],
    }),
    /** What a take was before its changes */
    takeRevisions: build.query<TakeRevisionView[], { id: string; version: number }>({
      query: ({ id }) => `takes/${id}/revisions`,
    }),
    statistics: build.query<StatisticsView, { productionId: string; withSimulated: boolean }>({
      query: ({ productionId, withSimulated }) =>
        `productions/${productionId}/takes/statistics${withSimulated ? '?simulated=true' : ''}`,
      providesTags: ['Log'],
    }),
    statisticsDetails: build.query<StatisticsDetailsView, { productionId: string; withSimulated: boolean }>({
      query: ({ productionId, withSimulated }) =>
        `productions/${productionId}/takes/statistics/details${withSimulated ? '?simulated=true' : ''}`,
      providesTags: ['Log'],
    }),
    /** What each shot still lacks */
    wrapUp: build.query<WrapUpView[], { productionId: string; units: UnitSystem }>({
      query: ({ productionId, units }) => `productions/${productionId}/takes/wrap-up?units=${units}`,
      providesTags: ['Log'],
    }),
    lensUse: build.query<LensUseView[], void>({ query: () => 'lens-use', providesTags: ['Log'] }),
    /** With their tracks, for an export; not cached */
    wholeTakes: build.query<LoggedTakeView[], { productionId: string; shotId: string | null }>({
      query: ({ productionId, shotId }) => `productions/${productionId}/takes/whole${shotId ? `?shot=${shotId}` : ''}`,
      keepUnusedDataFor: 0,
    }),
    take: build.query<TakeView, string>({ query: (id) => `takes/${id}` }),
    logTake: build.mutation<TakeRowView, { id?: string; shotId: string; rolledAt: string; take: Take }>({
      query: ({ shotId, ...body }) => ({ url: `shots/${shotId}/takes`, method: 'POST', body }),
      invalidatesTags: (_, __, { shotId }) => [{ type: 'Takes', id: shotId }, 'Log'],
    }),
    saveTake: build.mutation<TakeRowView, { shotId: string; id: string; version: number; take: Take }>({
      query: ({ id, version, take }) => ({ url: `takes/${id}`, method: 'PUT', body: { version, take } }),
      invalidatesTags: (_, __, { shotId }) => [{ type: 'Takes', id: shotId }, 'Log'],
    }),
    restoreTake: build.mutation<TakeRowView, { shotId: string; id: string }>({
      query: ({ id }) => ({ url: `takes/${id}/restore`, method: 'POST' }),
      invalidatesTags: (_, __, { shotId }) => [{ type: 'Takes', id: shotId }, 'Log'],
    }),
    removeTake: build.mutation<void, { shotId: string; id: string; version: number }>({
      query: ({ id, version }) => ({ url: `takes/${id}?version=${version}`, method: 'DELETE' }),
      invalidatesTags: (_, __, { shotId }) => [{ type: 'Takes', id: shotId }, 'Log'],
    }),
  }),
});

export const {
  useTakesQuery,
  useDeletedTakesQuery,
  useTakeRevisionsQuery,
  useRestoreTakeMutation,
  useTakeQuery,
  useLazyTakeQuery,
  useTakeLogQuery,
  useWrapUpQuery,
  useLensUseQuery,
  useStatisticsDetailsQuery,
  useStatisticsQuery,
  useLazyWholeTakesQuery,
  useLogTakeMutation,
  useSaveTakeMutation,
  useRemoveTakeMutation,
} = takesApi;
