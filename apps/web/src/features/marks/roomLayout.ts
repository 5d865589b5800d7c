import type { MarkReading } from '@still-heron/core';

/** Room around a mark as a bar: extent on both sides; the longer one fills its half. */
export interface RoomBar {
  readonly middle: number;
  readonly nearEnd: number;
  readonly farEnd: number;
  /** The far side has no limit */
  readonly isEndless: boolean;
}

/** Near is left. An infinite far side fills its half; the near side is then drawn at a third of the scale. */
export function roomBar({ nearerMm, fartherMm }: Pick<MarkReading, 'nearerMm' | 'fartherMm'>, width: number): RoomBar {
  const middle = width / 2;
  const isEndless = fartherMm === Infinity;
  const longest = isEndless ? nearerMm * 3 : Math.max(nearerMm, fartherMm);
  const share = (mm: number) => (longest > 0 && Number.isFinite(mm) ? Math.min(mm / longest, 1) : 1);
  return { middle, nearEnd: middle - middle * share(nearerMm), farEnd: middle + middle * share(fartherMm), isEndless };
}
