import {
  automaticParts,
  type CompleteVerdict,
  exceedsHandLimit,
  formatDistance,
  formatGap,
  formatTime,
  formatTimeFigure,
  isAllAutomatic,
  type PullAssessment,
  type PullVerdict,
  ringOf,
  type ShotPlan,
  type SoftSpan,
  type UnitSystem,
} from '@still-heron/core';
import { subjectName, targetName } from '../names.js';
import { type SentencePart, textOf } from '../sentence.js';
import { inHundred, takesOf100 } from '../share.js';
import { automaticPartsSentence } from '../plan/methodPartText.js';
import { narrateAutofocus } from './narrateAutofocus.js';
import { keyMoments, notSoftEnough, tooFast, whoIsHidden } from './narrateRequired.js';

export interface Narration {
  readonly parts: readonly SentencePart[];
  /** All parts as one text */
  readonly text: string;
}

/**
 * Summarises a verdict in one or two sentences: how much is sharp; what is soft, from when, by how much, on which side and why;
 * or what is tightest. Of a shot that is left to autofocus: what puts it at risk.
 *
 * @param keepRate - of real takes, if known; below its target it is said in the first sentence
 * @example "Sharp 9.1 of 11.0 s. Soft from 6.2 s: Ines is up to 14 cm in front of the zone while the pull to B is under way."
 */
export function narrate(verdict: PullVerdict, plan: ShotPlan, units: UnitSystem, keepRate: number | null = null): Narration {
  const parts = partsOf(verdict, plan, units, keepRate);
  return { parts, text: textOf(parts) };
}

function partsOf(verdict: PullVerdict, plan: ShotPlan, units: UnitSystem, keepRate: number | null): SentencePart[] {
  const left = automaticPartsSentence(plan);
  if (verdict.status === 'incomplete') {
    const isAllLeft = verdict.missing[0] === 'beat' && left.length > 0;
    return isAllLeft ? left : [incomplete(verdict.missing[0])];
  }
  if (isAllAutomatic(plan)) return narrateAutofocus(plan);
  return [...judged(verdict, plan, units, howSeldom(keepRate, plan)), ...left];
}

/** How the first sentence goes on if too few takes are kept; null if enough are, or if it is not known. */
function howSeldom(keepRate: number | null, { goals }: ShotPlan): string | null {
  if (keepRate === null || keepRate >= goals.targetKeepRate) return null;
  return `, if all goes as planned: ${takesOf100(keepRate)} ${inHundred(keepRate) === 1 ? 'is' : 'are'} kept.`;
}

function incomplete(missing: 'distance' | 'beat' | undefined): SentencePart {
  return missing === 'beat'
    ? { tone: 'plain', text: 'Nothing has to be sharp yet: choose a subject, and when.' }
    : { tone: 'plain', text: 'No distance yet: tape to the first subject and type it.' };
}

function judged(verdict: CompleteVerdict, plan: ShotPlan, units: UnitSystem, seldom: string | null): SentencePart[] {
  const parts: SentencePart[] = [howMuch(verdict, seldom, automaticParts(plan).length > 0)];
  parts.push(...keyMoments(verdict, plan), ...whoIsHidden(verdict, plan));
  const [first] = verdict.softSpans;
  if (first) parts.push(...firstSoft(first, verdict, plan, units));
  else parts.push(...whatIsTight(verdict, plan, units));
  parts.push(...notSoftEnough(verdict, plan));
  const tooHard = verdict.pulls.find((pull) => pull.grade === 'too-hard');
  const tight = first ? undefined : verdict.pulls.find((pull) => pull.grade === 'tight');
  if (tooHard) parts.push(handTime('Too hard', tooHard, pullName(verdict, tooHard.pullId, plan, units)));
  else if (exceedsHandLimit(verdict.fastest)) parts.push(tooFast(verdict));
  else if (tight) parts.push(handTime('Tight', tight, pullName(verdict, tight.pullId, plan, units)));
  return parts;
}

/** @param isPart - the rest is left to autofocus */
function howMuch(verdict: CompleteVerdict, seldom: string | null, isPart: boolean): SentencePart {
  const { sharpFrames, requiredFrames, frameCount, captureFps, outcome, softSpans } = verdict;
  const total = formatTime(requiredFrames / captureFps);
  if (requiredFrames === 0) return { tone: 'plain', text: 'Nothing has to be sharp in this shot.' };
  const isWholeShot = requiredFrames === frameCount;
  const by = isPart ? ' by hand' : '';
  if (sharpFrames === 0) return { tone: 'soft', text: `Soft for all ${total}${isWholeShot ? '' : ' that must be sharp'}${by}.` };
  const text =
    sharpFrames === requiredFrames
      ? `Sharp for all ${isWholeShot ? total : `${total} that must be${by}`}`
      : `Sharp ${sharpText(sharpFrames, requiredFrames, captureFps)} of ${isWholeShot ? total : `the ${total} that must be${by}`}`;
  // a beat may allow some softness
  const enough = sharpFrames < requiredFrames && outcome !== 'soft' && softSpans.length > 0 ? ', as much as is required' : '';
  return { tone: seldom === null ? 'sharp' : 'edge', text: `${text}${enough}${seldom ?? '.'}` };
}

/** Never rounds up to the whole: "6.0 of 6.0" with a soft frame would be false. */
function sharpText(sharpFrames: number, requiredFrames: number, captureFps: number): string {
  const sharp = formatTimeFigure(sharpFrames / captureFps);
  const softFrames = requiredFrames - sharpFrames;
  return sharp === formatTimeFigure(requiredFrames / captureFps)
    ? `all but ${softFrames} ${softFrames === 1 ? 'frame' : 'frames'}`
    : sharp;
}

function firstSoft(first: SoftSpan, verdict: CompleteVerdict, plan: ShotPlan, units: UnitSystem): SentencePart[] {
  const others = verdict.softSpans.slice(1);
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

function why({ cause, subjectId }: SoftSpan, verdict: CompleteVerdict, plan: ShotPlan, units: UnitSystem): string {
  const pull = (pullId: string) => `the pull to ${pullName(verdict, pullId, plan, units)}`;
  const startOf = (pullId: string) => formatTime(verdict.pulls.find((one) => one.pullId === pullId)!.startS);
  switch (cause.kind) {
    case 'under-way':
      return ` while ${pull(cause.pullId)} is under way`;
    case 'starts-too-late':
      return `, because ${pull(cause.pullId)} starts only at ${startOf(cause.pullId)}`;
    case 'left-too-soon':
      return `, because ${pull(cause.pullId)} leaves at ${startOf(cause.pullId)}`;
    case 'zone-shrinks':
      return cause.by === 'stop'
        ? ', because opening the stop makes the zone too thin'
        : ', because zooming in makes the zone too thin';
    case 'tracking-off':
      return `, because ${tracking(cause.pullId, subjectId, plan)}`;
    case 'walks':
      return ' while walking, and no pull follows';
    case 'camera-moves':
      return ' while the camera moves and no pull follows';
    case 'out-of-reach':
      return `, outside the range of the ring (${ringRange(plan, units)})`;
    case 'no-pull':
      return ', and no pull goes there';
  }
}

function whatIsTight({ tightest, captureFps }: CompleteVerdict, plan: ShotPlan, units: UnitSystem): SentencePart[] {
  if (!tightest || tightest.marginMm === Infinity) return [];
  const room = formatGap(tightest.marginMm, units);
  return [
    {
      tone: 'plain',
      text: `Tightest at ${formatTime(tightest.frame / captureFps)}: ${subjectName(plan, tightest.subjectId)} has ${room} of room.`,
    },
  ];
}

function handTime(how: string, pull: PullAssessment, name: string): SentencePart {
  const hundredths = (timeS: number) => `${timeS.toFixed(2)} s`;
  return {
    tone: 'edge',
    text: `${how}: the pull to ${name} has ${hundredths(pull.availableS)}, and a hand needs ${hundredths(pull.neededS)}.`,
  };
}

function pullName(verdict: CompleteVerdict, pullId: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = verdict.pulls.find((item) => item.pullId === pullId);
  return pull ? targetName(pull.to.target, plan, units) : 'the next mark';
}

/** Why a tracking focus leaves a subject soft. */
function tracking(pullId: string | null, softId: string, plan: ShotPlan): string {
  const target = pullId === null ? plan.focusTrack.start : plan.focusTrack.pulls.find(({ id }) => id === pullId)?.target;
  if (target?.kind !== 'subject') return 'the course of the focus track misses the subject';
  const whom = subjectName(plan, target.subjectId);
  if (target.subjectId !== softId) return `focus follows ${whom}`;
  if (target.leadS === 0) return `the ring does not reach far enough to follow ${whom}`;
  return `the follow runs ${Math.abs(target.leadS).toFixed(1)} s ${target.leadS < 0 ? 'behind' : 'ahead'}`;
}

function ringRange({ optics }: ShotPlan, units: UnitSystem): string {
  const { closeFocusMm, farthestMm } = ringOf(optics.lens);
  return `${formatDistance(closeFocusMm, units)} to ${formatDistance(farthestMm, units)}`;
}
