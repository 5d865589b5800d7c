import { addStay, addSubject, newPlan, DEFAULT_BEAT, setDuration, setHandLimit, setStop, type ShotPlan } from '../src/index';

/** Seeded pseudo-random numbers from 0 to 1 (linear congruential generator). */
export function numbersFrom(seed: number): () => number {
  let state = (seed * 2654435761) >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/**
 * A seeded plan of twelve seconds: one to four people who stand or walk, random stop and frame rate, beats, and sometimes a
 * slow hand.
 */
export function randomPlan(seed: number): ShotPlan {
  const next = numbersFrom(seed);
  const between = (low: number, high: number) => low + (high - low) * next();
  let plan = setStop({ ...setDuration(newPlan(), 12), captureFps: next() < 0.5 ? 24 : 12 }, between(2.2, 16));
  if (next() < 0.3) plan = setHandLimit(plan, between(20, 200));
  const people = 1 + Math.floor(next() * 4);
  for (let k = 1; k <= people; k++) {
    plan = addSubject(plan, { name: `Someone ${k}`, distanceMm: between(700, 12_000) });
    if (next() < 0.4) plan = addStay(plan, `subject-${k}`, { distanceMm: between(700, 12_000), fromS: between(4, 11) });
    const fromS = between(0, 10);
    const beat = {
      ...DEFAULT_BEAT,
      id: `beat-${k}`,
      subjectId: `subject-${k}`,
      fromS,
      toS: Math.min(fromS + between(0.2, 5), 12),
    };
    const keyMomentS = next() < 0.3 ? (beat.fromS + beat.toS) / 2 : null;
    plan = { ...plan, beats: [...plan.beats.slice(0, k - 1), { ...beat, keyMomentS }] };
  }
  return plan;
}

/** Two hundred seeded plans. */
export const RANDOM_PLANS: readonly ShotPlan[] = Array.from({ length: 200 }, (_, seed) => randomPlan(seed + 1));
