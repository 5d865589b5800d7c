import {
  addLandmark,
  addPull,
  addStay,
  addSubject,
  evaluatePull,
  findFixes,
  solveTrack,
  SOLVER_WAYS,
  moveCameraTo,
  newPlan,
  prepareTrials,
  runTrials,
  setAim,
  setDuration,
  startFloor,
  walkTo,
} from '@still-heron/core';
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
    plan = addPull(plan, mark, 6 + 9 * index);
  return plan;
}

/** The same with a floor plan: everyone walks, and the camera moves and pans throughout. */
export function drawnShot() {
  let plan = startFloor(longShot());
  for (let stage = 1; stage <= 6; stage++) {
    plan = moveCameraTo(plan, { xMm: -300 * stage, yMm: (stage % 2 ? 1 : -1) * 900 }, stage * 9);
    plan = setAim(plan, { kind: 'subject', subjectId: `subject-${1 + (stage % 4)}` }, { atS: stage * 9, isNew: true });
    for (let who = 1; who <= 4; who++)
      plan = walkTo(
        plan,
        `subject-${who}`,
        { xMm: 2000 + 900 * who + 150 * stage, yMm: 700 * (who - 2.5) + 90 * stage },
        stage * 9 - who,
      );
  }
  for (let thing = 0; thing < 8; thing++)
    plan = addLandmark(plan, ['post', 'box', 'wall', 'track'][thing % 4], `thing ${thing}`, {
      xMm: 900 * thing,
      yMm: 2500 - 700 * thing,
    });
  return plan;
}

/** Three people, one of them walking, and four pulls over twelve seconds at 24 fps. */
export function shortShot() {
  let plan = setDuration({ ...newPlan(), captureFps: 24 }, 12);
  const people = [
    ['Old Tam', 2900],
    ['Ines', 4550],
    ['Bohdan', 5400],
  ];
  for (const [name, distanceMm] of people) plan = addSubject(plan, { name, distanceMm });
  plan = addStay(plan, 'subject-2', { distanceMm: 2050, fromS: 6 });
  for (const [index, mark] of ['mark-3', 'mark-1', 'mark-4', 'mark-1'].entries()) plan = addPull(plan, mark, 1.5 + 2.6 * index);
  return plan;
}

/** Median and 95th percentile of a list of times. */
export function summary(times) {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
  return { median: at(0.5), p95: at(0.95) };
}

export function benchEvaluate() {
  return [
    benchOf('verdict of a one-minute plan, 24 fps, 4 subjects, 6 pulls', evaluatePull, longShot(), 3),
    benchOf('the same with a floor: subjects walk, the camera moves and pans', evaluatePull, drawnShot(), 8),
    benchOf(
      'pulls of the one-minute plan worked out, all four ways',
      (plan) => SOLVER_WAYS.map((way) => solveTrack(plan, way)),
      longShot(),
      150,
      60,
    ),
    benchOf(
      'pulls of the one-minute plan with a floor worked out, all four ways',
      (plan) => SOLVER_WAYS.map((way) => solveTrack(plan, way)),
      drawnShot(),
      150,
      60,
    ),
    benchOf('fixes of the one-minute plan', findFixes, longShot(), 1000, 8),
    benchOf('fixes of the one-minute plan with a floor', findFixes, drawnShot(), 1000, 8),
    benchOf(
      'keep rate, 10,000 trials of 12 s at 24 fps, 3 subjects, 4 pulls',
      (plan) => runTrials(prepareTrials(plan), 1, { first: 0, count: 10_000 }, true),
      shortShot(),
      150,
      12,
    ),
  ];
}

function benchOf(what, work, plan, aimMs, rounds = 400) {
  const times = [];
  for (let round = 0; round < rounds; round++) {
    // a new object, as after an edit, so that no cache applies
    const edited = { ...plan, marks: [...plan.marks] };
    const startedMs = performance.now();
    work(edited);
    if (round >= rounds / 8) times.push(performance.now() - startedMs);
  }
  const { median, p95 } = summary(times);
  return {
    what,
    figure: `${median.toFixed(2)} ms median, ${p95.toFixed(2)} ms p95`,
    aim: `under ${aimMs} ms median`,
    shareOfAim: median / aimMs,
  };
}
