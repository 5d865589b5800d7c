import {
  autofocusRisk,
  type CompleteVerdict,
  followSpeed,
  formatGap,
  formatTime,
  frameAtOrAfter,
  hiddenRunsOf,
  isInFrame,
  methodAt,
  motionOf,
  type Placement,
  placementOf,
  planDistances,
  sharpBeatsAt,
  type ShotPlan,
  type Subject,
  type UnitSystem,
} from '@still-heron/core';
import { autofocusReasonText } from '../stop/methodArgumentText.js';
import { hiderName } from '../names.js';
import type { SentencePart } from '../sentence.js';

/** Slower changes count as standing still, in mm per second. */
const STANDSTILL_MM_PER_S = 20;

/** Subjects that can't be focused on where they are, with a remedy. */
const PLACEMENT_PROBLEMS: Readonly<
  Record<Exclude<Placement, 'before-the-camera' | 'not-on-the-floor'>, { what: string; remedy: string }>
> = {
  'behind-it': { what: 'is behind the camera', remedy: 'turn the camera, or move the subject in front of it' },
  'on-top-of-it': { what: 'stands where the camera is', remedy: 'move one of them away' },
  'nearer-than-it-focuses': {
    what: 'is closer than the lens can focus',
    remedy: 'step back, or use a lens with a closer focus',
  },
};

/** The time told, and the units to tell it in. */
interface TimeInUnits {
  readonly timeS: number;
  readonly units: UnitSystem;
}

/**
 * The situation on the floor at a time: whether a subject is in the zone, how it moves, and how fast the ring must turn.
 *
 * @param subject - null if nobody is on the floor
 * @param verdict - null if the plan is incomplete
 */
export function floorSentence(
  plan: ShotPlan,
  verdict: CompleteVerdict | null,
  subject: Subject | null,
  { timeS, units }: TimeInUnits,
): SentencePart[] {
  if (!subject) return [{ tone: 'plain', text: 'Nobody is on the floor yet. Choose Subject, and click where it stands.' }];
  const sight = planDistances(plan).sightingAt(subject, timeS);
  const placement = placementOf(plan, subject, timeS);
  if (!sight || placement === 'not-on-the-floor')
    return [{ tone: 'plain', text: `${subject.name} is not on the floor: at infinity, or with a tape distance only.` }];
  if (placement !== 'before-the-camera') {
    const { what, remedy } = PLACEMENT_PROBLEMS[placement];
    // who need not be sharp may stand anywhere
    const isRequired = sharpBeatsAt(plan, timeS).some(({ subjectId }) => subjectId === subject.id);
    return isRequired
      ? [
          { tone: 'soft', text: `${subject.name} ${what}` },
          { tone: 'plain', text: `at ${formatTime(timeS)}: ${remedy}.` },
        ]
      : [{ tone: 'plain', text: `${subject.name} ${what} at ${formatTime(timeS)}, and need not be sharp then.` }];
  }
  const isOut = isInFrame(plan, subject, timeS) === false;
  const rest = [isOut ? `Out of frame, ${sideText(sight.offAxisDeg)}.` : '', movementText(plan, subject, timeS, units)];
  const text = rest.filter(Boolean).join(' ');
  const zone = focusPart(plan, verdict, subject, { timeS, units });
  return text ? [zone, { tone: 'plain', text }] : [zone];
}

/** Whether focus is on a subject: by the zone, or by what is known of autofocus where focus is left to it. */
function focusPart(plan: ShotPlan, verdict: CompleteVerdict | null, subject: Subject, at: TimeInUnits): SentencePart {
  const hider = hiderAt(plan, subject, at.timeS);
  if (hider !== null) return { tone: 'edge', text: `${subject.name} is hidden by ${hider} at ${formatTime(at.timeS)}.` };
  return methodAt(plan, at.timeS) === 'automatic' ? autofocusPart(plan, subject, at.timeS) : zonePart(plan, verdict, subject, at);
}

function autofocusPart(plan: ShotPlan, { id, name }: Subject, timeS: number): SentencePart {
  if (sharpBeatsAt(plan, timeS).every(({ subjectId }) => subjectId !== id))
    return { tone: 'plain', text: `${name} need not be sharp now.` };
  const span = autofocusRisk(plan).spans.find((one) => one.subjectId === id && timeS >= one.fromS && timeS < one.toS);
  if (span) return { tone: 'edge', text: `Autofocus is at risk: ${autofocusReasonText(span, plan)}.` };
  return { tone: 'plain', text: `Left to autofocus, and no risk is known for ${name} now.` };
}

/** Name of what stands before a subject at a time; null if it is seen. */
function hiderAt(plan: ShotPlan, subject: Subject, timeS: number): string | null {
  const frame = Math.floor(timeS * plan.captureFps + 1e-6);
  const run = hiddenRunsOf(plan, subject.id).find(({ fromFrame, toFrame }) => frame >= fromFrame && frame < toFrame);
  return run ? hiderName(plan, run.by) : null;
}

function sideText(offAxis: number): string {
  return offAxis > 0 ? 'to the left' : 'to the right';
}

/** Where the subject is, relative to the zone. */
function zonePart(
  plan: ShotPlan,
  verdict: CompleteVerdict | null,
  { id, name }: Subject,
  { timeS, units }: TimeInUnits,
): SentencePart {
  const frames = verdict?.subjects.find(({ subjectId }) => subjectId === id);
  if (!verdict || !frames) return { tone: 'plain', text: `${name} is on the floor; nothing has to be sharp yet.` };
  const frame = Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1);
  const marginMm = frames.marginMm[frame]!;
  if (frames.sharp[frame])
    return {
      tone: 'sharp',
      text: `${name} is sharp${marginMm === Infinity ? '' : `, with ${formatGap(marginMm, units)} of room`}.`,
    };
  const side = frames.distanceMm[frame]! < verdict.track.nearMm[frame]! ? 'in front of' : 'behind';
  const isRequired = sharpBeatsAt(plan, timeS).some(({ subjectId }) => subjectId === id);
  const place = `${name} is ${formatGap(marginMm, units)} ${side} the zone`;
  return isRequired ? { tone: 'soft', text: `${place}.` } : { tone: 'edge', text: `${place}, and may be soft now.` };
}

/** The movement, and the speed of ring or wheel that follows it. Sideways movement needs no focus change. */
function movementText(plan: ShotPlan, subject: Subject, timeS: number, units: UnitSystem): string {
  const speed = followSpeed(plan, subject, timeS);
  const motion = motionOf(plan, subject, timeS);
  if (!speed || !motion) return '';
  const across = Math.abs(motion.acrossMmPerS);
  const side = across > STANDSTILL_MM_PER_S ? `${formatGap(across, units)} a second ${sideText(motion.acrossMmPerS)}` : '';
  if (Math.abs(speed.mmPerS) < STANDSTILL_MM_PER_S)
    return side ? `${side}, and the distance does not change.` : 'The distance does not change.';
  const direction = speed.mmPerS < 0 ? 'nearer' : 'farther';
  const turned = plan.wheel === null ? 'ring' : 'wheel';
  return `${formatGap(speed.mmPerS, units)} a second ${direction}${side && `, ${side}`}: the ${turned} must turn ${speedFigure(speed.maxHandDegPerS)}°/s.`;
}

/** Slow turns get a decimal, so that a moving ring is never shown as 0. */
function speedFigure(degPerS: number): string {
  return Math.abs(degPerS).toFixed(Math.abs(degPerS) < 3 ? 1 : 0);
}
