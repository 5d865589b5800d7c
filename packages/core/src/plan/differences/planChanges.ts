import type { ShotPlan } from '../shotPlan.js';
import { formatStop, formatTime, type UnitSystem } from '../../units/index.js';
import { beatDifferences, trackDifferences } from './pullChanges.js';
import { markDifferences, subjectDifferences } from './setChanges.js';

/**
 * Differences between two versions of a plan, one each, with old and new value. In the order in which a shot is planned.
 *
 * @example ["the stop: T2.2 → T4.5", "the pull to D starts at 4.90 s → 4.50 s"]
 */
export function planDifferences(before: ShotPlan, after: ShotPlan, units: UnitSystem): string[] {
  const { stopScale } = before.optics.lens;
  const turned = (one: ShotPlan) => JSON.stringify([one.optics.zooms, one.optics.irisPulls]);
  return [
    ...changed('the length', formatTime(before.durationS), formatTime(after.durationS)),
    ...changed('frames a second', `${before.captureFps}`, `${after.captureFps}`),
    ...changed('played back at', `${before.deliveryFps}`, `${after.deliveryFps}`),
    ...changed('the method', before.method, after.method),
    ...changed('the camera', cameraWords(before), cameraWords(after)),
    ...changed('the lens', before.optics.lens.name, after.optics.lens.name),
    ...unlessNamed(before.optics.lens.name, after.optics.lens.name, before.optics.lens, after.optics.lens, 'the lens’s figures'),
    ...changed('the focal length', `${before.optics.focalLengthMm} mm`, `${after.optics.focalLengthMm} mm`),
    ...changed('the stop', formatStop(before.optics.stop, stopScale), formatStop(after.optics.stop, after.optics.lens.stopScale)),
    ...(turned(before) === turned(after) ? [] : ['what is turned while it rolls']),
    ...unlessSame(before.optics.sharpness, after.optics.sharpness, 'how sharp is sharp'),
    ...unlessSame(before.exposure, after.exposure, 'the light'),
    ...changed('the wheel', before.wheel?.name ?? 'none', after.wheel?.name ?? 'none'),
    ...unlessNamed(before.wheel?.name, after.wheel?.name, before.wheel, after.wheel, 'the wheel’s figures'),
    ...changed('the rig', before.rig?.name ?? 'none', after.rig?.name ?? 'none'),
    ...unlessSame(before.floor, after.floor, 'the drawing from above'),
    ...subjectDifferences(before, after),
    ...markDifferences(before, after, units),
    ...beatDifferences(before, after),
    ...trackDifferences(before, after, units),
    ...changed('the hand turns at most', `${before.maxHandDegPerS}°/s`, `${after.maxHandDegPerS}°/s`),
    ...unlessSame(before.hand, after.hand, 'what the hand can do'),
    ...(before.isReversed === after.isReversed ? [] : [after.isReversed ? 'shot reversed' : 'shot forwards']),
    ...unlessSame(before.alternates, after.alternates, 'takes A and B'),
    ...unlessSame(before.rehearsals, after.rehearsals, 'the rehearsals'),
    ...unlessSame(before.goals, after.goals, 'what is requested of the takes and the look'),
    ...unlessSame(before.schedule, after.schedule, 'what it takes of the day'),
    ...unlessSame(before.notes, after.notes, 'the notes'),
  ];
}

/** A difference between two printed values, if any. */
export function changed(what: string, was: string, is: string): string[] {
  return was === is ? [] : [`${what}: ${was} → ${is}`];
}

/** A difference without printable values, if any. */
function unlessSame(was: unknown, is: unknown, what: string): string[] {
  return JSON.stringify(was) === JSON.stringify(is) ? [] : [what];
}

/** A difference between two items of equal name, if any. */
function unlessNamed(wasName: string | undefined, isName: string | undefined, was: unknown, is: unknown, what: string): string[] {
  return wasName === isName ? unlessSame(was, is, what) : [];
}

function cameraWords({ optics: { camera } }: ShotPlan): string {
  return camera.mode === '' ? camera.name : `${camera.name}, ${camera.mode}`;
}
