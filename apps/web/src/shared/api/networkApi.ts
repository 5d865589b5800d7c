import type { NetworkView } from '@still-heron/contract';
import { api } from './api';

type Act = 'open' | 'close' | 'code';

/** Endpoints for who reaches the server. Each act answers with the state after it. */
const networkApi = api.enhanceEndpoints({ addTagTypes: ['Network'] }).injectEndpoints({
  endpoints: (build) => ({
    network: build.query<NetworkView, void>({ query: () => 'network', keepUnusedDataFor: 0, providesTags: ['Network'] }),
    changeNetwork: build.mutation<NetworkView, Act>({
      query: (act) => ({ url: `network/${act}`, method: 'POST' }),
      invalidatesTags: ['Network'],
    }),
  }),
});

export const { useNetworkQuery, useChangeNetworkMutation } = networkApi;
