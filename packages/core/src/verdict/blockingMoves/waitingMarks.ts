import { ringOf, withinReach } from '../../kit/index.js';
import { addPlace, addPullTo, planDistances, pullEndS, setTrackStart } from '../../plan/index.js';
import { markReading } from '../../track/index.js';
import { aheadOf, distance, currentDistanceMm, durationParam, withSubject } from './applying.js';
import { figure, type BlockingMove, type BlockingMoveFigure } from './blockingMove.js';

const PLACES = [
  { key: 'firstMm', share: 1.4 },
  { key: 'secondMm', share: 1 },
  { key: 'thirdMm', share: 0.7 },
] as const;

/** Duration of the pull from one waiting mark to the next. */
const TURN_S = 0.8;

/** The subject's destination is not known: focus waits at likely places, one after the other. */
export const waitingMarks: BlockingMove = {
  id: 'waiting-marks',
  movesCamera: false,
  needsPerson: false,
  params(plan, at) {
    const nowMm = currentDistanceMm(plan, at);
    return [...PLACES.map(({ key, share }) => distance(key, nowMm * share)), { ...durationParam(plan, at, 2.5), key: 'waitS' }];
  },
  apply(plan, at, values) {
    const someone = withSubject(plan, at);
    let now = someone.plan;
    PLACES.forEach(({ key }, index) => {
      const { plan: placed, markId } = addPlace(now, aheadOf(now, at.atS, values[key]!), null);
      const target = { kind: 'mark' as const, markId };
      const isStart = index === 0 && placed.focusTrack.pulls.length === 0 && at.atS === 0;
      now = isStart ? setTrackStart(placed, target) : addPullTo(placed, target, at.atS + index * values['waitS']!, TURN_S);
    });
    return { ...someone, plan: now };
  },
  figures({ plan }): BlockingMoveFigure[] {
    const ring = ringOf(plan.optics.lens);
    const marks = plan.marks.slice(-PLACES.length);
    const { arrivalFocusMm } = planDistances(plan);
    const deg = marks.map(({ id }) => ring.angleAt(withinReach(ring, arrivalFocusMm.get(id)!)));
    const last = plan.focusTrack.pulls[plan.focusTrack.pulls.length - 1];
    return [
      ...marks.flatMap((mark, index) => {
        const { nearMm, farMm } = markReading(plan, mark);
        return [
          { ...figure('holds-from', 'distance', nearMm), markId: mark.id },
          { ...figure('holds-to', 'distance', farMm), markId: mark.id },
          ...(index > 0 ? [{ ...figure('turn-to', 'degrees', Math.abs(deg[index]! - deg[index - 1]!)), markId: mark.id }] : []),
        ];
      }),
      figure('last-landing', 'time', last ? pullEndS(last) : 0),
    ];
  },
};
