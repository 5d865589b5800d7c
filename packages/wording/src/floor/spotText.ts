import { formatDistance, formatGap, type SpotTape, type UnitSystem } from '@still-heron/core';

/** What a tape says to a spot on the floor, and to eyes above it. @param heightMm - of the eyes */
export function spotTapeText({ floorMm, aboveMm }: SpotTape, heightMm: number, units: UnitSystem): string {
  const floor = `A tape from the lens says ${formatDistance(floorMm, units)} to this spot on the floor`;
  const eyes = `and ${formatDistance(aboveMm, units)} to eyes ${formatDistance(heightMm, units)} above it`;
  const farther = floorMm >= aboveMm ? 'the floor is' : 'the eyes are';
  return `${floor}, ${eyes}: ${farther} ${formatGap(Math.abs(floorMm - aboveMm), units)} farther.`;
}

/** What a tape says to the mark on the floor, beside the eyes of who stands there. */
export function floorMarkText({ floorMm, aboveMm }: SpotTape, units: UnitSystem): string {
  return `The tape on the floor is ${formatDistance(floorMm, units)} from the lens, and the eyes above it ${formatDistance(aboveMm, units)}.`;
}
