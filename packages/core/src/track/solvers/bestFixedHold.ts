import { activeBeats, keyFrameOf, planDistances, ringReach, zoneLensAt } from '../../plan/index.js';
import { sharpWindow, type Tube } from '../tube.js';
import type { HoldWindow, SolverContext } from './holds.js';

/**
 * The one hold that keeps the most: key moments first, then frames. Sweeps window ends in order of angle and takes the heaviest
 * interval.
 */
export function bestFixedHold(turning: SolverContext, { lowDeg, highDeg, required }: Tube): HoldWindow {
  const needed = [...required.keys()].filter((frame) => required[frame] === 1);
  const windows = [
    ...needed.map((frame) => ({ lowDeg: lowDeg[frame]!, highDeg: highDeg[frame]!, weight: 1 })),
    ...keyMomentWindows(turning, required.length).map((window) => ({ ...window, weight: needed.length + 1 })),
  ];
  const highs = [...windows].sort((a, b) => a.highDeg - b.highDeg);
  let [ended, weight, best, bestAt] = [0, 0, 0, windows[0]!.lowDeg];
  for (const begun of [...windows].sort((a, b) => a.lowDeg - b.lowDeg)) {
    for (; highs[ended]!.highDeg < begun.lowDeg; ended++) weight -= highs[ended]!.weight;
    weight += begun.weight;
    if (weight > best) [best, bestAt] = [weight, begun.lowDeg];
  }
  const kept = windows.filter((window) => window.lowDeg <= bestAt && window.highDeg >= bestAt);
  return {
    lowDeg: bestAt,
    highDeg: kept.reduce((high, window) => Math.min(high, window.highDeg), Infinity),
    firstNeeded: needed[0]!,
    lastNeeded: needed[needed.length - 1]!,
  };
}

/** Ring angles that keep each key moment within reach of the ring, for its own subject only. */
function keyMomentWindows({ plan, ring }: SolverContext, frames: number): { lowDeg: number; highDeg: number }[] {
  const { focusMmAt } = planDistances(plan);
  const reach = ringReach(plan);
  return activeBeats(plan).flatMap((beat) => {
    const frame = beat.requirement === 'sharp' ? keyFrameOf(beat, plan.captureFps, frames) : null;
    const subject = plan.subjects.find(({ id, stays }) => id === beat.subjectId && stays.length > 0);
    if (frame === null || !subject) return [];
    const timeS = frame / plan.captureFps;
    const window = sharpWindow(zoneLensAt(plan.optics, timeS), ring, focusMmAt(subject, timeS));
    if (!window) return [];
    const [lowDeg, highDeg] = [Math.max(window.lowDeg, reach.lowDeg), Math.min(window.highDeg, reach.highDeg)];
    const steppedDeg = reach.nearest((lowDeg + highDeg) / 2);
    return steppedDeg >= lowDeg - 1e-9 && steppedDeg <= highDeg + 1e-9 ? [{ lowDeg, highDeg }] : [];
  });
}
