import { listed } from '../figure.js';
import type { AimKey, ShotPlan, TimeSpan } from '@still-heron/core';

/** Entrances and exits of a subject. @param framed - spans in the picture; null if the subject is not on the floor */
export function framingText(
  { framed, name }: { readonly framed: readonly TimeSpan[] | null | undefined; readonly name: string },
  durationS: number,
): string {
  if (framed === undefined) return name;
  if (framed === null) return `${name} is not on the floor`;
  if (framed.length === 0) return `${name} is never in frame`;
  const words = framed.flatMap(({ fromS, untilS }) => [
    ...(fromS > 0 ? [`enters at ${fromS.toFixed(1)} s`] : []),
    ...(untilS < durationS - 1e-6 ? [`leaves at ${untilS.toFixed(1)} s`] : []),
  ]);
  return words.length === 0 ? `${name} is in frame all the time` : `${name} ${words.join(', ')}`;
}

/** Where the camera is aimed. */
export function aimText(at: AimKey['at'], plan: ShotPlan): string {
  if (at.kind === 'subject')
    return `at ${plan.subjects.find(({ id }) => id === at.subjectId)?.name ?? 'a subject'}, who is followed`;
  if (at.kind === 'point') return at.heightMm === null ? 'at a point, level' : 'at a point';
  return at.tiltDeg === null || at.tiltDeg === 0 ? 'straight ahead, level' : 'straight ahead, tilted';
}

/** Why people and things hide nobody. */
export function unknownHeightsText(names: readonly string[]): string {
  return `Nobody is hidden by ${listed(names)}: the height is not known.`;
}
