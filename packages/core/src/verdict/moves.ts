import { breathingBetween, type LensRing, wheelDegOf } from '../kit/index.js';
import {
  easingPeak,
  type FocusLine,
  gradeMove,
  landingWindow,
  leastMoveS,
  type LineSetting,
  pullDifficultyBits,
  type Rack,
  ringReach,
  type ShotPlan,
  wheelTurn,
  zoneLensAt,
} from '../pull/index.js';
import { depthOfField } from '../optics/index.js';
import type { Landing, MoveVerdict } from './pullVerdict.js';

/** Each pull as the hand feels it: travel, landing window in both orders, difficulty, needed and available time, speed. */
export function judgeMoves(line: FocusLine, ring: LensRing, plan: ShotPlan): MoveVerdict[] {
  const { optics, wheel, handDegPerS, hand } = plan;
  const { stepDeg } = ringReach(plan);
  const isAtStop = ({ target }: LineSetting) =>
    wheel?.hasEndStops === true &&
    target.kind === 'mark' &&
    plan.marks.some(({ id, hasStop }) => id === target.markId && hasStop);
  const landingAt = (setting: LineSetting, travelDeg: number, timeS: number): Landing => {
    const lens = zoneLensAt(optics, timeS);
    const window = landingWindow(lens, ring, setting.distanceMm);
    const { inFrontMm, behindMm } = depthOfField({ ...lens, focusDistanceMm: setting.distanceMm });
    const againstStop = isAtStop(setting);
    return {
      windowDeg: window.widthDeg,
      nearRoomDeg: Math.abs(window.nearSideDeg),
      farRoomDeg: Math.abs(window.farSideDeg),
      nearRoomMm: inFrontMm,
      farRoomMm: behindMm,
      bits: pullDifficultyBits(travelDeg, window.widthDeg),
      againstStop,
      neededS: leastMoveS(plan, travelDeg, window.widthDeg, againstStop),
    };
  };
  return line.moves.map((move, index) => {
    const { from, to } = move;
    const travelDeg = Math.abs(to.ringDeg - from.ringDeg);
    const landing = landingAt(to, travelDeg, move.endS);
    const availableS = move.endS - move.startS;
    const peakDegPerS = peakOf(line, plan.line.moves[index]!, travelDeg, move.goesOn);
    const handPeakDegPerS = Math.abs(wheelDegOf(wheel, peakDegPerS));
    return {
      ...move,
      ...landing,
      travelDeg,
      towards: travelDeg === 0 ? 'nowhere' : to.distanceMm < from.distanceMm ? 'near' : 'far',
      otherOrder: landingAt(from, travelDeg, move.startS),
      breathingPercent: breathingBetween(optics.lens, from.distanceMm, to.distanceMm),
      wheel: wheel && wheelTurn(wheel, travelDeg, landing.windowDeg, handDegPerS, hand),
      availableS,
      grade: landing.neededS === 0 ? 'comfortable' : gradeMove(availableS, landing.neededS),
      peakDegPerS,
      handPeakDegPerS,
      presses: stepDeg === null ? null : Math.round(travelDeg / stepDeg),
    };
  });
}

/** Sample points for the speed of a pull that meets a moving target. */
const SPEED_SAMPLES = 48;

function peakOf(line: FocusLine, { startS, durationS, easing }: Rack, travelDeg: number, goesOn: boolean): number {
  if (!goesOn) return (easingPeak(easing) * travelDeg) / durationS;
  let peak = 0;
  const stepS = durationS / SPEED_SAMPLES;
  for (let k = 0; k < SPEED_SAMPLES; k++) {
    // the last sample ends just before the landing, so that a jump there does not count as speed
    const [fromS, toS] = [startS + k * stepS, startS + (k + 1) * stepS * (1 - 1e-9)];
    peak = Math.max(peak, Math.abs(line.ringDegAt(toS) - line.ringDegAt(fromS)) / (toS - fromS));
  }
  return peak;
}
