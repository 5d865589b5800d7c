import {
  cameraPlaceAt,
  depthOfField,
  type FloorDistances,
  halfViewDeg,
  isBetweenSides,
  type Place,
  planDistances,
  type ShotPlan,
  zoneLensAt,
} from '@still-heron/core';
import type { Size } from '../../shared/useSize';

/** View of the floor: centre and scale. */
export interface FloorView {
  readonly centre: Place;
  readonly pxPerMm: number;
}

/** Path and current position of a subject in pixels. */
export interface DrawnSubject {
  readonly subjectId: string;
  readonly name: string;
  readonly subjectIndex: number;
  readonly way: string;
  /** null if the subject is not on the floor */
  readonly now: readonly [number, number] | null;
  /** Between the left and right edge of the picture */
  readonly isInFrame: boolean;
}

export interface FloorLayout {
  readonly camera: readonly [number, number];
  /** Angle of the lens axis on the page, clockwise from the right (y points down) */
  readonly cameraTurnDeg: number;
  readonly cameraWay: string;
  readonly wedge: string;
  /** Plane of focus and zone inside the wedge; null without a track */
  readonly plane: string | null;
  readonly zone: string | null;
  readonly subjects: readonly DrawnSubject[];
  readonly gridMm: number;
  toPx(place: Place): readonly [number, number];
  toPlace(px: readonly [number, number]): Place;
}

export interface FloorScene {
  readonly plan: ShotPlan;
  readonly timeS: number;
  /** Focus distance now; null without a track */
  readonly focusMm: number | null;
  readonly view: FloorView;
}

/** Length of an unlimited wedge. */
const REACH_MM = 60_000;
const GRIDS_MM = [100, 250, 500, 1000, 2500, 5000, 10_000, 25_000, 50_000, 100_000];

/** Visible part of an empty floor, in front of a camera that looks along x. */
const ROOM = { behindMm: 1200, aheadMm: 6800, besideMm: 2200 };
/** Margin around the outermost items. */
const MARGIN_MM = 900;
const MAX_PX_PER_MM = 0.4;

/** View that fits everything on the floor with a margin; on a nearly empty floor, with room to add more. */
export function fittedView(plan: ShotPlan, { width, height }: Size): FloorView {
  const camera = plan.floor?.camera ?? [{ xMm: 0, yMm: 0 }];
  const things: Place[] = [...(plan.floor?.landmarks ?? []), ...plan.marks.flatMap(({ place }) => (place ? [place] : []))];
  const places = [...camera, ...things];
  const [first] = camera;
  const room: Place[] =
    things.length > 2
      ? []
      : [
          { xMm: first!.xMm - ROOM.behindMm + MARGIN_MM, yMm: first!.yMm - ROOM.besideMm + MARGIN_MM },
          { xMm: first!.xMm + ROOM.aheadMm - MARGIN_MM, yMm: first!.yMm + ROOM.besideMm - MARGIN_MM },
        ];
  const xs = [...places, ...room].map(({ xMm }) => xMm);
  const ys = [...places, ...room].map(({ yMm }) => yMm);
  const [left, right] = [Math.min(...xs) - MARGIN_MM, Math.max(...xs) + MARGIN_MM];
  const [low, high] = [Math.min(...ys) - MARGIN_MM, Math.max(...ys) + MARGIN_MM];
  return {
    centre: { xMm: (left + right) / 2, yMm: (low + high) / 2 },
    pxPerMm: Math.min(width / (right - left), height / (high - low), MAX_PX_PER_MM),
  };
}

/** Centre of everything on the floor. */
export function middleOf(plan: ShotPlan): Place {
  return fittedView(plan, { width: 1, height: 1 }).centre;
}

const MIN_PX_PER_MM = 0.002;
const DRAWN_MAX_PX_PER_MM = 2;

/** Zooms around a fixed point. */
export function scaledView(
  view: FloorView,
  factor: number,
  [x, y]: readonly [number, number],
  { width, height }: Size,
): FloorView {
  const pxPerMm = Math.min(Math.max(view.pxPerMm * factor, MIN_PX_PER_MM), DRAWN_MAX_PX_PER_MM);
  const by = 1 / view.pxPerMm - 1 / pxPerMm;
  return {
    pxPerMm,
    centre: { xMm: view.centre.xMm + (x - width / 2) * by, yMm: view.centre.yMm - (y - height / 2) * by },
  };
}

/** Lays out the floor at a time, to scale, with y pointing up on the page. */
export function floorLayout({ plan, timeS, focusMm, view }: FloorScene, { width, height }: Size): FloorLayout {
  const { centre, pxPerMm } = view;
  const toPx = ({ xMm, yMm }: Place) =>
    [width / 2 + (xMm - centre.xMm) * pxPerMm, height / 2 - (yMm - centre.yMm) * pxPerMm] as const;
  const toPlace = ([x, y]: readonly [number, number]): Place => ({
    xMm: centre.xMm + (x - width / 2) / pxPerMm,
    yMm: centre.yMm - (y - height / 2) / pxPerMm,
  });
  const floor = plan.floor!;
  const distances = planDistances(plan);
  const place = cameraPlaceAt(floor, timeS);
  const headingRad = (distances.headingAt(timeS) * Math.PI) / 180;
  const halfDeg = halfViewDeg(plan.optics, timeS);
  const halfRad = (halfDeg * Math.PI) / 180;
  /** place at a depth along the axis, and sideways in half picture widths */
  const ahead = (depthMm: number, side: number): Place => {
    const sideMm = depthMm * Math.tan(halfRad) * side;
    return {
      xMm: place.xMm + depthMm * Math.cos(headingRad) - sideMm * Math.sin(headingRad),
      yMm: place.yMm + depthMm * Math.sin(headingRad) + sideMm * Math.cos(headingRad),
    };
  };
  const across = (depthMm: number) => [ahead(depthMm, 1), ahead(depthMm, -1)] as const;
  const zone = focusMm === null || focusMm === Infinity ? null : zoneNow(plan, timeS, focusMm);
  return {
    camera: toPx(place),
    cameraTurnDeg: (-headingRad * 180) / Math.PI,
    cameraWay: pathOf(floor.camera.map(toPx)),
    wedge: `${pathOf([place, ...across(REACH_MM)].map(toPx))}Z`,
    plane: focusMm === null || focusMm === Infinity ? null : pathOf(across(Math.min(focusMm, REACH_MM)).map(toPx)),
    zone: zone && `${pathOf([...across(zone.nearMm), ...[...across(Math.min(zone.farMm, REACH_MM))].reverse()].map(toPx))}Z`,
    subjects: plan.subjects.map((subject, subjectIndex) =>
      drawnSubject(subject, subjectIndex, { plan, distances, timeS, halfDeg, toPx }),
    ),
    gridMm: GRIDS_MM.find((mm) => mm * pxPerMm >= 46) ?? GRIDS_MM[GRIDS_MM.length - 1]!,
    toPx,
    toPlace,
  };
}

function zoneNow(plan: ShotPlan, timeS: number, focusMm: number): { nearMm: number; farMm: number } | null {
  const lens = zoneLensAt(plan.optics, timeS);
  if (focusMm - (lens.principalSeparationMm ?? 0) < 4 * lens.focalLengthMm) return null;
  return depthOfField({ ...lens, focusDistanceMm: focusMm });
}

interface Now {
  readonly plan: ShotPlan;
  readonly distances: FloorDistances;
  readonly timeS: number;
  readonly halfDeg: number;
  readonly toPx: (place: Place) => readonly [number, number];
}

function drawnSubject(
  subject: ShotPlan['subjects'][number],
  subjectIndex: number,
  { plan, distances, timeS, halfDeg, toPx }: Now,
): DrawnSubject {
  const places = subject.stays.flatMap(({ markId }) => {
    const place = plan.marks.find(({ id }) => id === markId)?.place;
    return place ? [toPx(place)] : [];
  });
  const sight = distances.sightingAt(subject, timeS);
  return {
    subjectId: subject.id,
    name: subject.name,
    subjectIndex,
    way: pathOf(places),
    now: sight && toPx(sight.place),
    isInFrame: sight !== null && isBetweenSides(sight, halfDeg),
  };
}

function pathOf(points: readonly (readonly [number, number])[]): string {
  return points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)},${y.toFixed(1)}`).join('');
}
