import { evaluatePull, type PullVerdict } from '@still-heron/core';
import { expose, transfer } from 'comlink';
import type { EvaluatorWorker } from './protocol';
import { framingsOf } from './framings';
import type { TrialRunner } from './simulation/trialRunner';

/** What a first verdict does not need is loaded when it is asked for, or after that verdict. */
const search = () => import('./search');
const summary = () => import('./summariseShot');
const trials = () => import('./simulation/trialRunner');

/** The rest is loaded this long after the first verdict: the server may be gone when it is needed. */
const LOAD_AFTER_MS = 2000;
let isFirst = true;
let runner: TrialRunner | null = null;

const worker: EvaluatorWorker = {
  evaluate(plan) {
    if (isFirst) setTimeout(() => void Promise.allSettled([search(), trials(), summary()]), LOAD_AFTER_MS);
    isFirst = false;
    const verdict = evaluatePull(plan);
    return transfer(verdict, buffersOf(verdict));
  },
  framings: framingsOf,
  summarise: async (...asked) => (await summary()).summarise(...asked),
  fixes: async (...asked) => (await search()).findFixes(...asked),
  trackOffer: async (...asked) => (await search()).trackOffer(...asked),
  smallestChanges: async (...asked) => (await search()).smallestChanges(...asked),
  improvements: async (...asked) => (await search()).suggestImprovements(...asked),
  methods: async (...asked) => (await search()).methodOffers(...asked),
  async run(part) {
    const { createTrialRunner } = await trials();
    return (runner ??= createTrialRunner()).run(part);
  },
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
