import { evaluatePull, findFixes, smallestChanges, methodOffers, type PullVerdict, suggestImprovements } from '@still-heron/core';
import { expose, transfer } from 'comlink';
import type { EvaluatorWorker } from './protocol';
import { layOffer } from './layOffer';
import { summarise } from './summarise';
import { createTakeRunner } from './takes/takeRunner';

const worker: EvaluatorWorker = {
  evaluate(plan) {
    const verdict = evaluatePull(plan);
    return transfer(verdict, buffersOf(verdict));
  },
  summarise,
  mends: findFixes,
  layOffer,
  smallestChanges,
  helps: suggestImprovements,
  methods: methodOffers,
  ...createTakeRunner(),
};

/** Buffers to transfer instead of copying. */
function buffersOf(verdict: PullVerdict): ArrayBuffer[] {
  if (verdict.status !== 'judged') return [];
  const subjects = verdict.subjects.flatMap(({ distanceMm, blurCircles, marginMm, sharp }) => [
    distanceMm,
    blurCircles,
    marginMm,
    sharp,
  ]);
  return [...Object.values(verdict.track), ...subjects].map((values: Float64Array | Uint8Array) => values.buffer as ArrayBuffer);
}

expose(worker);
