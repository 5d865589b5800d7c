import { MINIMUM_JERK_PEAK, shortestTurnDeg } from '../../floor/index.js';
import { ringOf, withinReach } from '../../kit/index.js';
import { addPullTo, planDistances, setAim } from '../../plan/index.js';
import { framesOf } from '../zoneSpans.js';
import { distancesAt, focusTargetAt, durationParam, subjectOf, withSubject } from './applying.js';
import { figure, said, type BlockingMove } from './blockingMove.js';

/** The camera whips to another subject, and focus changes during the blur. */
export const whip: BlockingMove = {
  id: 'whip',
  word: 'Whip over to them',
  description: 'The camera whips from where it looks to someone else; focus goes over in the smear.',
  movesCamera: false,
  params: (plan, at) => [{ ...durationParam(plan, at, 0.5, 'the whip takes'), key: 'panS', min: 0.1 }],
  lay(plan, at, { panS }) {
    const someone = withSubject(plan, at);
    const target = { kind: 'subject' as const, subjectId: someone.subjectId };
    const landsS = at.atS + panS!;
    const aimed = { ...someone, plan: setAim(someone.plan, target, landsS, true, panS!) };
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
      figure('the camera turns', 'degrees', turnDeg),
      figure('fastest', 'degrees-per-second', (turnDeg / panS!) * MINIMUM_JERK_PEAK),
      figure('focus from', 'distance', beforeMm),
      figure('focus to', 'distance', focusMm),
      figure('the ring turns', 'degrees', turn),
      figure('the ring’s fastest', 'degrees-per-second', (turn / panS!) * MINIMUM_JERK_PEAK),
      lands ? said('as it lands', 'they are sharp', 'sharp') : said('as it lands', 'they are soft', 'soft'),
    ];
  },
};
