import { activeBeats, pullEndS, type ShotPlan } from '@still-heron/core';

/** Snap distance of a dragged time, in pixels. */
const SNAP_PX = 7;

/**
 * Times to snap to: ends of beats, key moments, arrivals and departures, starts and landings of pulls, ends of the shot.
 *
 * @param exceptId - id of the dragged item
 */
export function timesOf(plan: ShotPlan, exceptId: string): number[] {
  const beats = activeBeats(plan).filter(({ id }) => id !== exceptId);
  const pulls = plan.focusTrack.pulls.filter(({ id }) => id !== exceptId);
  return [
    0,
    plan.durationS,
    ...beats.flatMap(({ fromS, toS, keyMomentS }) => (keyMomentS === null ? [fromS, toS] : [fromS, toS, keyMomentS])),
    ...plan.subjects.flatMap(({ stays }) => stays.flatMap(({ fromS, untilS }) => [fromS, untilS])),
    ...pulls.flatMap((pull) => [pull.startS, pullEndS(pull)]),
  ];
}

/** Nearest snap time if it is close enough on screen, else the time rounded to a hundredth. */
export function snapped(timeS: number, times: readonly number[], pxPerS: number): number {
  const near = times
    .filter((other) => Math.abs(other - timeS) * pxPerS <= SNAP_PX)
    .sort((a, b) => Math.abs(a - timeS) - Math.abs(b - timeS))[0];
  return near ?? Math.round(timeS * 100) / 100;
}

/** Time after a drag by `byS`. Alt turns snapping off: `snapTo` is then null. */
export function draggedTime(
  timeS: number,
  byS: number,
  snapTo: { readonly times: readonly number[]; readonly pxPerS: number } | null,
): number {
  return snapTo === null ? timeS + byS : snapped(timeS + byS, snapTo.times, snapTo.pxPerS);
}

/** Snaps a span that is moved as a whole by whichever end is nearest to a snap time. */
export function snappedSpan(fromS: number, toS: number, times: readonly number[], pxPerS: number): number {
  const [start, end] = [snapped(fromS, times, pxPerS), snapped(toS, times, pxPerS)];
  const [byStart, byEnd] = [Math.abs(start - fromS), Math.abs(end - toS)];
  const isOn = (timeS: number) => times.includes(timeS);
  if (isOn(end) && (!isOn(start) || byEnd < byStart)) return fromS + end - toS;
  return start;
}
