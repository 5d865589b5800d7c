import {
  displayStepMm,
  formatDistance,
  formatGap,
  type Mark,
  type MarkReading,
  ringOf,
  type ShotPlan,
  type UnitSystem,
  withinReach,
  zoneLensAt,
} from '@still-heron/core';
import { METHOD_WORDS } from './words';

/** Which end of the ring is short of a mark; null if the ring reaches it. */
export function beyondWords({ beyond }: MarkReading, { optics }: ShotPlan, units: UnitSystem): string | null {
  const { closeFocusMm, farthestMm } = ringOf(optics.lens);
  if (beyond === null) return null;
  return beyond === 'close-focus'
    ? `nearer than the lens focuses: ${formatDistance(closeFocusMm, units)}`
    : `farther than the ring’s scale goes: ${formatDistance(farthestMm, units)}`;
}

/** Explains the room around a mark: limits, inputs and assumptions. */
export function roomLines(reading: MarkReading, mark: Mark, { optics, wheel }: ShotPlan, units: UnitSystem): string[] {
  const { fNumber, circleOfConfusionMm, focalLengthMm } = zoneLensAt(optics, reading.arrivalS);
  const focusMm = withinReach(ringOf(optics.lens), reading.focusMm);
  return [
    `near limit ${formatDistance(reading.nearMm, units)}, far limit ${formatDistance(reading.farMm, units)}`,
    `computed for f ${Number(focalLengthMm.toFixed(1))} mm, N ${fNumber.toFixed(2)}, C ${(circleOfConfusionMm * 1000).toFixed(1)} µm, as the lens is set at ${reading.arrivalS.toFixed(1)} s`,
    ...(wheel && optics.lens.response !== 'speed'
      ? [`the ring at ${reading.ringDeg.toFixed(1)}°, the wheel turns ${wheel.wheelPerRing} × as far`]
      : []),
    `measured by ${METHOD_WORDS[mark.method]}, good to about ${formatGap(mark.uncertaintyMm, units)} (assumed)`,
    `a step here is ${formatGap(displayStepMm(focusMm, units), units)}`,
  ];
}
