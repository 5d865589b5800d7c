import { ASSUMED_MARK_SIGMA_MM, ASSUMED_TIMING_SIGMA_S, STANDING_EYES_MM, type Stay, type Subject } from '../../floor/index.js';
import { DEFAULT_BEAT, type ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';
import { cameraHeading } from './cameraHeading.js';
import { markFor } from './marks.js';
import { detachFromMark, detachFromSubject } from './targets.js';
import { withDrawnDistances } from './withDrawnDistances.js';

/**
 * Adds a subject that stands at a taped distance for the whole shot. The first subject also sets the start of the focus track
 * and must be sharp throughout.
 *
 * @param distanceMm - tape distance; null for infinity
 */
export function addSubject(plan: ShotPlan, { name, distanceMm }: { name: string; distanceMm: number | null }): ShotPlan {
  const subjectId = nextId('subject', plan.subjects);
  const mark = markFor(plan, subjectId, distanceMm);
  const stay: Stay = { id: 'stay-1', markId: mark.id, fromS: 0, untilS: plan.durationS, pace: 'eased' };
  const isFirst = plan.focusTrack.start === null;
  return {
    ...plan,
    subjects: [
      ...plan.subjects,
      {
        id: subjectId,
        name,
        detail: 'near eye',
        heightMm: STANDING_EYES_MM,
        markSigmaMm: ASSUMED_MARK_SIGMA_MM,
        timingSigmaS: ASSUMED_TIMING_SIGMA_S,
        stays: [stay],
      },
    ],
    marks: [...plan.marks, mark],
    beats: isFirst
      ? [...plan.beats, { id: nextId('beat', plan.beats), subjectId, fromS: 0, toS: plan.durationS, ...DEFAULT_BEAT }]
      : plan.beats,
    focusTrack: isFirst ? { ...plan.focusTrack, start: { kind: 'mark', markId: mark.id } } : plan.focusTrack,
  };
}

export function changeSubject(
  plan: ShotPlan,
  id: string,
  changes: Partial<Pick<Subject, 'name' | 'detail' | 'heightMm' | 'markSigmaMm' | 'timingSigmaS'>>,
): ShotPlan {
  return { ...plan, subjects: withItem(plan.subjects, id, (subject) => ({ ...subject, ...changes })) };
}

/** Removes a subject with its marks and beats. Pulls to its marks keep their distance. */
export function removeSubject(plan: ShotPlan, id: string): ShotPlan {
  const owned = plan.marks.filter((mark) => mark.subjectId === id);
  const freed = owned.reduce((rest, mark) => detachFromMark(rest, mark.id, mark.distanceMm), detachFromSubject(plan, id));
  return withDrawnDistances({
    ...freed,
    floor: freed.floor && {
      ...freed.floor,
      // an aim at the subject becomes an aim at where it was
      aims: freed.floor.aims.map((aim) =>
        aim.at.kind === 'subject' && aim.at.subjectId === id
          ? { ...aim, at: { kind: 'heading', deg: cameraHeading(plan, aim.timeS) } }
          : aim,
      ),
    },
    subjects: without(freed.subjects, id),
    marks: freed.marks.filter((mark) => mark.subjectId !== id),
    beats: freed.beats.filter((beat) => beat.subjectId !== id),
  });
}

/**
 * Adds a walk to another taped distance: the subject arrives at `fromS` and stays to the end. The previous stay ends early
 * enough.
 *
 * @param distanceMm - finite
 */
export function addStay(
  plan: ShotPlan,
  subjectId: string,
  { distanceMm, fromS }: { distanceMm: number; fromS: number },
): ShotPlan {
  const subject = plan.subjects.find(({ id }) => id === subjectId);
  if (!subject) return plan;
  const mark = markFor(plan, subjectId, distanceMm);
  const before = subject.stays[subject.stays.length - 1];
  const arrivesS = clamp(fromS, before?.fromS ?? 0, plan.durationS);
  const leavesS = Math.min(before?.untilS ?? 0, Math.max(before?.fromS ?? 0, arrivesS - WALK_S));
  const stays = withItem(subject.stays, before?.id ?? '', (stay) => ({ ...stay, untilS: leavesS }));
  const added: Stay = {
    id: nextId('stay', subject.stays),
    markId: mark.id,
    fromS: arrivesS,
    untilS: plan.durationS,
    pace: 'eased',
  };
  return {
    ...plan,
    marks: [...plan.marks, mark],
    subjects: withItem(plan.subjects, subjectId, (item) => ({ ...item, stays: [...stays, added] })),
  };
}

/** Default duration of a new walk. */
const WALK_S = 2;

/** Moves the ends of a stay between its neighbours and within the shot. */
export function changeStay(
  plan: ShotPlan,
  subjectId: string,
  stayId: string,
  changes: Partial<Pick<Stay, 'fromS' | 'untilS' | 'pace'>>,
): ShotPlan {
  const subject = plan.subjects.find(({ id }) => id === subjectId);
  const at = subject?.stays.findIndex(({ id }) => id === stayId) ?? -1;
  if (!subject || at < 0) return plan;
  const lowS = subject.stays[at - 1]?.untilS ?? 0;
  const highS = subject.stays[at + 1]?.fromS ?? plan.durationS;
  const stays = withItem(subject.stays, stayId, (stay) => {
    const fromS = clamp(changes.fromS ?? stay.fromS, lowS, changes.untilS === undefined ? stay.untilS : highS);
    return { ...stay, ...changes, fromS, untilS: clamp(changes.untilS ?? stay.untilS, fromS, highS) };
  });
  return withDrawnDistances({ ...plan, subjects: withItem(plan.subjects, subjectId, (item) => ({ ...item, stays })) });
}
