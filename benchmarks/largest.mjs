import {
  addOpticsChange,
  evaluatePull,
  findFixes,
  keepRate,
  setLens,
  setStop,
  solveTrack,
  SOLVER_WAYS,
  suggestImprovements,
} from '@still-heron/core';
import { performance } from 'node:perf_hooks';
import { longShot } from './evaluate.mjs';
import { largestShot } from './largestShot.mjs';

/** Time of one call in ms, and what it returns. */
function timed(call) {
  const startedMs = performance.now();
  const result = call();
  return { ms: performance.now() - startedMs, result };
}

/** Shortest times of two calls in ms, tried in turn: other work on the machine only adds. */
function quickestOf(a, b, times = 8) {
  const runs = Array.from({ length: times }, () => [timed(a).ms, timed(b).ms]);
  return [0, 1].map((which) => Math.min(...runs.map((run) => run[which])));
}

/** The largest plan judged, worked out and mended, and what a lens that zooms costs. In a process of its own, for its memory. */
function benchLargest() {
  const plan = largestShot();
  const line = (what, ms, mostMs) => ({
    what: `the largest plan ${what}`,
    figure: `${(ms / 1000).toFixed(2)} s`,
    aim: `under ${mostMs / 1000} s`,
    shareOfAim: ms / mostMs,
  });
  const figures = [
    line('judged', timed(() => evaluatePull({ ...plan })).ms, 1000),
    line(
      'worked out in four ways',
      timed(() => SOLVER_WAYS.map((way) => solveTrack({ ...plan }, way, { roomShare: 0.3 }))).ms,
      2000,
    ),
    line('with its fixes', timed(() => findFixes({ ...plan })).ms, 5000),
    line('with its improvements', timed(() => suggestImprovements({ ...plan })).ms, 5000),
  ];
  const memoryMb = process.resourceUsage().maxRSS / 1000;
  return [
    ...figures,
    {
      what: 'memory meanwhile, at most',
      figure: `${memoryMb.toFixed(0)} MB`,
      aim: 'under 300 MB',
      shareOfAim: memoryMb / 300,
    },
    ...['zooms', 'irisPulls'].map(changingLens),
  ];
}

/** Keep rate of a minute with a lens that zooms, or changes its stop, over one that stays. */
function changingLens(track) {
  const still = setStop(setLens(longShot(), { focalLengthMm: 25, longestMm: 100, widestStop: 2.8, widestStopLong: 2.8 }), 4);
  const moving = addOpticsChange(still, track, 15, track === 'zooms' ? 90 : 8);
  const rateOf = (plan) => () => keepRate({ ...plan }, { takes: 2000, seed: 1 });
  const [movingMs, stillMs] = quickestOf(rateOf(moving), rateOf(still));
  const ratio = movingMs / stillMs;
  return {
    what: `keep rate of a minute with ${track === 'zooms' ? 'a zoom' : 'an iris pull'}`,
    figure: `${ratio.toFixed(2)} × that of one without`,
    aim: 'at most 1.5 ×',
    shareOfAim: ratio / 1.5,
  };
}

process.stdout.write(JSON.stringify(benchLargest()));
