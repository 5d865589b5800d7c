import { MINIMUM_JERK_PEAK, shortestTurnDeg } from '../../floor/index.js';
import { ringOf, withinReach } from '../../kit/index.js';
import { addRackTo, planDistances, setAim } from '../../pull/index.js';
import { framesOf } from '../zoneSpans.js';
import { distancesAt, focusOn, lasting, subjectOf, withSomeone } from './laying.js';
import { figure, said, type Staging } from './staging.js';

/** The camera whips to another subject, and focus changes during the blur. */
export const whip: Staging = {
  id: 'whip',
  word: 'Whip over to them',
  says: 'The camera whips from where it looks to someone else; focus goes over in the smear.',
  movesCamera: false,
  params: (plan, at) => [{ ...lasting(plan, at, 0.5, 'the whip takes'), key: 'panS', min: 0.1 }],
  lay(plan, at, { panS }) {
    const someone = withSomeone(plan, at);
    const target = { kind: 'subject' as const, subjectId: someone.subjectId };
    const landsS = at.atS + panS!;
    const aimed = { ...someone, plan: setAim(someone.plan, target, landsS, true, panS!) };
    return { ...aimed, plan: addRackTo(aimed.plan, focusOn(aimed, landsS), at.atS, panS!) };
  },
  figures(laid, { atS }, { panS }) {
    const { headingAt } = planDistances(laid.plan);
    const turnDeg = Math.abs(shortestTurnDeg(headingAt(atS), headingAt(atS + panS!)));
    const ring = ringOf(laid.plan.optics.lens);
    const frames = framesOf(laid.plan, subjectOf(laid));
    const frameAt = (timeS: number) => Math.min(Math.round(timeS * laid.plan.captureFps), (frames?.line.timesS.length ?? 1) - 1);
    const beforeMm = frames?.line.focusMm[frameAt(atS)] ?? NaN;
    const { focusMm } = distancesAt(laid, atS + panS!);
    const turn = Math.abs(ring.angleAt(withinReach(ring, focusMm)) - ring.angleAt(withinReach(ring, beforeMm)));
    const lands = frames?.subject.sharp[frameAt(atS + panS! + 1 / laid.plan.captureFps)] === 1;
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
