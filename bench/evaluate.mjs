import { addRack, addSubject, evaluatePull, newPlan } from '@still-heron/core';
import { performance } from 'node:perf_hooks';

/** Four people and six pulls over a minute at 24 fps. */
export function longShot() {
  let plan = { ...newPlan(), durationS: 60 };
  const people = [
    ['Old Tam', 2900],
    ['Ines', 2050],
    ['Bohdan', 4600],
    ['Hand cart', 7200],
  ];
  for (const [name, distanceMm] of people) plan = addSubject(plan, { name, distanceMm });
  for (const [index, mark] of ['mark-2', 'mark-3', 'mark-1', 'mark-4', 'mark-2', 'mark-1'].entries())
    plan = addRack(plan, mark, 6 + 9 * index);
  return plan;
}

/** Median and 95th percentile of a list of times. */
export function summary(times) {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
  return { median: at(0.5), p95: at(0.95) };
}

export function benchEvaluate() {
  const plan = longShot();
  const times = [];
  for (let round = 0; round < 400; round++) {
    const startedMs = performance.now();
    evaluatePull(plan);
    if (round >= 50) times.push(performance.now() - startedMs);
  }
  const { median, p95 } = summary(times);
  return {
    what: 'evaluatePull, 60 s at 24 fps, 4 subjects, 6 moves',
    figure: `${median.toFixed(2)} ms median, ${p95.toFixed(2)} ms p95`,
    aim: 'under 3 ms median',
    holds: median < 3,
  };
}
