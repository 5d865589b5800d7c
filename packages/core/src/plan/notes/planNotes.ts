import { airyDiameterMm } from '../../optics/index.js';
import { CARRIED_SUPPORTS, fNumberOf, isZoom, missingParts, UNREACHABLE_SUPPORTS } from '../../kit/index.js';
import { isCameraMoving } from '../cameraMoves.js';
import { exposureSpans, idleLightReadings } from '../lightAlong.js';
import { isAllAutomatic, isPulled, methodsOf } from '../methodParts.js';
import { stopLimit } from '../opticsOverTime.js';
import { SECOND_JOBS, secondJobAt } from '../secondJob.js';
import { planCircleMm, pullEndS, type ShotPlan } from '../shotPlan.js';
import { hardStopNotes } from './hardStopNotes.js';
import type { PlanNote } from './planNote.js';
import { insideNotes } from './insideNotes.js';
import { readingNotes } from './readingNotes.js';
import { handsNotes, recordingNotes } from './recordingNotes.js';
import { reversedNotes } from './reversedNotes.js';
import { staleNotes } from './staleNotes.js';

/**
 * Notes about gear that conflicts with the plan, most important first.
 *
 * @param production - `shutterAngleDeg` is the production's shutter angle
 */
export function planNotes(plan: ShotPlan, production: { readonly shutterAngleDeg: number }): PlanNote[] {
  return [
    ...recordingNotes(plan),
    ...ringNotes(plan),
    ...hardStopNotes(plan),
    ...reversedNotes(plan),
    ...insideNotes(plan),
    ...movementNotes(plan),
    ...handsNotes(plan),
    ...rigNotes(plan),
    ...twoJobsNotes(plan),
    ...lightNotes(plan),
    ...pictureNotes(plan, production.shutterAngleDeg),
  ];
}

function ringNotes(plan: ShotPlan): PlanNote[] {
  const { optics, focusTrack: track, wheel } = plan;
  const { lens, zooms } = optics;
  const notes: PlanNote[] = [];
  // autofocus turns it by what it sees
  if (lens.response === 'speed' && !isAllAutomatic(plan)) {
    notes.push({ code: 'ring-by-speed', kind: 'blocks' });
    if (wheel?.hasEndStops) notes.push({ code: 'no-end-stops', kind: 'blocks', wheel: wheel.name });
  }
  notes.push(...staleNotes(plan), ...readingNotes(plan));
  if (zooms.length > 0 && lens.holdsFocus !== 'holds')
    notes.push({ code: 'zoom-not-tested', kind: 'warning', drifts: lens.holdsFocus === 'drifts' });
  const limit = stopLimit(plan);
  if (limit) notes.push({ code: 'stop-limited', kind: 'warning', scale: lens.stopScale, ...limit });
  if (track.pulls.length > 0 && lens.response === 'steps')
    notes.push({ code: 'ring-in-steps', kind: 'hint', steps: lens.stepCount });
  return notes;
}

function rigNotes(plan: ShotPlan): PlanNote[] {
  const { rig, optics } = plan;
  if (!rig) return [];
  const notes: PlanNote[] = [];
  const isRemote = rig.puller === 'remote' || plan.wheel?.kind === 'motor';
  const isTurnedByHand = needsRing(plan) && !isRemote;
  if (UNREACHABLE_SUPPORTS.includes(rig.support)) {
    if (isTurnedByHand) notes.push({ code: 'out-of-reach', kind: 'blocks', support: rig.support });
    notes.push({ code: 'licensed-people', kind: 'caution', support: rig.support });
  }
  if (rig.support === 'stabiliser') {
    if (isTurnedByHand) notes.push({ code: 'hand-on-stabiliser', kind: 'caution' });
    if (optics.zooms.length > 0) notes.push({ code: 'zoom-on-stabiliser', kind: 'warning' });
  }
  if (CARRIED_SUPPORTS.includes(rig.support)) notes.push({ code: 'walking', kind: 'caution' });
  if (rig.displayIsCabled) notes.push({ code: 'cable', kind: 'caution' });
  const { weightKg } = rig;
  if (weightKg !== null && weightKg >= REST_REMINDER_KG && rig.support !== 'legs' && rig.support !== 'dolly')
    notes.push({ code: 'heavy', kind: 'caution', weightKg });
  const parts = missingParts(rig);
  if (parts.length > 0) notes.push({ code: 'missing-parts', kind: 'warning', rig: rig.name, parts });
  return notes;
}

/** Whether a hand or a motor turns the ring during the take. */
function needsRing(plan: ShotPlan): boolean {
  return plan.focusTrack.pulls.length > 0 || methodsOf(plan).some(isPulled);
}

/** Pulls that land while their puller does something else. */
function twoJobsNotes(plan: ShotPlan): PlanNote[] {
  const found = new Set(plan.focusTrack.pulls.map((pull) => secondJobAt(plan, pullEndS(pull))));
  const jobs = SECOND_JOBS.filter((job) => found.has(job));
  return jobs.length === 0 ? [] : [{ code: 'two-jobs', kind: 'hint', jobs, factor: plan.hand.twoJobsFactor }];
}

/** The rig's own caution takes precedence, so that movement is mentioned once. */
function movementNotes(plan: ShotPlan): PlanNote[] {
  if (!isCameraMoving(plan) || (plan.rig && CARRIED_SUPPORTS.includes(plan.rig.support))) return [];
  return [{ code: 'camera-moves', kind: 'caution' }];
}

/** Weight from which a reminder to rest is shown. It is a reminder, not a limit. */
const REST_REMINDER_KG = 5;

/** Where the light changes along the way, and the iris does not follow it as closely as it should. */
function lightNotes(plan: ShotPlan): PlanNote[] {
  const [span, ...others] = exposureSpans(plan);
  const idle = idleLightReadings(plan).flatMap(({ at }) => plan.marks.filter(({ id }) => at.kind === 'mark' && id === at.markId));
  return [
    ...(span ? [{ code: 'exposure-off' as const, kind: 'warning' as const, span, times: others.length + 1 }] : []),
    ...(idle.length > 0
      ? [{ code: 'light-idle' as const, kind: 'warning' as const, letters: idle.map(({ letter }) => letter) }]
      : []),
  ];
}

function pictureNotes({ optics, exposure, rig }: ShotPlan, productionAngleDeg: number): PlanNote[] {
  const { lens, stop } = optics;
  const notes: PlanNote[] = [];
  if (airyDiameterMm(fNumberOf(lens, stop), 0) > planCircleMm(optics)) notes.push({ code: 'diffraction', kind: 'warning' });
  const { shutterAngleDeg } = exposure;
  if (Math.abs(shutterAngleDeg - productionAngleDeg) > 0.5)
    notes.push({ code: 'other-shutter', kind: 'warning', shutterAngleDeg, productionAngleDeg });
  if (lens.squeeze > 1) notes.push({ code: 'squeezed', kind: 'hint' });
  if (!lens.reportsData && (optics.camera.steadyingCropPercent > 0 || rig?.support === 'stabiliser'))
    notes.push({ code: 'type-focal-length', kind: 'hint', focalLengthMm: optics.focalLengthMm });
  if (isZoom(lens) && lens.holdsFocus !== 'holds' && optics.zooms.length === 0)
    notes.push({ code: 'no-zoom-in-to-focus', kind: 'hint' });
  return notes;
}
