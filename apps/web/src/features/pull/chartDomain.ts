import {
  depthOfField,
  type FocusTarget,
  type FocusTrack,
  type LensRing,
  markFocusDistances,
  type ShotPlan,
  zoneLensAt,
} from '@still-heron/core';
import { type AxisDomain, axisDomain } from '../../charts/axisScale';

/** A course with more points shows none, because they could not be told apart. */
const MAX_POINTS = 40;

/** Axis range that shows the marks, the focus track and its courses. */
export function wholeDomain(plan: ShotPlan, axis: 'hand' | 'distance', ring: LensRing, track: FocusTrack | null): AxisDomain {
  const lens = zoneLensAt(plan.optics, 0);
  const settings = track === null ? [] : [track.start, ...track.pulls.flatMap(({ from, to }) => [from, to])];
  const shownMm = [
    ...markFocusDistances(plan).values(),
    ...settings.map(({ distanceMm }) => distanceMm),
    ...coursesOf(plan).flatMap(({ points }) => points.map(({ distanceMm }) => distanceMm ?? Infinity)),
  ];
  return axisDomain(axis, ring, shownMm, (focusDistanceMm) => depthOfField({ ...lens, focusDistanceMm }));
}

/** Courses with few enough points to be draggable. */
export function coursesOf({
  focusTrack: { start, pulls },
}: ShotPlan): { pullId: string | null; points: Extract<FocusTarget, { kind: 'course' }>['points'] }[] {
  const all = [{ pullId: null, target: start }, ...pulls.map(({ id, target }) => ({ pullId: id, target }))];
  return all.flatMap(({ pullId, target }) =>
    target?.kind === 'course' && target.points.length <= MAX_POINTS ? [{ pullId, points: target.points }] : [],
  );
}
