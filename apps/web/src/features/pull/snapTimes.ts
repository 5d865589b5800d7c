import { beatsNow, rackEndS, type ShotPlan } from '@still-heron/core';

/** Within so many pixels a dragged time is taken to one that means something. */
const SNAP_PX = 7;

/**
 * Times that something else of the plan happens at: ends of beats and key moments, comings and goings at marks, starts and landings of pulls, the shot's ends.
 *
 * @param exceptId - of what is dragged itself
 */
export function timesOf(plan: ShotPlan, exceptId: string): number[] {
  const beats = beatsNow(plan).filter(({ id }) => id !== exceptId);
  const moves = plan.line.moves.filter(({ id }) => id !== exceptId);
  return [
    0,
    plan.durationS,
    ...beats.flatMap(({ fromS, toS, keyS }) => (keyS === null ? [fromS, toS] : [fromS, toS, keyS])),
    ...plan.subjects.flatMap(({ stays }) => stays.flatMap(({ fromS, untilS }) => [fromS, untilS])),
    ...moves.flatMap((move) => [move.startS, rackEndS(move)]),
  ];
}

/** The nearest of some times, where it is near enough on the screen; else the time itself, on a whole hundredth. */
export function snapped(timeS: number, times: readonly number[], pxPerS: number): number {
  const near = times
    .filter((other) => Math.abs(other - timeS) * pxPerS <= SNAP_PX)
    .sort((a, b) => Math.abs(a - timeS) - Math.abs(b - timeS))[0];
  return near ?? Math.round(timeS * 100) / 100;
}

/** A stretch moved as a whole: whichever of its ends is nearest to such a time is taken there. */
export function snappedSpan(fromS: number, toS: number, times: readonly number[], pxPerS: number): number {
  const [start, end] = [snapped(fromS, times, pxPerS), snapped(toS, times, pxPerS)];
  const [byStart, byEnd] = [Math.abs(start - fromS), Math.abs(end - toS)];
  const isOn = (timeS: number) => times.includes(timeS);
  if (isOn(end) && (!isOn(start) || byEnd < byStart)) return fromS + end - toS;
  return start;
}
