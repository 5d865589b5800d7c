/** A corner of a piecewise linear track: ring angle at a frame. */
export interface Corner {
  readonly frame: number;
  readonly ringDeg: number;
}

/**
 * The track with the least total turn inside a tube, from its first to its last frame with free ends. Of those, the one with
 * the lowest peak speed.
 *
 * The result is a taut string. A free end leaves the string level: it holds until the tube forces a turn, and holds again
 * afterwards. From a corner it runs straight while one slope fits every frame, then bends around the limiting corner.
 *
 * @param low, high - by frame, `low <= high`, finite, equal lengths, at least one frame
 * @returns corners in frame order; one corner if a single angle fits
 * Source: shortest path in a simple corridor by the funnel method. A taut string minimises every convex cost of its increments
 * at once: the sum of absolute values (total turn) and the maximum (peak speed).
 * @example low [0, 0, 4], high [1, 9, 5]: from 1 at frame 0 to 4 at frame 2
 */
export function tautString(low: ArrayLike<number>, high: ArrayLike<number>): Corner[] {
  const last = low.length - 1;
  let apex = levelUntil(low, high);
  if (apex === null) return [{ frame: 0, ringDeg: middleOf(low, high) }];
  const corners: Corner[] = apex.frame > 0 ? [{ frame: 0, ringDeg: apex.ringDeg }, apex] : [apex];
  while (apex.frame < last) {
    const next = nextCorner(low, high, apex);
    if (next.frame === apex.frame) break;
    corners.push(next);
    apex = next;
  }
  return withoutCollinear(corners);
}

/** Corner up to which the track can stay level, having started at that height; null if it can to the end. */
function levelUntil(low: ArrayLike<number>, high: ArrayLike<number>): Corner | null {
  let [floor, floorAt, ceiling, ceilingAt] = [-Infinity, 0, Infinity, 0];
  for (let frame = 0; frame < low.length; frame++) {
    if (low[frame]! > ceiling) return { frame: ceilingAt, ringDeg: ceiling };
    if (high[frame]! < floor) return { frame: floorAt, ringDeg: floor };
    if (low[frame]! >= floor) [floor, floorAt] = [low[frame]!, frame];
    if (high[frame]! <= ceiling) [ceiling, ceilingAt] = [high[frame]!, frame];
  }
  return null;
}

/** Height of a level track with the most room on both sides. */
function middleOf(low: ArrayLike<number>, high: ArrayLike<number>): number {
  let [floor, ceiling] = [-Infinity, Infinity];
  for (let frame = 0; frame < low.length; frame++) {
    floor = Math.max(floor, low[frame]!);
    ceiling = Math.min(ceiling, high[frame]!);
  }
  return (floor + ceiling) / 2;
}

/** The corner at which a straight line from the given corner must bend; the corner itself if it can stay level to the end. */
function nextCorner(low: ArrayLike<number>, high: ArrayLike<number>, { frame: at, ringDeg }: Corner): Corner {
  let [least, leastAt, most, mostAt] = [-Infinity, at, Infinity, at];
  const bend = (frame: number, from: ArrayLike<number>): Corner => ({ frame, ringDeg: from[frame]! });
  for (let frame = at + 1; frame < low.length; frame++) {
    const [up, down] = [(low[frame]! - ringDeg) / (frame - at), (high[frame]! - ringDeg) / (frame - at)];
    if (up > most) return bend(mostAt, high);
    if (down < least) return bend(leastAt, low);
    if (up >= least) [least, leastAt] = [up, frame];
    if (down <= most) [most, mostAt] = [down, frame];
  }
  // the end is free: turn no farther than necessary
  if (least > 0) return bend(leastAt, low);
  if (most < 0) return bend(mostAt, high);
  return { frame: at, ringDeg };
}

/** Removes corners that lie on the straight line between their neighbours. */
function withoutCollinear(corners: readonly Corner[]): Corner[] {
  return corners.filter((corner, index) => {
    const [before, after] = [corners[index - 1], corners[index + 1]];
    if (!before || !after) return true;
    const share = (corner.frame - before.frame) / (after.frame - before.frame);
    return Math.abs(before.ringDeg + (after.ringDeg - before.ringDeg) * share - corner.ringDeg) > 1e-9;
  });
}

/** Ring angle of a piecewise linear track at a frame. */
export function stringDegAt(corners: readonly Corner[], frame: number): number {
  const after = corners.findIndex((corner) => corner.frame >= frame);
  if (after < 0) return corners[corners.length - 1]!.ringDeg;
  const [from, to] = [corners[Math.max(after - 1, 0)]!, corners[after]!];
  if (from === to) return to.ringDeg;
  return from.ringDeg + ((to.ringDeg - from.ringDeg) * (frame - from.frame)) / (to.frame - from.frame);
}

/**
 * Removes corners without adding turn or speed: an edge is dropped if its two neighbours, extended until they meet, stay inside
 * the tube. Along a curved side of the tube, the taut string has a corner at every frame, which no hand could tell apart.
 */
export function fewerCorners(corners: readonly Corner[], low: ArrayLike<number>, high: ArrayLike<number>): Corner[] {
  if (corners.length < 4) return [...corners];
  const kept: Corner[] = [corners[0]!];
  let edge = 0; // index of the extended edge, from corners[edge] to corners[edge + 1]
  let from = corners[0]!;
  while (edge < corners.length - 2) {
    let best: { edge: number; corner: Corner } = { edge: edge + 1, corner: corners[edge + 1]! };
    for (let later = edge + 2; later < corners.length - 1; later++) {
      const meeting = meetingPoint(from, corners[edge + 1]!, corners[later]!, corners[later + 1]!);
      if (!meeting || !isInside(low, high, from, meeting, corners[later + 1]!)) break;
      best = { edge: later, corner: meeting };
    }
    kept.push(best.corner);
    from = best.corner;
    edge = best.edge;
  }
  kept.push(corners[corners.length - 1]!);
  return kept;
}

/** Meeting point of two edges, the first extended forwards and the second backwards, between them. */
function meetingPoint(a: Corner, b: Corner, c: Corner, d: Corner): Corner | null {
  const slope = (from: Corner, to: Corner) => (to.ringDeg - from.ringDeg) / (to.frame - from.frame);
  const [first, second] = [slope(a, b), slope(c, d)];
  // a reversal of direction can't be moved
  if (first * second < 0 || Math.abs(first - second) < 1e-12) return null;
  const frame = (c.ringDeg - second * c.frame - (a.ringDeg - first * a.frame)) / (first - second);
  return frame > b.frame && frame < c.frame ? { frame, ringDeg: a.ringDeg + first * (frame - a.frame) } : null;
}

function isInside(low: ArrayLike<number>, high: ArrayLike<number>, ...corners: Corner[]): boolean {
  const [first, last] = [corners[0]!.frame, corners[corners.length - 1]!.frame];
  for (let frame = Math.ceil(first); frame <= last; frame++) {
    const deg = stringDegAt(corners, frame);
    if (deg < low[frame]! - 1e-9 || deg > high[frame]! + 1e-9) return false;
  }
  return true;
}
