import {
  between,
  type FloorItem,
  type Landmark,
  MM_PER_INCH,
  type Place,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';

/** Alignment line, shown while a dragged item snaps to it. */
export interface Guide {
  readonly from: Place;
  readonly to: Place;
}

export interface Snapped {
  readonly place: Place;
  readonly guides: readonly Guide[];
}

/** Grid for dragged items: round values in either unit. */
const STEP_MM = { metric: 50, imperial: MM_PER_INCH };
/** Snap distance to a line, in pixels. */
const REACH_PX = 7;

export function onStep({ xMm, yMm }: Place, units: UnitSystem): Place {
  const step = STEP_MM[units];
  return { xMm: Math.round(xMm / step) * step, yMm: Math.round(yMm / step) * step };
}

/**
 * Snapped place of a dragged item: on dolly track (camera only), aligned with another item, or on the grid.
 *
 * @param others - places to align with
 */
export function snap(
  place: Place,
  {
    others,
    tracks,
    pxPerMm,
    units,
  }: { others: readonly Place[]; tracks: readonly Landmark[]; pxPerMm: number; units: UnitSystem },
): Snapped {
  const reachMm = REACH_PX / pxPerMm;
  for (const track of tracks) {
    const [from, to] = trackEnds(track);
    const onTrack = nearestOn(from, to, place);
    if (Math.hypot(onTrack.xMm - place.xMm, onTrack.yMm - place.yMm) <= reachMm)
      return { place: onTrack, guides: [{ from, to }] };
  }
  const stepped = onStep(place, units);
  const level = nearestBy(others, (other) => Math.abs(other.yMm - place.yMm), reachMm);
  const plumb = nearestBy(others, (other) => Math.abs(other.xMm - place.xMm), reachMm);
  const snapped = { xMm: plumb ? plumb.xMm : stepped.xMm, yMm: level ? level.yMm : stepped.yMm };
  return { place: snapped, guides: [level, plumb].flatMap((other) => (other ? [{ from: other, to: snapped }] : [])) };
}

/** Both ends of the centre line of a dolly track. */
export function trackEnds({ xMm, yMm, widthMm, turnedDeg }: Landmark): readonly [Place, Place] {
  const rad = (turnedDeg * Math.PI) / 180;
  const [x, y] = [(Math.cos(rad) * widthMm) / 2, (Math.sin(rad) * widthMm) / 2];
  return [
    { xMm: xMm - x, yMm: yMm - y },
    { xMm: xMm + x, yMm: yMm + y },
  ];
}

/** Places of all other items on the floor. */
export function othersThan({ floor, marks }: ShotPlan, held: readonly FloorItem[]): Place[] {
  const isHeld = (kind: FloorItem['kind'], id: string) => held.some((item) => item.kind === kind && item.id === id);
  return [
    ...marks.flatMap(({ id, place }) => (place && !isHeld('mark', id) ? [place] : [])),
    ...(floor?.camera ?? []).filter(({ id }) => !isHeld('camera', id)),
    ...(floor?.landmarks ?? []).filter(({ id }) => !isHeld('landmark', id)),
  ];
}

function nearestBy(places: readonly Place[], offMm: (place: Place) => number, reachMm: number): Place | null {
  const within = places.filter((place) => offMm(place) <= reachMm);
  return within.reduce<Place | null>((best, place) => (best === null || offMm(place) < offMm(best) ? place : best), null);
}

function nearestOn(from: Place, to: Place, place: Place): Place {
  const [dx, dy] = [to.xMm - from.xMm, to.yMm - from.yMm];
  const along = ((place.xMm - from.xMm) * dx + (place.yMm - from.yMm) * dy) / (dx * dx + dy * dy || 1);
  return between(from, to, Math.min(Math.max(along, 0), 1));
}
