import {
  ASSUMED_HAND,
  formatGap,
  type Hand,
  type PullAssessment,
  type SecondJob,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { figure } from '../figure.js';

/** How the turn of a pull is computed, one step per line. */
export function turnLines({ from, to, wheel }: PullAssessment, plan: ShotPlan): string[] {
  const turn = `the ring from ${from.ringDeg.toFixed(1)}° to ${to.ringDeg.toFixed(1)}°`;
  if (!wheel) return [turn];
  return [
    turn,
    `the wheel turns ${plan.wheel!.wheelPerRing} × as far; it must land within ${wheel.windowOnDiscMm.toFixed(1)} mm on its disc`,
    ...(wheel.regrips > 0 ? [`the hand has to regrip ${wheel.regrips} times`] : []),
  ];
}

/** @param limitDegPerS - peak speed of the hand */
export function peakSpeedLines(
  { isTracking, peakDegPerS, travelDeg, availableS }: PullAssessment,
  limitDegPerS: number,
): string[] {
  return [
    isTracking
      ? 'computed frame by frame, because the pull runs to a moving subject'
      : `${(peakDegPerS / (travelDeg / availableS || 1)).toFixed(3)} × ${travelDeg.toFixed(1)}° / ${availableS.toFixed(2)} s of the ring`,
    `the limit is ${limitDegPerS.toFixed(0)}°/s: yours, under “Hand and shot”`,
  ];
}

export function breathingLines({ optics }: ShotPlan): string[] {
  return [
    `breathing of the lens: ${optics.lens.breathingPercent} % from infinity to close focus`,
    'in proportion to the extension of the lens: an assumption',
  ];
}

/** What the puller does besides pulling focus. */
export const SECOND_JOB_WORDS: Readonly<Record<SecondJob, string>> = {
  framing: 'the same person frames',
  iris: 'the iris is turned at the same time',
  zoom: 'the zoom is turned at the same time',
};

/** How the time is computed that the hand of a plan needs for a pull, one step per line. */
export function neededTimeLines(
  pull: PullAssessment,
  { hand, maxHandDegPerS }: Pick<ShotPlan, 'hand' | 'maxHandDegPerS'>,
): string[] {
  const { isAgainstHardStop, wheel, bits, travelDeg, windowDeg, secondJob } = pull;
  if (isAgainstHardStop && wheel && wheel.betweenStopsS !== null)
    return ['the pull lands against a hard stop: it needs no aim, only time to turn'];
  return [
    `${figure(hand.reactionS)} s + ${figure(hand.perBitS)} s × ${bits.toFixed(2)} bits of difficulty`,
    ...(secondJob ? [`all of it × ${figure(hand.twoJobsFactor)}, because ${SECOND_JOB_WORDS[secondJob]}`] : []),
    `bits = log₂(${travelDeg.toFixed(1)}° / ${windowDeg.toFixed(2)}° + 1): turn over landing window`,
    `at least the time for the turn at ${maxHandDegPerS.toFixed(0)}°/s`,
    isAssumed(hand) ? 'the hand is assumed until your own is measured' : 'with your own hand, as typed or measured',
  ];
}

function isAssumed({ reactionS, perBitS }: Hand): boolean {
  return reactionS === ASSUMED_HAND.reactionS && perBitS === ASSUMED_HAND.perBitS;
}

/** Room at the landing, on the ring and on the floor, also from the other side. */
export function landingLines(pull: PullAssessment, units: UnitSystem): string[] {
  const other = pull.oppositeLanding;
  const room = (nearMm: number, farMm: number) => `${roomText(nearMm, units)} nearer, ${roomText(farMm, units)} farther`;
  return [
    `ring: ${pull.nearRoomDeg.toFixed(2)}° on the near side, ${pull.farRoomDeg.toFixed(2)}° on the far side`,
    `on the floor: ${room(pull.nearRoomMm, pull.farRoomMm)}`,
    `in the opposite direction the window is ${other.windowDeg.toFixed(1)}°: ${room(other.nearRoomMm, other.farRoomMm)}, ${other.neededS.toFixed(2)} s`,
  ];
}

/** A gap, ∞ for one without limit. */
export function roomText(mm: number, units: UnitSystem): string {
  return mm === Infinity ? '∞' : formatGap(mm, units);
}
