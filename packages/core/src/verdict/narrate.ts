import type { LineTarget, ShotPlan } from '../pull/index.js';
import { formatDistance, formatGap, formatTime, formatTimeFigure, type UnitSystem } from '../units/index.js';
import { isTooFast } from './fastest.js';
import { keyMoments, notSoftEnough, subjectName, tooFast } from './narrateAsked.js';
import type { JudgedPull, MoveVerdict, PullVerdict, SoftSpan } from './pullVerdict.js';

/** Part of a sentence with its tone: the page colours it. The meaning never depends on colour alone. */
export interface SentencePart {
  readonly tone: 'sharp' | 'soft' | 'edge' | 'plain';
  readonly text: string;
  /** Time the part refers to, if any */
  readonly atS?: number;
}

export interface Narration {
  readonly parts: readonly SentencePart[];
  /** All parts as one text */
  readonly text: string;
}

/**
 * Summarises a verdict in one or two sentences: how much is sharp; what is soft, from when, by how much, on which side and why;
 * or what is tightest.
 *
 * @example "Sharp 9.1 of 11.0 s. Soft from 6.2 s: Ines is up to 14 cm in front of the zone while the pull to B is under way."
 */
export function narrate(verdict: PullVerdict, plan: ShotPlan, units: UnitSystem): Narration {
  const parts = verdict.status === 'incomplete' ? [incomplete(verdict.missing[0])] : judged(verdict, plan, units);
  return { parts, text: parts.map((part) => part.text).join(' ') };
}

function incomplete(missing: 'distance' | 'beat' | undefined): SentencePart {
  return missing === 'beat'
    ? { tone: 'plain', text: 'Nobody has to be sharp yet: say who, and when.' }
    : { tone: 'plain', text: 'No distance yet: tape to the first subject and type it.' };
}

function judged(verdict: JudgedPull, plan: ShotPlan, units: UnitSystem): SentencePart[] {
  const parts: SentencePart[] = [howMuch(verdict)];
  parts.push(...keyMoments(verdict, plan));
  const [first, ...others] = verdict.softSpans;
  if (first) parts.push(...firstSoft(first, others, verdict, plan, units));
  else parts.push(...whatIsTight(verdict, plan, units));
  parts.push(...notSoftEnough(verdict, plan));
  const beyond = verdict.moves.find((move) => move.grade === 'beyond');
  const tight = first ? undefined : verdict.moves.find((move) => move.grade === 'tight');
  if (beyond) parts.push(handTime('On paper only', beyond, verdict, plan, units));
  else if (isTooFast(verdict.fastest)) parts.push(tooFast(verdict));
  else if (tight) parts.push(handTime('Barely possible', tight, verdict, plan, units));
  return parts;
}

function howMuch({ sharpFrames, requiredFrames, frameCount, captureFps, outcome, softSpans }: JudgedPull): SentencePart {
  const total = formatTime(requiredFrames / captureFps);
  if (requiredFrames === 0) return { tone: 'plain', text: 'Nobody has to be sharp in this shot.' };
  const isWholeShot = requiredFrames === frameCount;
  if (sharpFrames === requiredFrames)
    return { tone: 'sharp', text: isWholeShot ? `Sharp for all ${total}.` : `Sharp for all ${total} that must be.` };
  if (sharpFrames === 0) return { tone: 'soft', text: `Soft for all ${total}${isWholeShot ? '' : ' that must be sharp'}.` };
  const text = `Sharp ${sharpText(sharpFrames, requiredFrames, captureFps)} of ${isWholeShot ? '' : 'the '}${total}${isWholeShot ? '' : ' that must be'}`;
  // a beat may allow some softness
  return outcome !== 'soft' && softSpans.length > 0
    ? { tone: 'sharp', text: `${text}, as much as was asked.` }
    : { tone: 'sharp', text: `${text}.` };
}

/** Never rounds up to the whole: "6.0 of 6.0" with a soft frame would be false. */
function sharpText(sharpFrames: number, requiredFrames: number, captureFps: number): string {
  const sharp = formatTimeFigure(sharpFrames / captureFps);
  const softFrames = requiredFrames - sharpFrames;
  return sharp === formatTimeFigure(requiredFrames / captureFps)
    ? `all but ${softFrames} ${softFrames === 1 ? 'frame' : 'frames'}`
    : sharp;
}

function firstSoft(
  first: SoftSpan,
  others: readonly SoftSpan[],
  verdict: JudgedPull,
  plan: ShotPlan,
  units: UnitSystem,
): SentencePart[] {
  const gap = first.worstGapMm === Infinity ? 'at infinity,' : `up to ${formatGap(first.worstGapMm, units)}`;
  const where = `${subjectName(plan, first.subjectId)} is ${gap} ${first.side === 'in front' ? 'in front of' : 'behind'} the zone`;
  const again =
    others.length === 0
      ? ''
      : ` Soft again ${others.length === 1 ? '' : `${others.length} times `}from ${formatTime(others[0]!.fromS)}.`;
  // total softness has been mentioned already
  const isAll = verdict.sharpFrames === 0 && others.length === 0;
  return [
    ...(isAll ? [] : [{ tone: 'soft' as const, text: `Soft from ${formatTime(first.fromS)}:`, atS: first.fromS }]),
    { tone: 'plain', text: `${where}${why(first, verdict, plan, units)}.${again}` },
  ];
}

function why({ cause, subjectId }: SoftSpan, verdict: JudgedPull, plan: ShotPlan, units: UnitSystem): string {
  const pull = (moveId: string) => `the pull to ${moveName(verdict, moveId, plan, units)}`;
  const startOf = (moveId: string) => formatTime(verdict.moves.find((move) => move.moveId === moveId)!.startS);
  switch (cause.kind) {
    case 'under-way':
      return ` while ${pull(cause.moveId)} is under way`;
    case 'starts-too-late':
      return `, because ${pull(cause.moveId)} starts only at ${startOf(cause.moveId)}`;
    case 'left-too-soon':
      return `, because ${pull(cause.moveId)} leaves at ${startOf(cause.moveId)}`;
    case 'zone-shrinks':
      return cause.by === 'stop'
        ? ', because opening the stop makes the zone too thin'
        : ', because zooming in makes the zone too thin';
    case 'goes-on':
      return `, because ${goingOn(cause.moveId, subjectId, plan)}`;
    case 'walks':
      return ' on the way, and no pull follows';
    case 'camera-moves':
      return ' while the camera moves and no pull follows';
    case 'out-of-reach':
      return `: outside what the ring reaches (${formatDistance(plan.optics.lens.closeFocusMm, units)} to ∞)`;
    case 'no-move':
      return ', and no pull goes there';
  }
}

function whatIsTight({ tightest, captureFps }: JudgedPull, plan: ShotPlan, units: UnitSystem): SentencePart[] {
  if (!tightest || tightest.marginMm === Infinity) return [];
  const room = formatGap(tightest.marginMm, units);
  return [
    {
      tone: 'plain',
      text: `Tightest at ${formatTime(tightest.frame / captureFps)}: ${subjectName(plan, tightest.subjectId)} has ${room} of room.`,
    },
  ];
}

function handTime(how: string, move: MoveVerdict, verdict: JudgedPull, plan: ShotPlan, units: UnitSystem): SentencePart {
  const hundredths = (timeS: number) => `${timeS.toFixed(2)} s`;
  return {
    tone: 'edge',
    text: `${how}: the pull to ${moveName(verdict, move.moveId, plan, units)} has ${hundredths(move.availableS)}, and a hand needs ${hundredths(move.neededS)}.`,
  };
}

function moveName(verdict: JudgedPull, moveId: string, plan: ShotPlan, units: UnitSystem): string {
  const move = verdict.moves.find((item) => item.moveId === moveId);
  return move ? targetName(move.to.target, plan, units) : 'the next mark';
}

/** Why a tracking focus leaves a subject soft. */
function goingOn(moveId: string | null, softId: string, plan: ShotPlan): string {
  const target = moveId === null ? plan.line.start : plan.line.moves.find(({ id }) => id === moveId)?.target;
  if (target?.kind !== 'subject') return 'the course the line runs along is not where they are';
  const whom = subjectName(plan, target.subjectId);
  if (target.subjectId !== softId) return `the line goes with ${whom}`;
  if (target.leadS === 0) return `the ring does not reach as far as the line would follow ${whom}`;
  return `the follow runs ${Math.abs(target.leadS).toFixed(1)} s ${target.leadS < 0 ? 'behind' : 'ahead'}`;
}

/** Mark letter of a target, or its description if it has no mark. */
export function targetName(target: LineTarget, plan: ShotPlan, units: UnitSystem): string {
  const letterOf = (markId: string) => plan.marks.find((mark) => mark.id === markId)?.letter ?? 'a mark';
  switch (target.kind) {
    case 'mark':
      return letterOf(target.markId);
    case 'distance':
      return formatDistance(target.distanceMm ?? Infinity, units);
    case 'blur':
      return `soft ${target.towards === 'near' ? 'before' : 'behind'} ${letterOf(target.markId)}`;
    case 'subject':
      return subjectName(plan, target.subjectId);
    case 'course':
      return 'the course';
  }
}
