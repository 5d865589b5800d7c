import type { ShotPlanView } from '@still-heron/contract';
import { api } from './api';
import type { AppDispatch } from '../store/hooks';

const plansApi = api.injectEndpoints({
  endpoints: (build) => ({
    plans: build.query<ShotPlanView[], { productionId: string; shotIds: readonly string[] }>({
      query: ({ productionId, shotIds }) => `productions/${productionId}/plans?shots=${shotIds.join(',')}`,
      // the callers keep the plans that they need
      keepUnusedDataFor: 0,
    }),
  }),
});

/** Plans in one request: few enough that the first rows of a list do not wait long, and within the server's limit. */
const PLANS_AT_ONCE = 25;

/**
 * Loads plans of a production's shots, some at a time, in the given order.
 *
 * @returns those that are there; a shot that is gone is left out
 * @throws the error of a request that failed
 */
export async function* loadPlans(
  dispatch: AppDispatch,
  productionId: string,
  shotIds: readonly string[],
): AsyncGenerator<readonly ShotPlanView[]> {
  for (let at = 0; at < shotIds.length; at += PLANS_AT_ONCE) {
    const some = shotIds.slice(at, at + PLANS_AT_ONCE);
    const loading = dispatch(plansApi.endpoints.plans.initiate({ productionId, shotIds: some }, { forceRefetch: true }));
    try {
      yield await loading.unwrap();
    } finally {
      loading.unsubscribe();
    }
  }
}
