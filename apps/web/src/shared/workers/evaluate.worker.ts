import { evaluatePull, findFixes, smallestChanges, methodOffers, type PullVerdict, suggestImprovements } from '@still-heron/core';
import { expose, transfer } from 'comlink';
import type { EvaluatorWorker } from './protocol';
import { trackOffer } from './trackOffer';
import { framingsOf } from './framings';
import { summarise } from './summariseShot';
import { createTrialRunner } from './simulation/trialRunner';

const worker: EvaluatorWorker = {
  evaluate(plan) {
    const verdict = evaluatePull(plan);
    return transfer(verdict, buffersOf(verdict));
  },
  framings: framingsOf,
  summarise,
  fixes: findFixes,
  trackOffer,
  smallestChanges,
  improvements: suggestImprovements,
  methods: methodOffers,
  ...createTrialRunner(),
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
  // arrays of a subject share their memory, and a buffer is handed over once
  const arrays: (Float64Array | Uint8Array)[] = [...Object.values(verdict.track), ...subjects];
  return [...new Set(arrays.map(({ buffer }) => buffer as ArrayBuffer))];
}

expose(worker);
