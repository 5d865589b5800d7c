import { fNumberOf, stopsAt, tStopOf } from '../../kit/index.js';
import { depthOfField, exposureChange } from '../../optics/index.js';
import { addOpticsMove, changeOpticsMove, focalLengthAt, stopAt, zoneLensAt } from '../../pull/index.js';
import { zoneSpans } from '../zoneSpans.js';
import { distancesAt, focusFrom, focusOn, lasting, subjectOf, withSomeone } from './laying.js';
import { figure, said, type Staging } from './staging.js';

/** The stop changes while rolling, so the zone around a subject grows or shrinks. */
export const irisPull: Staging = {
  id: 'iris-pull',
  word: 'Pull the iris',
  says: 'The stop is turned while rolling, and the zone grows or thins; the light must be made up for.',
  movesCamera: false,
  params(plan, { atS }) {
    const { lens } = plan.optics;
    const widest = stopsAt(lens, focalLengthAt(plan.optics, atS))[0]!;
    return [
      { key: 'stop', word: 'to', unit: 'stop', min: widest, max: lens.narrowestStop, usual: widest },
      lasting(plan, { atS }, 2),
    ];
  },
  lay(plan, at, { stop, lastsS }) {
    const someone = withSomeone(plan, at);
    const turned = addOpticsMove(someone.plan, 'stopPulls', at.atS, stop!);
    const added = turned.optics.stopPulls.find(({ id }) => !plan.optics.stopPulls.some((move) => move.id === id));
    const lasting = added ? changeOpticsMove(turned, 'stopPulls', added.id, { durationS: lastsS! }) : turned;
    return { ...someone, plan: focusFrom(lasting, focusOn(someone, at.atS), at.atS) };
  },
  figures(laid, { atS }, { stop, lastsS }) {
    const { optics } = laid.plan;
    const { focusMm } = distancesAt(laid, atS);
    const total = (timeS: number) => depthOfField({ ...zoneLensAt(optics, timeS), focusDistanceMm: focusMm }).totalMm;
    const { stops } = exposureChange(tStopOf(optics.lens, stopAt(optics, atS)), tStopOf(optics.lens, stop!));
    const span = zoneSpans(laid.plan, subjectOf(laid)).find(({ untilS }) => untilS > atS);
    const lasts = span && span.fromS <= atS && span.untilS >= Math.min(atS + lastsS! + 0.1, laid.plan.durationS - 0.01);
    return [
      figure('zone before', 'gap', total(atS)),
      figure('zone after', 'gap', total(atS + lastsS!)),
      figure('geometric stop after', 'stop', fNumberOf(optics.lens, stop!)),
      figure(stops < 0 ? 'light gained' : 'light lost', 'stops', Math.abs(stops)),
      lasts
        ? said('through it', 'they stay sharp', 'sharp')
        : span && span.fromS <= atS
          ? figure('soft from', 'time', span.untilS, 'soft')
          : said('through it', 'they are soft', 'soft'),
    ];
  },
};
