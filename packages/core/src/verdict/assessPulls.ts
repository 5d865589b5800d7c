import { breathingBetween, type LensRing, wheelDegOf } from '../kit/index.js';
import {
  easingPeak,
  gradePull,
  type Hand,
  handAtTwoJobs,
  minPullTimeS,
  pullDifficultyBits,
  wheelTurn,
  windowOfZone,
} from '../hand/index.js';
import type { FocusTrack } from '../track/index.js';
import {
  hardStopsOf,
  isSteady,
  type Pull,
  ringReach,
  secondJobAt,
  type ShotPlan,
  type TrackPosition,
  zoneLensAt,
} from '../plan/index.js';
import { depthOfField } from '../optics/index.js';
import type { Landing, PullAssessment } from './pullVerdict.js';

/** Each pull as the hand feels it: travel, landing window in both orders, difficulty, needed and available time, speed. */
export function assessPulls(track: FocusTrack, ring: LensRing, plan: ShotPlan): PullAssessment[] {
  const { optics, wheel, maxHandDegPerS } = plan;
  const { stepDeg } = ringReach(plan);
  const landingAt = landings(plan, ring);
  return track.pulls.map((pull, index) => {
    const { from, to } = pull;
    const travelDeg = Math.abs(to.ringDeg - from.ringDeg);
    const secondJob = secondJobAt(plan, pull.endS);
    const hand = secondJob ? handAtTwoJobs(plan.hand) : plan.hand;
    const landing = landingAt(to, travelDeg, pull.endS, hand);
    const availableS = pull.endS - pull.startS;
    const peakDegPerS = peakOf(track, plan.focusTrack.pulls[index]!, travelDeg, pull.isTracking);
    const handPeakDegPerS = Math.abs(wheelDegOf(wheel, peakDegPerS));
    const side = to.distanceMm < from.distanceMm ? 'near' : 'far';
    // written out: spreads of objects this size take a third of the time of a verdict with many pulls
    return {
      pullId: pull.pullId,
      startS: pull.startS,
      endS: pull.endS,
      from,
      to,
      isTracking: pull.isTracking,
      windowDeg: landing.windowDeg,
      nearRoomDeg: landing.nearRoomDeg,
      farRoomDeg: landing.farRoomDeg,
      nearRoomMm: landing.nearRoomMm,
      farRoomMm: landing.farRoomMm,
      bits: landing.bits,
      isAgainstHardStop: landing.isAgainstHardStop,
      neededS: landing.neededS,
      travelDeg,
      towards: travelDeg === 0 ? 'nowhere' : side,
      oppositeLanding: landingAt(from, travelDeg, pull.startS, hand),
      breathingPercent: breathingBetween(optics.lens, from.distanceMm, to.distanceMm),
      wheel: wheel && wheelTurn(wheel, { travelDeg, windowDeg: landing.windowDeg }, maxHandDegPerS, hand),
      availableS,
      secondJob,
      grade: landing.neededS === 0 ? 'comfortable' : gradePull(availableS, landing.neededS),
      peakDegPerS,
      handPeakDegPerS,
      presses: stepDeg === null ? null : Math.round(travelDeg / stepDeg),
    };
  });
}

/** What the hand meets where a pull lands. */
function landings(plan: ShotPlan, ring: LensRing) {
  const { optics, wheel, maxHandDegPerS } = plan;
  const stops = hardStopsOf(plan);
  const steadyLens = isSteady(optics) ? zoneLensAt(optics, 0) : null;
  const isAtStop = ({ target, ringDeg }: TrackPosition) =>
    target.kind === 'mark' &&
    stops.some((stop) => stop.markId === target.markId && Math.abs(stop.ringDeg - ringDeg) < SAME_ANGLE_DEG);
  return (position: TrackPosition, travelDeg: number, timeS: number, hand: Hand): Landing => {
    const lens = steadyLens ?? zoneLensAt(optics, timeS);
    const zone = depthOfField({ ...lens, focusDistanceMm: position.distanceMm });
    const window = windowOfZone(zone, ring, position.distanceMm);
    const isAgainstHardStop = isAtStop(position);
    return {
      windowDeg: window.widthDeg,
      nearRoomDeg: Math.abs(window.nearSideDeg),
      farRoomDeg: Math.abs(window.farSideDeg),
      nearRoomMm: zone.inFrontMm,
      farRoomMm: zone.behindMm,
      bits: pullDifficultyBits(travelDeg, window.widthDeg),
      isAgainstHardStop,
      neededS: minPullTimeS({ wheel, maxHandDegPerS, hand }, travelDeg, window.widthDeg, isAgainstHardStop),
    };
  };
}

/** Smaller differences of ring angle are rounding. */
const SAME_ANGLE_DEG = 1e-6;

/** Sample points for the speed of a pull that meets a moving target. */
const SPEED_SAMPLES = 48;

function peakOf(track: FocusTrack, { startS, durationS, easing }: Pull, travelDeg: number, isTracking: boolean): number {
  if (!isTracking) return (easingPeak(easing) * travelDeg) / durationS;
  let peak = 0;
  const stepS = durationS / SPEED_SAMPLES;
  for (let k = 0; k < SPEED_SAMPLES; k++) {
    // the last sample ends just before the landing, so that a jump there does not count as speed
    const [fromS, toS] = [startS + k * stepS, startS + (k + 1) * stepS * (1 - 1e-9)];
    peak = Math.max(peak, Math.abs(track.ringDegAt(toS) - track.ringDegAt(fromS)) / (toS - fromS));
  }
  return peak;
}
