import { fNumberOf, ringOf, stopsAt, tStopOf, withinReach } from '../../kit/index.js';
import { depthOfField, exposureChange } from '../../optics/index.js';
import { addOpticsChange, changeOpticsChange, focalLengthAt, stopAt, zoneLensAt } from '../../plan/index.js';
import { zoneSpans } from '../zoneSpans.js';
import { distancesAt, setFocusFrom, focusTargetAt, durationParam, subjectOf, withSubject } from './applying.js';
import { figure, answer, type BlockingMove } from './blockingMove.js';

/** The stop changes while rolling, so the zone around a subject grows or shrinks. */
export const irisPull: BlockingMove = {
  id: 'iris-pull',
  movesCamera: false,
  needsPerson: false,
  params(plan, { atS }) {
    const { lens } = plan.optics;
    const widest = stopsAt(lens, focalLengthAt(plan.optics, atS))[0]!;
    return [
      { key: 'stop', unit: 'stop', min: widest, max: lens.narrowestStop, defaultValue: widest },
      durationParam(plan, { atS }, 2),
    ];
  },
  apply(plan, at, { stop, lastsS }) {
    const someone = withSubject(plan, at);
    const turned = addOpticsChange(someone.plan, 'irisPulls', at.atS, stop!);
    const added = turned.optics.irisPulls.find(({ id }) => !plan.optics.irisPulls.some((move) => move.id === id));
    const lasting = added ? changeOpticsChange(turned, 'irisPulls', added.id, { durationS: lastsS! }) : turned;
    return { ...someone, plan: setFocusFrom(lasting, focusTargetAt(someone, at.atS), at.atS) };
  },
  figures(blocked, { atS }, { stop, lastsS }) {
    const { optics } = blocked.plan;
    // where the ring stands: a subject may be nearer than the lens focuses
    const focusDistanceMm = withinReach(ringOf(optics.lens), distancesAt(blocked, atS).focusMm);
    const total = (timeS: number) => depthOfField({ ...zoneLensAt(optics, timeS), focusDistanceMm }).totalMm;
    const { stops } = exposureChange(tStopOf(optics.lens, stopAt(optics, atS)), tStopOf(optics.lens, stop!));
    const span = zoneSpans(blocked.plan, subjectOf(blocked)).find(({ untilS }) => untilS > atS);
    const lasts = span && span.fromS <= atS && span.untilS >= Math.min(atS + lastsS! + 0.1, blocked.plan.durationS - 0.01);
    const soft =
      span && span.fromS <= atS ? figure('soft-from', 'time', span.untilS, 'soft') : answer('during', 'is-soft', 'soft');
    return [
      figure('zone-before', 'gap', total(atS)),
      figure('zone-after', 'gap', total(atS + lastsS!)),
      figure('f-number-after', 'stop', fNumberOf(optics.lens, stop!)),
      figure(stops < 0 ? 'light-gained' : 'light-lost', 'stops', Math.abs(stops)),
      lasts ? answer('during', 'stays-sharp', 'sharp') : soft,
    ];
  },
};
