import {
  ASSUMED_MARK_SIGMA_MM,
  ASSUMED_WIDTH_MM,
  EYES_TO_CROWN_MM,
  ASSUMED_TIMING_SIGMA_S,
  STANDING_EYES_MM,
  type Stay,
  type Subject,
  type SubjectKind,
} from '../../floor/index.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { fullList } from '../planRoom.js';
import { DEFAULT_BEAT, type ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';
import { cameraAxis } from './cameraAxis.js';
import { markFor } from './marks.js';
import { detachFromMark, detachFromSubject } from './targets.js';
import { withDerivedDistances } from './withDerivedDistances.js';

/** Point of focus of a new person. */
const EYE = 'near eye';

/**
 * Adds a subject that stands at a taped distance for the whole shot. The first subject also sets the start of the focus track
 * and must be sharp throughout.
 *
 * @param distanceMm - tape distance; null for infinity
 * @returns the same plan if it has no room for another subject, or its mark
 */
export function addSubject(plan: ShotPlan, { name, distanceMm }: { name: string; distanceMm: number | null }): ShotPlan {
  const subjectId = nextId('subject', plan.subjects);
  const mark = markFor(plan, subjectId, distanceMm);
  const stay: Stay = { id: 'stay-1', markId: mark.id, fromS: 0, untilS: plan.durationS, pace: 'eased' };
  const isFirst = plan.focusTrack.start === null;
  if (fullList(plan, isFirst ? ['subjects', 'marks', 'beats'] : ['subjects', 'marks'])) return plan;
  return {
    ...plan,
    subjects: [
      ...plan.subjects,
      {
        id: subjectId,
        kind: 'person',
        name,
        detail: EYE,
        heightMm: STANDING_EYES_MM,
        widthMm: ASSUMED_WIDTH_MM.person,
        tallMm: STANDING_EYES_MM + EYES_TO_CROWN_MM,
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
  changes: Partial<Pick<Subject, 'name' | 'detail' | 'heightMm' | 'widthMm' | 'tallMm' | 'markSigmaMm' | 'timingSigmaS'>>,
): ShotPlan {
  return { ...plan, subjects: withItem(plan.subjects, id, (subject) => ({ ...subject, ...changes })) };
}

/**
 * Makes a subject an object, or a person again. An object has no eye, and stays where it is: one that walks in the plan remains a
 * person.
 */
export function setSubjectKind(plan: ShotPlan, id: string, kind: SubjectKind): ShotPlan {
  return {
    ...plan,
    subjects: withItem(plan.subjects, id, (subject) => {
      if (kind === 'object' && subject.stays.length > 1) return subject;
      const [from, to] = kind === 'object' ? [EYE, ''] : ['', EYE];
      const widthMm = subject.widthMm === ASSUMED_WIDTH_MM[subject.kind] ? ASSUMED_WIDTH_MM[kind] : subject.widthMm;
      return { ...subject, kind, widthMm, detail: subject.detail === from ? to : subject.detail };
    }),
  };
}

/** The subject of a name, whatever its capitals and spaces; undefined if nobody has it. */
export function subjectNamed({ subjects }: Pick<ShotPlan, 'subjects'>, name: string): Subject | undefined {
  const plain = (text: string) => text.trim().replace(/\s+/g, ' ').toLowerCase();
  return name.trim() === '' ? undefined : subjects.find((subject) => plain(subject.name) === plain(name));
}

/** Removes a subject with its marks and beats. Pulls to its marks keep their distance. */
export function removeSubject(plan: ShotPlan, id: string): ShotPlan {
  const owned = plan.marks.filter((mark) => mark.subjectId === id);
  const freed = owned.reduce((rest, mark) => detachFromMark(rest, mark.id), detachFromSubject(plan, id));
  return withDerivedDistances({
    ...freed,
    floor: freed.floor && {
      ...freed.floor,
      // an aim at the subject becomes an aim at where it was
      aims: freed.floor.aims.map((aim) =>
        aim.at.kind === 'subject' && aim.at.subjectId === id
          ? { ...aim, at: { kind: 'heading', ...cameraAxis(plan, aim.timeS) } }
          : aim,
      ),
    },
    subjects: without(freed.subjects, id),
    marks: freed.marks.filter((mark) => mark.subjectId !== id),
    beats: freed.beats.filter((beat) => beat.subjectId !== id),
  });
}

/** Whether a subject can get a further mark: an object has one, nobody walks to or from infinity, and the marks of a plan are limited. */
export function canAddStay({ marks }: Pick<ShotPlan, 'marks'>, subject: Pick<Subject, 'kind' | 'stays'>): boolean {
  const isAtInfinity = ({ markId }: Stay) => marks.some(({ id, distanceMm }) => id === markId && distanceMm === null);
  return marks.length < PLAN_LIMITS.marks.max && isMovable(subject) && !subject.stays.some(isAtInfinity);
}

/** An object stays where it is, once it has a mark. */
function isMovable({ kind, stays }: Pick<Subject, 'kind' | 'stays'>): boolean {
  return kind === 'person' || stays.length === 0;
}

/**
 * Adds a walk to another taped distance, or the first mark of a subject that has none; an object with a mark stays where it is. The subject
 * arrives at `fromS` and stays to the end. The previous stay ends early enough.
 *
 * @param distanceMm - finite
 */
export function addStay(
  plan: ShotPlan,
  subjectId: string,
  { distanceMm, fromS }: { distanceMm: number; fromS: number },
): ShotPlan {
  const subject = plan.subjects.find(({ id }) => id === subjectId);
  if (!subject || !isMovable(subject)) return plan;
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

/**
 * When a subject arrives at the next mark unless a time is given: in the middle of the shot, at least 2 s after its last arrival. At its
 * first mark it stands from the start.
 */
export function nextArrivalS({ durationS }: Pick<ShotPlan, 'durationS'>, { stays }: Pick<Subject, 'stays'>): number {
  const last = stays.at(-1);
  return last ? Math.min(durationS, Math.max(last.fromS + WALK_S, durationS / 2)) : 0;
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
  return withDerivedDistances({ ...plan, subjects: withItem(plan.subjects, subjectId, (item) => ({ ...item, stays })) });
}
