/** Steps in which a dragged thing turns. */
const STEP_DEG = 5;

/**
 * Angle of an arm from the middle of a thing to the pointer, anticlockwise from the right. It is the one nearest to the angle before, so that a
 * thing that was turned past 180° does not jump.
 *
 * @param px - from the middle to the pointer; y points down
 * @param isFree - without steps
 */
export function turnedTo([x, y]: readonly [number, number], beforeDeg: number, isFree: boolean): number {
  if (x === 0 && y === 0) return beforeDeg;
  const pointed = (Math.atan2(-y, x) * 180) / Math.PI;
  const turn = ((((pointed - beforeDeg) % 360) + 540) % 360) - 180;
  const deg = beforeDeg + turn;
  return isFree ? deg : Math.round(deg / STEP_DEG) * STEP_DEG;
}
