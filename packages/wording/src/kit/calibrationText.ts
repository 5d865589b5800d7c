import {
  ASSUMED_PEAK_DEG_PER_S,
  ASSUMED_REGRIP_S,
  formatDistance,
  type UnitSystem,
  type Wheel,
  type WheelTurn,
} from '@still-heron/core';

/** What to do at a step of a calibration. */
export function calibrationStepText(step: number, mm: number, units: UnitSystem): string {
  if (step === 0) return 'Turn the ring to infinity: focus on something far away, or turn to that end. Type the ring reading.';
  if (step === 1)
    return 'Turn the ring to its near end and put a target where it is sharp. Type its tape distance and the ring reading.';
  return `Put a target at ${formatDistance(mm, units)} and focus on it by eye, from both sides. Type the ring reading.`;
}

/** No reading was typed: none is made up. */
export const NOT_READ_TEXT = 'Nothing was read. Type what the ring shows, or leave this one out.';

/** @param typicalDeg - typical difference from a smooth scale; null if too few points show it */
export function calibrationFitText(points: number, typicalDeg: number | null): string {
  return typicalDeg === null
    ? `${points} points. They do not show yet how far they differ from a smooth scale.`
    : `${points} points. They differ from a smooth scale by ${typicalDeg.toFixed(1)}°.`;
}

export function landingWindowText(windowDeg: number): string {
  return `Green: the landing window at the widest stop on Super 35, ${windowDeg.toFixed(1)}° of the ring.`;
}

/** How the least time of a turn is computed, one step per line. */
export function wheelTimeLines(turn: WheelTurn, wheel: Wheel): string[] {
  const peak = Math.min(ASSUMED_PEAK_DEG_PER_S, wheel.fastestDegPerS ?? Infinity);
  return [
    `the larger of aiming (0.15 s + 0.22 s × log₂(${turn.travelDeg.toFixed(0)}° / ${turn.windowDeg.toFixed(2)}° + 1))`,
    `and turning (1.875 × ${turn.travelDeg.toFixed(0)}° / ${peak}°/s)`,
    `and ${ASSUMED_REGRIP_S} s for each regrip: ${turn.regrips}`,
    'the hand is assumed until your own is measured',
  ];
}
