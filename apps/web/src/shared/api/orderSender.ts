import type { ProductionView } from '@still-heron/contract';

/** A shooting order, with the version of the production that it was made from. */
export interface ShotOrder {
  readonly productionId: string;
  readonly version: number;
  readonly shotIds: readonly string[];
}

/** Sends one order; without data it was refused. */
type Send<A extends { readonly data?: ProductionView }> = (order: ShotOrder) => PromiseLike<A>;

/**
 * Sends orders one after the other, each with the version that the one before it has made. Otherwise the second of two quick moves would
 * conflict with the first.
 *
 * @returns sends an order after the earlier ones, and gives its answer
 */
export function createOrderSender() {
  const newestVersion = new Map<string, number>();
  let before: Promise<unknown> = Promise.resolve();
  return <A extends { readonly data?: ProductionView }>(order: ShotOrder, send: Send<A>): Promise<A> => {
    const answer = before.then(async () => {
      const version = Math.max(order.version, newestVersion.get(order.productionId) ?? 0);
      const result = await send({ ...order, version });
      if (result.data) newestVersion.set(order.productionId, result.data.version);
      // changed elsewhere, or restored to an earlier state: what the page reads next counts
      else newestVersion.delete(order.productionId);
      return result;
    });
    before = answer.catch(() => undefined);
    return answer;
  };
}
