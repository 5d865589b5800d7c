import { activeBeats, methodsOf, type ShotPlan, spansWhere } from '../plan/index.js';
import { framesOf } from '../verdict/index.js';

/** Where somebody is in the zone at a moment. */
export interface ZonePlace {
  readonly subjectId: string;
  readonly isInside: boolean;
  readonly distanceMm: number;
  /** Room to the near and to the far limit; negative beyond it, Infinity where the zone has no far limit */
  readonly toNearMm: number;
  readonly toFarMm: number;
  /** Until the zone is entered or left; null if that does not happen any more */
  readonly changesInS: number | null;
}

/** Somebody enters or leaves the zone. */
export interface ZoneChange {
  readonly timeS: number;
  readonly subjectId: string;
  readonly enters: boolean;
}

/** How those who must be sharp come through the zone, for a shot in which nobody pulls. */
export interface ZoneCourse {
  /** In order of time; who is in the zone from the start does not enter it */
  readonly changes: readonly ZoneChange[];
  /** Those who are on the floor at a time, the next to enter or leave first */
  placesAt(timeS: number): readonly ZonePlace[];
}

/**
 * Who is in the zone, and when it is entered and left, by the plan. Somebody hidden from the lens is still in it or outside it.
 *
 * @returns null for a shot in which the ring is turned or the camera focuses, or in which nobody must be sharp
 */
export function zoneCourse(plan: ShotPlan): ZoneCourse | null {
  const { pulls, start } = plan.focusTrack;
  if (pulls.length > 0 || start === null || start.kind === 'subject' || start.kind === 'course') return null;
  if (methodsOf(plan).includes('automatic')) return null;
  const required = new Set(activeBeats(plan).flatMap((beat) => (beat.requirement === 'sharp' ? beat.subjectId : [])));
  const courses = plan.subjects.flatMap((subject) => {
    const frames = required.has(subject.id) ? framesOf(plan, subject) : null;
    if (!frames) return [];
    return [{ subjectId: subject.id, frames, inside: spansWhere(plan, (frame) => frames.subject.sharp[frame] === 1) }];
  });
  if (courses.length === 0) return null;
  const { captureFps, durationS } = plan;
  const changes = courses
    .flatMap(({ subjectId, inside }) =>
      inside.flatMap(({ fromS, untilS }): ZoneChange[] => [
        ...(fromS > 0 ? [{ timeS: fromS, subjectId, enters: true }] : []),
        ...(untilS < durationS ? [{ timeS: untilS, subjectId, enters: false }] : []),
      ]),
    )
    .sort((a, b) => a.timeS - b.timeS);
  return {
    changes,
    placesAt(timeS) {
      return courses
        .flatMap(({ subjectId, frames: { line, subject } }): ZonePlace[] => {
          // the frame that is on at that time
          const frame = Math.min(Math.max(Math.floor(timeS * captureFps + 1e-6), 0), line.timesS.length - 1);
          const distanceMm = subject.distanceMm[frame]!;
          if (Number.isNaN(distanceMm)) return [];
          const next = changes.find((change) => change.subjectId === subjectId && change.timeS > timeS);
          return [
            {
              subjectId,
              isInside: subject.sharp[frame] === 1,
              distanceMm,
              toNearMm: distanceMm - line.nearMm[frame]!,
              toFarMm: line.farMm[frame]! - distanceMm,
              changesInS: next ? next.timeS - timeS : null,
            },
          ];
        })
        .sort((a, b) => (a.changesInS ?? Infinity) - (b.changesInS ?? Infinity));
    },
  };
}
