import { airyDiameterMm } from '../../optics/index.js';
import { fNumberOf, isZoom, missingParts, type Support, UNREACHABLE_SUPPORTS } from '../../kit/index.js';
import { reversedNotes } from './reversedNotes.js';
import { hardStopNotes } from './hardStopNotes.js';
import { planCircleMm, type ShotPlan } from '../shotPlan.js';

/**
 * Something the puller should know about this set-up before the camera rolls. A caution is about harm to people or gear, a
 * warning about focus.
 */
export interface PlanNote {
  readonly code: string;
  readonly kind: 'blocks' | 'warning' | 'caution' | 'hint';
  readonly text: string;
}

/** Last sentence of every caution about movement. */
export const LOCAL_RULES = 'Local rules and the production’s safety lead decide; no distance here is a safety distance.';

/**
 * Notes about gear that conflicts with the plan, most important first.
 *
 * @param production - `shutterAngleDeg` is the production's shutter angle
 */
export function planNotes(plan: ShotPlan, production: { readonly shutterAngleDeg: number }): PlanNote[] {
  return [
    ...ringNotes(plan),
    ...hardStopNotes(plan),
    ...reversedNotes(plan),
    ...movementNotes(plan),
    ...rigNotes(plan),
    ...pictureNotes(plan, production.shutterAngleDeg),
  ];
}

/** Supports on which the operator may walk. */
const WALKING_SUPPORTS: readonly Support[] = ['handheld', 'shoulder', 'palm-and-fingers', 'stabiliser'];

function ringNotes({ optics, marks, focusTrack: track, wheel }: ShotPlan): PlanNote[] {
  const { lens, zooms } = optics;
  const notes: PlanNote[] = [];
  const moves = track.pulls.length > 0;
  if (lens.response === 'speed') {
    notes.push({
      code: 'ring-by-speed',
      kind: 'blocks',
      text: 'This ring answers by how fast it is turned: the same place on it is not the same distance twice. No ring mark and no end stop holds; focus by eye, or set the lens to answer by angle.',
    });
    if (wheel?.hasEndStops)
      notes.push({
        code: 'no-end-stops',
        kind: 'blocks',
        text: `The end stops of ${wheel.name} can't be used: a ring that answers by speed passes its distance with the wheel held.`,
      });
  }
  const stale = marks.filter((mark) => mark.stale !== null);
  if (stale.length > 0) {
    const letters = stale.map(({ letter }) => letter).join(', ');
    const why = stale.every((mark) => mark.stale === 'camera') ? 'before the camera was moved' : 'before the lens was changed';
    notes.push({
      code: 'stale-marks',
      kind: 'warning',
      text: `${letters} ${stale.length === 1 ? 'was' : 'were'} measured ${why}: measure again.`,
    });
  }
  if (zooms.length > 0 && lens.holdsFocus !== 'holds')
    notes.push({
      code: 'zoom-not-tested',
      kind: 'warning',
      text:
        lens.holdsFocus === 'drifts'
          ? 'The shot zooms, and this lens was found not to keep its focus while it zooms.'
          : 'The shot zooms, and nobody has tested yet whether this lens keeps its focus while it does.',
    });
  if (moves && lens.response === 'steps')
    notes.push({
      code: 'ring-in-steps',
      kind: 'hint',
      text: `The ring goes in ${lens.stepCount} steps: count presses, and allow for one too many.`,
    });
  return notes;
}

function rigNotes({ rig, optics, focusTrack: track, method, wheel }: ShotPlan): PlanNote[] {
  if (!rig) return [];
  const notes: PlanNote[] = [];
  const isPulled = track.pulls.length > 0 || method === 'rack' || method === 'follow';
  const isRemote = rig.puller === 'remote' || wheel?.kind === 'motor';
  if (UNREACHABLE_SUPPORTS.includes(rig.support) && isPulled && !isRemote)
    notes.push({
      code: 'out-of-reach',
      kind: 'blocks',
      text: `Nobody reaches the ring on a ${rig.support} while it moves: a motor with a remote, or fixed focus, or left to the camera.`,
    });
  if (UNREACHABLE_SUPPORTS.includes(rig.support))
    notes.push({
      code: 'licensed-people',
      kind: 'caution',
      text: `A ${rig.support} is rigged and moved by licensed people, with the camera and every loose part tethered. ${LOCAL_RULES}`,
    });
  if (rig.support === 'stabiliser') {
    if (isPulled && !isRemote)
      notes.push({
        code: 'hand-on-stabiliser',
        kind: 'caution',
        text: 'A hand at the ring loads the motors of the stabiliser and shakes the picture: a motor, or lock it first. Balance it before it is switched on.',
      });
    if (optics.zooms.length > 0)
      notes.push({
        code: 'zoom-on-stabiliser',
        kind: 'warning',
        text: 'Steadying that goes by one focal length can’t follow a zoom, and the balance shifts with the lens.',
      });
  }
  if (WALKING_SUPPORTS.includes(rig.support))
    notes.push({
      code: 'walking',
      kind: 'caution',
      text: `Walking backward or sideways with a screen before one's eyes: a spotter, a cleared path, a strap. ${LOCAL_RULES}`,
    });
  if (rig.displayIsCabled)
    notes.push({
      code: 'cable',
      kind: 'caution',
      text: 'The display is on a cable: tape it down, relieve the plug, keep it out of the path.',
    });
  if ((rig.weightKg ?? 0) >= REST_REMINDER_KG && rig.support !== 'legs' && rig.support !== 'dolly')
    notes.push({ code: 'heavy', kind: 'caution', text: `${rig.weightKg} kg in the hands: set it down between takes.` });
  const missing = missingParts(rig);
  if (missing.length > 0)
    notes.push({ code: 'missing-parts', kind: 'warning', text: `Not there yet for ${rig.name}: ${missing.join(', ')}.` });
  return notes;
}

/** Caution for a shot in which the camera moves; null if it stands still. */
export function movingCaution({ floor }: Pick<ShotPlan, 'floor'>): string | null {
  const [first, ...others] = floor?.camera ?? [];
  const moves = first !== undefined && others.some((key) => key.xMm !== first.xMm || key.yMm !== first.yMm);
  return moves
    ? `The camera moves in this shot: walk its way before rolling, clear it, and have a spotter where someone goes backward. ${LOCAL_RULES}`
    : null;
}

/** The rig's own caution takes precedence, so that movement is mentioned once. */
function movementNotes(plan: ShotPlan): PlanNote[] {
  const text = movingCaution(plan);
  if (text === null || (plan.rig && WALKING_SUPPORTS.includes(plan.rig.support))) return [];
  return [{ code: 'camera-moves', kind: 'caution', text }];
}

/** Weight from which a reminder to rest is shown. It is a reminder, not a limit. */
const REST_REMINDER_KG = 5;

function pictureNotes({ optics, exposure, rig }: ShotPlan, productionAngleDeg: number): PlanNote[] {
  const { lens, stop } = optics;
  const notes: PlanNote[] = [];
  const airyMm = airyDiameterMm(fNumberOf(lens, stop), 0);
  if (airyMm > planCircleMm(optics))
    notes.push({
      code: 'diffraction',
      kind: 'warning',
      text: 'Stopped down so far, diffraction alone makes every point wider than what passes for sharp.',
    });
  if (Math.abs(exposure.shutterAngleDeg - productionAngleDeg) > 0.5)
    notes.push({
      code: 'other-shutter',
      kind: 'warning',
      text: `The shutter is at ${exposure.shutterAngleDeg}°, and the production is shot at ${productionAngleDeg}°: movement will look different from the shots beside it.`,
    });
  if (lens.squeeze > 1)
    notes.push({
      code: 'squeezed',
      kind: 'hint',
      text: 'A squeezed picture has a zone by the focal length as engraved; across the picture blur is drawn narrower, so judge it unsqueezed.',
    });
  if (!lens.reportsData && (optics.camera.steadyingCropPercent > 0 || rig?.support === 'stabiliser'))
    notes.push({
      code: 'type-focal-length',
      kind: 'hint',
      text: `The lens tells the camera nothing: type its true focal length, ${optics.focalLengthMm} mm, where steadying asks for it.`,
    });
  if (isZoom(lens) && lens.holdsFocus !== 'holds' && optics.zooms.length === 0)
    notes.push({
      code: 'no-zoom-in-to-focus',
      kind: 'hint',
      text: 'Focusing zoomed in and then going wide is only for a zoom that was tested to hold its focus.',
    });
  return notes;
}
