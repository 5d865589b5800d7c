import type { MarkReading } from '@still-heron/core';

/** The room round a mark as a bar: how far it reaches to each side of the middle, the longer side filling its half. */
export interface RoomBar {
  readonly middle: number;
  readonly nearEnd: number;
  readonly farEnd: number;
  /** The far side goes on without end */
  readonly isEndless: boolean;
}

/** Near lies to the left. An endless side fills its half, and the other is drawn as it would be beside one three times as long. */
export function roomBar({ nearerMm, fartherMm }: Pick<MarkReading, 'nearerMm' | 'fartherMm'>, width: number): RoomBar {
  const middle = width / 2;
  const isEndless = fartherMm === Infinity;
  const longest = isEndless ? nearerMm * 3 : Math.max(nearerMm, fartherMm);
  const share = (mm: number) => (longest > 0 && Number.isFinite(mm) ? Math.min(mm / longest, 1) : 1);
  return { middle, nearEnd: middle - middle * share(nearerMm), farEnd: middle + middle * share(fartherMm), isEndless };
}
