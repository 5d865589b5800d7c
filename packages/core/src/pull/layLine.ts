import { minimumJerk } from '../floor/index.js';
import { type LensRing, ringOf, withinReach } from '../kit/index.js';
import { nextId } from './edit/ids.js';
import { fewestHolds } from './fewestHolds.js';
import { landingWindow } from './landingWindow.js';
import { leastMoveS } from './moveNeed.js';
import { zoneLensAt } from './opticsTrack.js';
import { planDistances } from './planDistances.js';
import { PLAN_LIMITS } from './planLimits.js';
import { ASSUMED_CUE_SIGMA_S, type LineTarget, type Rack, type ShotPlan } from './shotPlan.js';
import { type Tube, tubeOf } from './tube.js';

/** How a line is laid: changed as seldom as possible, or not at all. */
export const LINE_WAYS = ['fewest-holds', 'fixed'] as const;
export type LineWay = (typeof LINE_WAYS)[number];

export interface LaidLine {
  readonly plan: ShotPlan;
  /** Settings of the ring, from one on */
  readonly holds: number;
  /** The first frame at which nothing this ring can be set to keeps everyone sharp who must be; null where there is none */
  readonly impossibleFromS: number | null;
}

/** How much longer than a hand's least time a move is made where there is time for it. */
const COMFORT = 1.5;

/** What a hand can just do is not to be lost in the last digit of a difference of times. */
const ROUNDED_UP = 1 + 1e-9;

/**
 * Lays the focus line anew, in place of the one there is; marks, people and what must be sharp stay as they are.
 *
 * `fewest-holds`: as few settings as keep every frame that must be sharp; each change is made where nobody need be, as slowly as there is time for, and where there is no such time, as fast
 * as the hand can and so that the fewest frames go soft. `fixed`: the one setting that keeps the most frames. A pull to where one went before keeps its cue, and what is known of it.
 *
 * @returns null while nobody must be sharp, or the changes are more than a plan holds
 */
export function layLine(plan: ShotPlan, way: LineWay): LaidLine | null {
  const { possible, impossibleFromS } = withoutImpossible(tubeOf(plan), plan.captureFps);
  if (!possible.required.includes(1)) return null;
  const settings = way === 'fixed' ? [mostKept(possible)] : holdSettings(possible);
  if (settings.length - 1 > PLAN_LIMITS.moves.max) return null;
  const ring = ringOf(plan.optics.lens);
  const targets = settings.map((setting) => targetOf(plan, ring, setting));
  const moves: Rack[] = [];
  settings.slice(1).forEach((setting, index) => {
    const from = settings[index]!;
    const [fromDeg, toDeg] = [targets[index]!.ringDeg, targets[index + 1]!.ringDeg];
    const earliestS = moves.length === 0 ? 0 : moves[moves.length - 1]!.startS + moves[moves.length - 1]!.durationS;
    const time = changeTime(plan, possible, { ring, from, to: setting, fromDeg, toDeg, earliestS });
    const { target } = targets[index + 1]!;
    const known = plan.line.moves.find((move) => isSameTarget(move.target, target) && !moves.some(({ id }) => id === move.id));
    const { id, cue, cueSigmaS } = known ?? {
      id: nextId('rack', [...plan.line.moves, ...moves]),
      cue: '',
      cueSigmaS: ASSUMED_CUE_SIGMA_S,
    };
    moves.push({ id, kind: 'rack', ...time, target, cue, cueSigmaS });
  });
  return { plan: { ...plan, line: { start: targets[0]!.target, moves } }, holds: settings.length, impossibleFromS };
}

function isSameTarget(a: LineTarget, b: LineTarget): boolean {
  return a.kind === 'mark' ? b.kind === 'mark' && a.markId === b.markId : b.kind === 'distance' && a.distanceMm === b.distanceMm;
}

/** A setting: between which angles, and from which needed frame to which. */
interface Setting {
  readonly lowDeg: number;
  readonly highDeg: number;
  readonly firstNeeded: number;
  readonly lastNeeded: number;
}

/** Frames that nothing keeps are taken out of what must be: the rest can still be laid. */
function withoutImpossible(tube: Tube, captureFps: number): { possible: Tube; impossibleFromS: number | null } {
  const isImpossible = (frame: number) => tube.required[frame] === 1 && tube.lowDeg[frame]! > tube.highDeg[frame]!;
  const required = tube.required.map((flag, frame) => (isImpossible(frame) ? 0 : flag));
  const first = tube.required.findIndex((_, frame) => isImpossible(frame));
  return { possible: { ...tube, required }, impossibleFromS: first < 0 ? null : first / captureFps };
}

function holdSettings(tube: Tube): Setting[] {
  const all = framesOf(tube);
  return fewestHolds(tube).flatMap(({ fromFrame, toFrame }) => {
    const needed = all.filter((frame) => frame >= fromFrame && frame < toFrame);
    return needed.length === 0 ? [] : [settingOf(tube, needed)];
  });
}

function framesOf({ required }: Tube): number[] {
  return [...required.keys()].filter((frame) => required[frame] === 1);
}

function settingOf({ lowDeg, highDeg }: Tube, needed: readonly number[]): Setting {
  return {
    lowDeg: needed.reduce((low, frame) => Math.max(low, lowDeg[frame]!), -Infinity),
    highDeg: needed.reduce((high, frame) => Math.min(high, highDeg[frame]!), Infinity),
    firstNeeded: needed[0]!,
    lastNeeded: needed[needed.length - 1]!,
  };
}

/** The angles that lie in the most windows: windows begin and end in order, and the fullest stretch between two such ends is it. */
function mostKept(tube: Tube): Setting {
  const needed = framesOf(tube);
  const lows = Float64Array.from(needed, (frame) => tube.lowDeg[frame]!).sort();
  const highs = Float64Array.from(needed, (frame) => tube.highDeg[frame]!).sort();
  let [ended, best, bestAt] = [0, 0, 0];
  lows.forEach((low, begun) => {
    while (highs[ended]! < low) ended++;
    if (begun + 1 - ended > best) [best, bestAt] = [begun + 1 - ended, low];
  });
  const kept = needed.filter((frame) => tube.lowDeg[frame]! <= bestAt && tube.highDeg[frame]! >= bestAt);
  return settingOf(tube, kept);
}

/** Where the ring is set within a setting's room: at a mark that lies well within it, so that it can be found again; else in the middle. */
function targetOf(plan: ShotPlan, ring: LensRing, { lowDeg, highDeg }: Setting): { target: LineTarget; ringDeg: number } {
  const middleDeg = (lowDeg + highDeg) / 2;
  const roomDeg = (highDeg - lowDeg) / 4;
  const { markFocusMm } = planDistances(plan);
  const marks = plan.marks.map(({ id }) => ({ id, deg: ring.angleAt(withinReach(ring, markFocusMm.get(id)!)) }));
  const near = marks
    .filter(({ deg }) => Math.abs(deg - middleDeg) <= roomDeg)
    .sort((a, b) => Math.abs(a.deg - middleDeg) - Math.abs(b.deg - middleDeg))[0];
  if (near) return { target: { kind: 'mark', markId: near.id }, ringDeg: near.deg };
  const distanceMm = ring.distanceAt(middleDeg);
  return { target: { kind: 'distance', distanceMm: distanceMm === Infinity ? null : distanceMm }, ringDeg: middleDeg };
}

interface Change {
  readonly ring: LensRing;
  readonly from: Setting;
  readonly to: Setting;
  readonly fromDeg: number;
  readonly toDeg: number;
  /** When the change before it has landed */
  readonly earliestS: number;
}

/** When the ring goes over from one setting to the next, and for how long. */
function changeTime(plan: ShotPlan, tube: Tube, change: Change): Pick<Rack, 'startS' | 'durationS'> {
  const { captureFps, durationS: shotS } = plan;
  const leavesS = Math.max(change.from.lastNeeded / captureFps, change.earliestS);
  const arrivesS = change.to.firstNeeded / captureFps;
  const window = landingWindow(zoneLensAt(plan.optics, arrivesS), change.ring, change.ring.distanceAt(change.toDeg));
  const needS = Math.max(
    leastMoveS(plan.wheel, Math.abs(change.toDeg - change.fromDeg), window.widthDeg) * ROUNDED_UP,
    PLAN_LIMITS.rackS.min,
  );
  const roomS = arrivesS - leavesS;
  if (roomS >= needS) {
    const durationS = Math.min(roomS, needS * COMFORT);
    return { startS: leavesS + (roomS - durationS) / 2, durationS };
  }
  const durationS = Math.min(needS, shotS - change.earliestS);
  const latestS = shotS - durationS;
  const firstS = Math.min(Math.max(arrivesS - durationS, change.earliestS), latestS);
  const lastS = Math.min(Math.max(leavesS, firstS), latestS);
  let best = { startS: firstS, soft: Infinity };
  for (let startS = firstS; startS <= lastS + 1e-9; startS += 1 / captureFps) {
    const soft = softFrames(tube, captureFps, change, startS, durationS);
    if (soft < best.soft) best = { startS, soft };
  }
  return { startS: Math.min(best.startS, latestS), durationS };
}

/** Frames that go soft while the ring goes over, or because it goes too soon or too late. */
function softFrames(
  tube: Tube,
  captureFps: number,
  { from, to, fromDeg, toDeg }: Change,
  startS: number,
  durationS: number,
): number {
  let soft = 0;
  for (let frame = from.firstNeeded; frame <= to.lastNeeded; frame++) {
    if (!tube.required[frame]) continue;
    const deg = fromDeg + (toDeg - fromDeg) * minimumJerk((frame / captureFps - startS) / durationS);
    if (deg < tube.lowDeg[frame]! || deg > tube.highDeg[frame]!) soft++;
  }
  return soft;
}
