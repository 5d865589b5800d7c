import { keepingDistanceErrors, type ShotPlan } from '../../plan/index.js';
import { type ActionFacts, focusMmOf } from './actionFacts.js';

/** Focus held at the first required subject, found by camera or eye: without measuring, there is no measuring error. */
export function heldAtFirst(plan: ShotPlan, { required }: ActionFacts): ShotPlan | null {
  return heldAt(plan, focusMmOf(plan, required[0]!.subjectId, required[0]!.fromS));
}

/** Focus held where the last required subject ends. */
export function heldAtLast(plan: ShotPlan, { required }: ActionFacts): ShotPlan | null {
  const last = required.at(-1)!;
  const mark = plan.subjects.find(({ id }) => id === last.subjectId)?.stays.at(-1)?.markId;
  const isMeasured = plan.floor === null && plan.marks.some(({ id, distanceMm }) => id === mark && distanceMm !== null);
  if (mark !== undefined && isMeasured) return { ...plan, focusTrack: { start: { kind: 'mark', markId: mark }, pulls: [] } };
  return heldAt(plan, focusMmOf(plan, last.subjectId, last.toS - 0.5 / plan.captureFps));
}

function heldAt(plan: ShotPlan, mm: number): ShotPlan | null {
  if (Number.isNaN(mm)) return null;
  return { ...plan, focusTrack: { start: { kind: 'distance', distanceMm: mm === Infinity ? null : mm }, pulls: [] } };
}

/** The only required subject at a constant distance, with the drift of an operator who walks; null if there are more subjects. */
export function constantDistance(plan: ShotPlan, { required, isOne }: ActionFacts): ShotPlan | null {
  const [first] = required;
  const subject = plan.subjects.find(({ id }) => id === first?.subjectId);
  const mm = first ? focusMmOf(plan, first.subjectId, first.fromS) : NaN;
  if (!subject || !isOne || !Number.isFinite(mm)) return null;
  const markId = subject.stays[0]!.markId;
  const mark = plan.marks.find(({ id }) => id === markId)!;
  return {
    ...plan,
    floor: null,
    method: 'constant-distance',
    cameraErrors: keepingDistanceErrors(plan),
    subjects: [
      {
        ...subject,
        // the camera keeps its distance to the subject, also while the subject walks
        markSigmaMm: 0,
        stays: [{ ...subject.stays[0]!, fromS: 0, untilS: plan.durationS }],
      },
    ],
    marks: [{ ...mark, place: null, method: 'tape', distanceMm: mm, uncertaintyMm: 0 }],
    beats: required,
    focusTrack: { start: { kind: 'mark', markId }, pulls: [] },
    alternates: null,
    rehearsals: [],
  };
}
