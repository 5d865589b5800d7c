import { solveTrack, ringOf, tubeOf } from '@still-heron/core';
import loadHighs from 'highs';
import { performance } from 'node:perf_hooks';
import { longShot, summary } from './evaluate.mjs';

/**
 * The track of least turn in a tube as a linear program for a general-purpose solver: one variable per frame for the angle, and
 * one for the absolute turn.
 */
function leastTurnProgram({ lowDeg, highDeg }) {
  const frames = lowDeg.length;
  const names = Array.from({ length: frames - 1 }, (_, k) => `t${k + 1}`);
  const rows = Array.from({ length: frames - 1 }, (_, k) => [
    ` up${k + 1}: t${k + 1} - x${k + 1} + x${k} >= 0`,
    ` down${k + 1}: t${k + 1} + x${k + 1} - x${k} >= 0`,
  ]).flat();
  const bounds = Array.from({ length: frames }, (_, k) => ` ${lowDeg[k].toFixed(9)} <= x${k} <= ${highDeg[k].toFixed(9)}`);
  return ['Minimize', ` turn: ${names.join(' + ')}`, 'Subject To', ...rows, 'Bounds', ...bounds, 'End'].join('\n');
}

/** Our follow solver against a linear-program solver: times in one run, and equal total turn. */
export async function benchOptimiser() {
  const highs = await loadHighs();
  const plan = longShot();
  const tube = tubeOf(plan);
  const program = leastTurnProgram(tube);
  const solver = timesOf(5, () => highs.solve(program));
  const own = timesOf(40, () => solveTrack({ ...plan, marks: [...plan.marks] }, 'follow'));
  const leastDeg = highs.solve(program).ObjectiveValue;
  const solution = solveTrack(plan, 'follow').plan.focusTrack.start;
  const ring = ringOf(plan.optics.lens);
  const degs = solution.points.map(({ distanceMm }) => ring.angleAt(distanceMm ?? Infinity));
  const turnDeg = degs.slice(1).reduce((sum, deg, index) => sum + Math.abs(deg - degs[index]), 0);
  const ratio = summary(solver).median / summary(own).median;
  return {
    what: 'the stillest line of a minute, against a linear-program solver (HiGHS) on the same tube',
    figure: `${ratio.toFixed(0)} times as fast; ${turnDeg.toFixed(6)}° of turn, the solver ${leastDeg.toFixed(6)}°`,
    aim: 'not slower, and no more turn by 0.001°',
    shareOfAim: turnDeg <= leastDeg + 1e-3 ? 1 / ratio : Infinity,
  };
}

function timesOf(rounds, work) {
  return Array.from({ length: rounds }, () => {
    const startedMs = performance.now();
    work();
    return performance.now() - startedMs;
  });
}
