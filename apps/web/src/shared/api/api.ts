import {
  type BaseQueryFn,
  createApi,
  type FetchArgs,
  fetchBaseQuery,
  type FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react';
import type { ErrorBody, ProductionView, ShotDocument, ShotRowView, ShotView, ChangeProduction } from '@still-heron/contract';
import { deviceId, deviceName } from '../thisDevice';
import { askForCode, NEEDS_CODE } from './entry';
import type { RootState } from '../store/hooks';
import { createOrderSender, type ShotOrder } from './orderSender';

const ask = fetchBaseQuery({ baseUrl: '/api' });

/** Asks the server, and notes if it wants the crew code of this device. */
const baseQuery: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (args, query, options) => {
  const answer = await ask(args, query, options);
  if (answer.error?.status === NEEDS_CODE) askForCode(query.dispatch, query.getState() as Pick<RootState, 'entry'>);
  return answer;
};
const sendOrder = createOrderSender();

async function putOrder({ productionId, ...body }: ShotOrder, request: (args: FetchArgs) => ReturnType<typeof baseQuery>) {
  const answer = await request({ url: `productions/${productionId}/order`, method: 'PUT', body });
  return answer.error ? { error: answer.error } : { data: answer.data as ProductionView };
}

/** Client of the server's REST API. Lists are cached here; the open shot is in its own slice. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: ['Production', 'Shots', 'Kit'],
  endpoints: (build) => ({
    productions: build.query<ProductionView[], void>({ query: () => 'productions', providesTags: ['Production'] }),
    production: build.query<ProductionView, string>({ query: (id) => `productions/${id}`, providesTags: ['Production'] }),
    createProduction: build.mutation<ProductionView, string>({
      query: (name) => ({ url: 'productions', method: 'POST', body: { name } }),
      invalidatesTags: ['Production'],
    }),
    changeProduction: build.mutation<ProductionView, ChangeProduction & { id: string }>({
      query: ({ id, ...body }) => ({ url: `productions/${id}`, method: 'PATCH', body }),
      invalidatesTags: ['Production'],
    }),
    shotRows: build.query<ShotRowView[], string>({
      query: (productionId) => `productions/${productionId}/shot-rows`,
      providesTags: ['Shots'],
    }),
    shot: build.query<ShotView, string>({ query: (id) => `shots/${id}` }),
    createShot: build.mutation<ShotView, { productionId: string; document: ShotDocument; afterShotId?: string }>({
      query: ({ productionId, document, afterShotId }) => ({
        url: `productions/${productionId}/shots`,
        method: 'POST',
        body: { ...document, ...(afterShotId ? { afterShotId } : {}) },
      }),
      invalidatesTags: ['Shots', 'Production'],
    }),
    saveShot: build.mutation<ShotView, { id: string; version: number; document: ShotDocument }>({
      query: ({ id, version, document }) => ({
        url: `shots/${id}`,
        method: 'PUT',
        body: { ...document, version, deviceId: deviceId(), deviceName: deviceName() },
      }),
      invalidatesTags: ['Shots'],
    }),
    duplicateShot: build.mutation<ShotView, string>({
      query: (id) => ({ url: `shots/${id}/duplicate`, method: 'POST' }),
      invalidatesTags: ['Shots', 'Production'],
    }),
    removeShot: build.mutation<void, { id: string; version: number }>({
      query: ({ id, version }) => ({ url: `shots/${id}?version=${version}`, method: 'DELETE' }),
      invalidatesTags: ['Shots', 'Production'],
    }),
    restoreShot: build.mutation<ShotView, string>({
      query: (id) => ({ url: `shots/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Shots', 'Production'],
    }),
    orderShots: build.mutation<ProductionView, ShotOrder>({
      queryFn: (order, _api, _options, request) => sendOrder(order, (newest) => putOrder(newest, request)),
      // show the new order at once, and restore the stored order if the server rejects it
      async onQueryStarted({ productionId, shotIds }, { dispatch, queryFulfilled }) {
        const patch = dispatch(
          api.util.updateQueryData('shotRows', productionId, (shots) => {
            shots.sort((a, b) => shotIds.indexOf(a.id) - shotIds.indexOf(b.id));
          }),
        );
        await queryFulfilled.catch(() => patch.undo());
      },
      invalidatesTags: ['Shots', 'Production'],
    }),
  }),
});

export const {
  useProductionsQuery,
  useProductionQuery,
  useCreateProductionMutation,
  useChangeProductionMutation,
  useShotRowsQuery,
  useLazyShotQuery,
  useCreateShotMutation,
  useDuplicateShotMutation,
  useRemoveShotMutation,
  useRestoreShotMutation,
  useOrderShotsMutation,
} = api;

/**
 * Answers that say nothing against the request: the server is too slow, too busy, has trouble of its own, or waits for the crew code.
 */
const isPassingStatus = (status: number) => status >= 500 || [NEEDS_CODE, 408, 429].includes(status);

/** Error of a failed request, with a message for the user. */
export interface RequestFailure {
  /** It passes by itself, and the same request can succeed later */
  readonly isPassing: boolean;
  readonly isUnreachable: boolean;
  readonly body: ErrorBody;
}

export function problemOf(error: unknown): RequestFailure {
  const { status, data } = (error ?? {}) as Partial<FetchBaseQueryError>;
  const isBody = typeof data === 'object' && data !== null && 'code' in data;
  if (isBody)
    return {
      isPassing: typeof status === 'number' && isPassingStatus(status),
      isUnreachable: false,
      body: data as unknown as ErrorBody,
    };
  // a proxy in front of a stopped server answers 502 to 504
  const isUnreachable =
    status === 'FETCH_ERROR' ||
    status === 'TIMEOUT_ERROR' ||
    status === 'PARSING_ERROR' ||
    (typeof status === 'number' && status >= 502);
  return {
    isPassing: isUnreachable || (typeof status === 'number' && isPassingStatus(status)),
    isUnreachable,
    body: {
      code: isUnreachable ? 'unreachable' : 'internal',
      message: isUnreachable ? 'The server does not answer' : 'The server failed',
      path: '',
      need: isUnreachable ? 'the server running; this page tries again by itself' : 'another try',
    },
  };
}

declare module '../store/hooks' {
  interface RootState {
    readonly api: ReturnType<typeof api.reducer>;
  }
}
