import { type Camera, type Lens, missingParts, type Rig, type Wheel } from '../../kit/index.js';
import { formatDistance, formatStop, type UnitSystem } from '../../units/index.js';
import type { GearPart } from '../edits/gear.js';
import type { ShotPlan } from '../shotPlan.js';

/** Figures of a gear item: label and printed value. */
type Figures = readonly (readonly [word: string, text: string])[];

/**
 * Differences in one part of the gear between two plans, one phrase each: `throw 280° → 300°`.
 *
 * @returns empty if nothing differs
 */
export function describeGearChange(before: ShotPlan, after: ShotPlan, part: GearPart, units: UnitSystem): string[] {
  const was = figuresOf(before, part, units);
  const becomes = new Map(figuresOf(after, part, units));
  const figures = was.flatMap(([word, text]) =>
    becomes.get(word) === text ? [] : [`${word} ${text} → ${becomes.get(word) ?? 'none'}`],
  );
  return part === 'lens' ? [...figures, ...ringChange(before.optics.lens.ring, after.optics.lens.ring)] : figures;
}

/** Summary of the difference between two scales: number of changed points and largest change. */
function ringChange(before: Lens['ring'], after: Lens['ring']): string[] {
  if (before.kind === 'helicoid' && after.kind === 'helicoid')
    return before.focusThrowDeg === after.focusThrowDeg
      ? []
      : [`throw ${figure(before.focusThrowDeg)}° → ${figure(after.focusThrowDeg)}°`];
  if (before.kind === 'helicoid' || after.kind === 'helicoid') return [`ring ${ringWords(before)} → ${ringWords(after)}`];
  const read = new Map(before.points.map(({ distanceMm, ringDeg }) => [distanceMm, ringDeg]));
  const shifts = after.points.flatMap(({ distanceMm, ringDeg }) => {
    const was = read.get(distanceMm);
    return was === undefined || was === ringDeg ? [] : [Math.abs(ringDeg - was)];
  });
  const fresh = after.points.filter(({ distanceMm }) => !read.has(distanceMm)).length;
  const gone = before.points.length - (after.points.length - fresh);
  return [
    ...(shifts.length > 0
      ? [`${shifts.length} of ${after.points.length} scale points read otherwise, by up to ${Math.max(...shifts).toFixed(1)}°`]
      : []),
    ...(fresh > 0 ? [`${fresh} new scale ${fresh === 1 ? 'point' : 'points'}`] : []),
    ...(gone > 0 ? [`${gone} scale ${gone === 1 ? 'point' : 'points'} gone`] : []),
  ];
}

function ringWords(ring: Lens['ring']): string {
  if (ring.kind === 'helicoid') return `by its throw of ${figure(ring.focusThrowDeg)}°`;
  const angles = ring.points.map(({ ringDeg }) => ringDeg);
  return `by ${ring.points.length} scale points over ${figure(Math.max(...angles) - Math.min(...angles))}°`;
}

function figuresOf({ optics, wheel, rig }: ShotPlan, part: GearPart, units: UnitSystem): Figures {
  if (part === 'lens') return lensFigures(optics.lens, units);
  if (part === 'camera') return cameraFigures(optics.camera);
  if (part === 'wheel') return wheelFigures(wheel);
  return rigFigures(rig);
}

function lensFigures(lens: Lens, units: UnitSystem): Figures {
  const scale = (stop: number) => formatStop(stop, lens.stopScale);
  return [
    ['name', lens.name],
    ['focal length', mm(lens.focalLengthMm)],
    ['longest', mm(lens.longestMm)],
    ['widest stop', scale(lens.widestStop)],
    ['widest stop at the long end', scale(lens.widestStopLong)],
    ['narrowest stop', scale(lens.narrowestStop)],
    ['light let through', figure(lens.transmittance)],
    ['close focus', formatDistance(lens.closeFocusMm, units)],
    ['between the principal planes', mm(lens.principalSeparationMm)],
    ['nearer is', lens.nearerTurns],
    ['ring answers', `by ${lens.response}`],
    ['steps', figure(lens.stepCount)],
    ['squeeze', figure(lens.squeeze)],
    ['breathing', `${figure(lens.breathingPercent)} %`],
    ['held focus while zooming', lens.holdsFocus],
    ['tells the camera', lens.reportsData ? 'its data' : 'nothing'],
    ['front', mm(lens.frontDiameterMm)],
    ['ring diameter', mm(lens.ringDiameterMm)],
    ['gear', lens.gear || 'none'],
  ];
}

function cameraFigures(camera: Camera): Figures {
  return [
    ['name', camera.name],
    ['mode', camera.mode || 'its only one'],
    ['sensor', `${figure(camera.sensorWidthMm)} × ${figure(camera.sensorHeightMm)} mm`],
    ['photosites', figure(camera.photositesWide)],
    ['steadying crop', `${figure(camera.steadyingCropPercent)} %`],
  ];
}

function wheelFigures(wheel: Wheel | null): Figures {
  if (!wheel) return [];
  return [
    ['name', wheel.name],
    ['kind', wheel.kind],
    ['wheel degrees per ring degree', figure(wheel.wheelPerRing)],
    ['turns', wheel.turns === 'same' ? 'as the ring does' : 'against the ring'],
    ['disc', mm(wheel.discDiameterMm)],
    ['end stops', wheel.hasEndStops ? 'yes' : 'no'],
    ['comfortable turn', `${figure(wheel.comfortableDeg)}°`],
    ['fastest', wheel.fastestDegPerS === null ? 'as the hand' : `${figure(wheel.fastestDegPerS)}°/s`],
    ['notes', wheel.notes || 'none'],
  ];
}

function rigFigures(rig: Rig | null): Figures {
  if (!rig) return [];
  return [
    ['name', rig.name],
    ['support', rig.support],
    ['who pulls', rig.puller],
    ['display', rig.display || 'not said'],
    ['display size', rig.displayInches === null ? 'not said' : `${figure(rig.displayInches)} in`],
    ['display on a cable', rig.displayIsCabled ? 'yes' : 'no'],
    ['weight', rig.weightKg === null ? 'not weighed' : `${figure(rig.weightKg)} kg`],
    ['missing', missingParts(rig).join(', ') || 'nothing'],
    ['parts', rig.parts.map(({ name }) => name).join(', ') || 'none'],
    ['notes', rig.notes || 'none'],
  ];
}

/** Up to three decimals, without trailing zeros. */
function figure(value: number): string {
  return String(Number(value.toFixed(3)));
}

function mm(value: number | null): string {
  return value === null ? 'not known' : `${figure(value)} mm`;
}
