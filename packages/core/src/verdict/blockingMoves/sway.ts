import type { Stay } from '../../floor/index.js';
import { addPlace, PLAN_LIMITS, type ShotPlan, withDerivedDistances } from '../../plan/index.js';
import { markReading, missAllowance } from '../../track/index.js';
import { zoneSpans } from '../zoneSpans.js';
import {
  apartMm,
  cameraOf,
  setFocusFrom,
  focusTargetAt,
  durationParam,
  length,
  markOf,
  placeOf,
  subjectOf,
  towards,
  withSubject,
} from './applying.js';
import { figure, answer, type BlockingMove, type BlockingMoveFigure } from './blockingMove.js';

/** A subject sits or stands and sways along the lens axis. */
export const sway: BlockingMove = {
  id: 'sway',
  movesCamera: false,
  needsPerson: true,
  params: (plan, at) => [
    length('swayMm', 80, { min: 5, max: 2000 }),
    { key: 'periodS', unit: 'time', min: 0.4, max: 30, defaultValue: 3 },
    durationParam(plan, at, 6),
  ],
  apply(plan, at, { swayMm, periodS, lastsS }) {
    const someone = withSubject(plan, at);
    const [camera, place] = [cameraOf(someone.plan, at.atS), placeOf(someone, at.atS)];
    const middle = markOf(someone, at.atS);
    const floor = apartMm(camera, place);
    const near = addPlace(someone.plan, towards(camera, place, floor - swayMm!), someone.subjectId);
    const far = addPlace(near.plan, towards(camera, place, floor + swayMm!), someone.subjectId);
    const swung = swinging(far.plan, someone.subjectId, {
      ends: [near.markId, far.markId],
      middleId: middle.id,
      fromS: at.atS,
      halfS: periodS! / 2,
      untilS: Math.min(at.atS + lastsS!, plan.durationS),
    });
    return { ...someone, plan: setFocusFrom(swung, focusTargetAt(someone, at.atS), at.atS) };
  },
  figures(blocked, { atS }, { swayMm, lastsS }): BlockingMoveFigure[] {
    const mark = markOf(blocked, Math.max(atS - 0.01, 0));
    const { nearerMm, fartherMm } = markReading(blocked.plan, mark);
    const sharpS = zoneSpans(blocked.plan, subjectOf(blocked)).reduce(
      (sum, { fromS, untilS }) => sum + Math.max(0, Math.min(untilS, atS + lastsS!) - Math.max(fromS, atS)),
      0,
    );
    const outMm = Math.max(swayMm! - nearerMm, swayMm! - fartherMm);
    const allowance = missAllowance(blocked.plan, mark, swayMm!);
    return [
      outMm <= 0 ? figure('inside-by', 'gap', -outMm, 'sharp') : figure('outside-by', 'gap', outMm, 'soft'),
      figure('nearer-room', 'gap', nearerMm),
      figure('farther-room', 'gap', fartherMm),
      figure('sharp-share', 'percent', Math.min((100 * sharpS) / lastsS!, 100), outMm <= 0 ? 'sharp' : 'edge'),
      ...(allowance.status === 'needs-stop' ? [figure('holding-stop', 'stop', allowance.stop)] : []),
      ...(allowance.status === 'not-on-this-lens' ? [answer('holding-stop', 'no-stop', 'soft')] : []),
    ];
  },
};

/** Swaying between two marks; `halfS` is the time from one to the other. */
interface Swing {
  readonly ends: readonly [string, string];
  readonly middleId: string;
  readonly fromS: number;
  readonly halfS: number;
  readonly untilS: number;
}

/** Replaces a span of the subject's stay by swaying between two marks, starting and ending in the middle. */
function swinging(plan: ShotPlan, subjectId: string, { ends, middleId, fromS, halfS, untilS }: Swing): ShotPlan {
  const subjects = plan.subjects.map((subject) => {
    if (subject.id !== subjectId) return subject;
    const before = subject.stays
      .filter((stay) => stay.fromS <= fromS)
      .map((stay) => ({ ...stay, untilS: Math.min(stay.untilS, fromS) }));
    const after = subject.stays.filter((stay) => stay.fromS >= untilS);
    const room = PLAN_LIMITS.stays.max - before.length - after.length - 1;
    const swings = Math.max(0, Math.min(Math.floor((untilS - fromS) / halfS) - 1, room));
    // at either end the subject turns at once: a full swing takes half a period, the first and last a quarter
    const swung = Array.from({ length: swings }, (_, k): Omit<Stay, 'id'> => {
      const turnTimeS = fromS + halfS / 2 + k * halfS;
      return { markId: ends[k % 2]!, fromS: turnTimeS, untilS: turnTimeS, pace: 'eased' };
    });
    const endS = Math.min(fromS + swings * halfS, untilS);
    const back: Omit<Stay, 'id'> = { markId: middleId, fromS: endS, untilS: after[0] ? endS : plan.durationS, pace: 'eased' };
    const stays = [...before, ...swung, ...(swings > 0 ? [back] : []), ...after];
    return { ...subject, stays: stays.map((stay, index) => ({ ...stay, id: `stay-${index + 1}` })) };
  });
  return withDerivedDistances({ ...plan, subjects });
}
