import { MINIMUM_JERK_PEAK, shortestTurnDeg } from '../../floor/index.js';
import { ringOf, withinReach } from '../../kit/index.js';
import { addPullTo, planDistances, setAim } from '../../plan/index.js';
import { framesOf } from '../zoneSpans.js';
import { distancesAt, focusTargetAt, durationParam, subjectOf, withSubject } from './applying.js';
import { figure, answer, type BlockingMove } from './blockingMove.js';

/** The camera whips to another subject, and focus changes during the blur. */
export const whip: BlockingMove = {
  id: 'whip',
  movesCamera: false,
  needsPerson: false,
  params: (plan, at) => [{ ...durationParam(plan, at, 0.5), key: 'panS', min: 0.1 }],
  apply(plan, at, { panS }) {
    const someone = withSubject(plan, at);
    const target = { kind: 'subject' as const, subjectId: someone.subjectId };
    const landsS = at.atS + panS!;
    const aimed = { ...someone, plan: setAim(someone.plan, target, { atS: landsS, isNew: true, panS: panS! }) };
    return { ...aimed, plan: addPullTo(aimed.plan, focusTargetAt(aimed, landsS), at.atS, panS!) };
  },
  figures(blocked, { atS }, { panS }) {
    const { headingAt } = planDistances(blocked.plan);
    const turnDeg = Math.abs(shortestTurnDeg(headingAt(atS), headingAt(atS + panS!)));
    const ring = ringOf(blocked.plan.optics.lens);
    const frames = framesOf(blocked.plan, subjectOf(blocked));
    const frameAt = (timeS: number) =>
      Math.min(Math.round(timeS * blocked.plan.captureFps), (frames?.line.timesS.length ?? 1) - 1);
    const beforeMm = frames?.line.focusMm[frameAt(atS)] ?? NaN;
    const { focusMm } = distancesAt(blocked, atS + panS!);
    const turn = Math.abs(ring.angleAt(withinReach(ring, focusMm)) - ring.angleAt(withinReach(ring, beforeMm)));
    const lands = frames?.subject.sharp[frameAt(atS + panS! + 1 / blocked.plan.captureFps)] === 1;
    return [
      figure('camera-turn', 'degrees', turnDeg),
      figure('peak-speed', 'degrees-per-second', (turnDeg / panS!) * MINIMUM_JERK_PEAK),
      figure('focus-from', 'distance', beforeMm),
      figure('focus-to', 'distance', focusMm),
      figure('ring-turn', 'degrees', turn),
      figure('ring-peak-speed', 'degrees-per-second', (turn / panS!) * MINIMUM_JERK_PEAK),
      lands ? answer('on-landing', 'is-sharp', 'sharp') : answer('on-landing', 'is-soft', 'soft'),
    ];
  },
};
