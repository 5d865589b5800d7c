import {
  CARRIED_SUPPORTS,
  displayStepMm,
  distanceSigmaMm,
  formatDistance,
  formatGap,
  hasAssumedUncertainty,
  isReadOff,
  markRead,
  markFocusMm,
  markSetS,
  planDistances,
  type Mark,
  type MarkReading,
  type MeasureMethod,
  ringOf,
  type RingPoint,
  type ShotPlan,
  type UnitSystem,
  staleCause,
  withinReach,
  zoneLensAt,
  type FocusReference,
  formatStop,
  type Lens,
} from '@still-heron/core';

/** How a mark was measured. */
export const MEASURE_WORDS: Readonly<Record<MeasureMethod, string>> = {
  tape: 'tape',
  laser: 'laser',
  picture: 'the picture',
  eye: 'eye',
  reference: 'focusing on an object',
  drawn: 'the floor plan',
};

/** How the distance of a mark is known, in a few words. */
export function measuredByText(plan: ShotPlan, mark: Mark): string {
  if (mark.method === 'drawn') return 'drawn';
  if (!isReadOff(mark)) return `by ${MEASURE_WORDS[mark.method]}`;
  return markRead(plan, mark)?.by === 'assumed-ring' ? 'by an assumed ring' : 'read off the ring';
}

/** Why a third hard stop can't be set. */
export function thirdStopText({ marks }: Pick<ShotPlan, 'marks'>): string {
  const letters = marks.filter(({ hasHardStop }) => hasHardStop).map(({ letter }) => letter);
  return `A wheel has two hard stops, and both are set: ${letters.join(' and ')}. Remove one of them first.`;
}

/** Which end of the ring is short of a mark; null if the ring reaches it. */
export function beyondRingText({ beyond }: MarkReading, { optics }: ShotPlan, units: UnitSystem): string | null {
  const { closeFocusMm, farthestMm } = ringOf(optics.lens);
  if (beyond === null) return null;
  return beyond === 'close-focus'
    ? `closer than the lens can focus: ${formatDistance(closeFocusMm, units)}`
    : `beyond the end of the scale: ${formatDistance(farthestMm, units)}`;
}

/** Explains the room around a mark: limits, inputs and assumptions. */
export function markRoomLines(reading: MarkReading, mark: Mark, plan: ShotPlan, units: UnitSystem): string[] {
  const { optics, wheel } = plan;
  const { fNumber, circleOfConfusionMm, focalLengthMm } = zoneLensAt(optics, reading.atS);
  const focusMm = withinReach(ringOf(optics.lens), reading.focusMm);
  const isDerived = mark.method === 'drawn' || isReadOff(mark);
  return [
    `near limit ${formatDistance(reading.nearMm, units)}, far limit ${formatDistance(reading.farMm, units)}`,
    `computed for f ${Number(focalLengthMm.toFixed(1))} mm, N ${fNumber.toFixed(2)}, C ${(circleOfConfusionMm * 1000).toFixed(1)} µm, the lens as it is at ${reading.atS.toFixed(1)} s`,
    ...(wheel && optics.lens.response !== 'speed'
      ? [`the ring at ${reading.ringDeg.toFixed(1)}°; the wheel turns ${wheel.wheelPerRing} × as far`]
      : []),
    `${isDerived ? '' : 'measured '}${measuredByText(plan, mark)}, accurate to about ${formatGap(distanceSigmaMm(plan, mark), units)}${hasAssumedUncertainty(mark) ? ' (assumed)' : ''}`,
    `an arrow key changes the distance by ${formatGap(displayStepMm(focusMm, units), units)}`,
  ];
}

/** How far an operator who carries the camera may lean at a mark, and which way to lean; null if nobody carries it. */
export function leanText({ nearerMm, fartherMm }: MarkReading, { rig }: ShotPlan, units: UnitSystem): string | null {
  if (!rig || !CARRIED_SUPPORTS.includes(rig.support)) return null;
  const by = (mm: number) => (Number.isFinite(mm) ? `up to ${formatGap(mm, units)}` : 'any distance');
  return `With the ring left alone, it stays sharp if the operator leans in ${by(nearerMm)} or back ${by(fartherMm)}. If the subject drifts, lean the same way.`;
}

/** Position of the mark on the ring: angle, and neighbouring figures of the scale. */
export function markOnRingText(reading: MarkReading, { optics: { lens }, wheel }: ShotPlan, units: UnitSystem): string {
  if (lens.response === 'speed') return 'This ring answers to speed: no place on it can be marked.';
  const { nearerFigure, fartherFigure, ringDeg, wheelDeg } = reading;
  const at = `ring at ${ringDeg.toFixed(1)}°${wheel ? `, wheel at ${wheelDeg.toFixed(1)}°` : ''}`;
  const name = ({ distanceMm }: RingPoint) => formatDistance(distanceMm ?? Infinity, units);
  if (nearerFigure && fartherFigure)
    return nearerFigure === fartherFigure
      ? `${at}, on the figure ${name(nearerFigure)}`
      : `${at}, between the figures ${name(nearerFigure)} and ${name(fartherFigure)}`;
  return `${at}; this ring has no scale points`;
}

/**
 * What it costs if the drawing is right and the tape is not.
 *
 * @param losesS - seconds that are sharp by the tape and soft by the drawing; negative if the drawing is better
 */
export function disagreementText(losesS: number): string {
  if (losesS > 0.05) return `If the drawing is right, ${losesS.toFixed(1)} s more are soft: tape again.`;
  if (losesS < -0.05) return `If the drawing is right, ${(-losesS).toFixed(1)} s more are sharp: tape again.`;
  return 'If the drawing is right, the shot is equally sharp.';
}

/** Why the distance of a mark is stale, in a few words beside it. */
export function staleText(plan: ShotPlan, mark: Mark, units: UnitSystem): string | null {
  const cause = staleCause(plan, mark);
  if (cause === null) return null;
  const nowMm = planDistances(plan).tapeAt(mark.id, mark.taping?.timeS ?? 0);
  if (cause === 'drawing') return `stale: moved in the drawing, now ${formatDistance(nowMm, units)}`;
  return cause === 'camera' ? 'stale: camera moved' : 'stale: lens changed';
}

/** How an object to focus on instead serves a mark. */
export function referenceRoomText({ marginMm, nearerMm, fartherMm }: FocusReference, units: UnitSystem): string {
  if (marginMm < 0) return `${formatGap(marginMm, units)} beside the zone: soft at the mark`;
  const farther = fartherMm === Infinity ? 'any' : formatGap(fartherMm, units);
  return `sharp at the mark, room −${formatGap(nearerMm, units)} / +${farther}`;
}

/** Why the ring is set to another distance than the tape shows: the camera is elsewhere when focus lands, or the mark is off the axis. */
export function axisLines(plan: ShotPlan, mark: Mark, units: UnitSystem): string[] {
  const setS = markSetS(plan, mark);
  const tapeMm = mark.distanceMm ?? Infinity;
  const [lineMm, focusMm] = [planDistances(plan).tapeAt(mark.id, setS), markFocusMm(plan, mark.id)];
  const differ = (a: number, b: number) => formatDistance(a, units) !== formatDistance(b, units);
  return [
    `tape ${formatDistance(tapeMm, units)}: the straight line from the image plane`,
    ...(differ(lineMm, tapeMm) ? [`${formatDistance(lineMm, units)} from where the camera is at ${setS.toFixed(1)} s`] : []),
    ...(differ(focusMm, lineMm)
      ? [`depth ${formatDistance(focusMm, units)}: along the lens axis, because the plane of focus is perpendicular to it`]
      : []),
    'with the camera as it is when focus lands on this mark',
  ];
}

/** @param wouldNeedStop - Infinity if no stop is enough */
export function noStopText(
  wouldNeedStop: number,
  { stopScale, narrowestStop }: Pick<Lens, 'stopScale' | 'narrowestStop'>,
): string {
  return wouldNeedStop === Infinity
    ? 'No stop is enough: the miss reaches the lens.'
    : `It needs ${formatStop(wouldNeedStop, stopScale)}, and this lens stops down to ${formatStop(narrowestStop, stopScale)}.`;
}

/** Why a device measured nothing, and what would do. */
export function measureRefusalText(why: 'not-on-the-floor' | 'no-answer', letter: string, device: string): string {
  return why === 'no-answer'
    ? `The measuring device does not answer. Type what the ${device} shows.`
    : `${letter} is not on the floor, so there is nothing to measure. Type what the ${device} shows.`;
}
