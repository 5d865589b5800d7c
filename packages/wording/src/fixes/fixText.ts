import {
  type Easing,
  type Fix,
  formatDistance,
  formatGap,
  formatStop,
  formatStops,
  type IdealTake,
  type ShotPlan,
  type TakesKept,
  type UnitSystem,
} from '@still-heron/core';
import { capital } from '../capital.js';
import { counted, stopOnRing } from '../figure.js';
import { pullTargetName, subjectName } from '../names.js';
import { inHundred, takesOf100 } from '../share.js';

/** How a pull moves the ring. */
export const EASING_WORDS: Readonly<Record<Easing, string>> = {
  eased: 'gently at both ends',
  'ease-in': 'gently at the start',
  'ease-out': 'gently at the landing',
  steady: 'at one speed',
};

/** A fix as a button label. */
export function fixName({ change }: Pick<Fix, 'change'>, plan: ShotPlan, units: UnitSystem): string {
  switch (change.kind) {
    case 'solve-track':
      return change.holds === 1 ? 'Hold one focus distance' : `Work out the pulls: ${counted(change.holds, 'hold')}`;
    case 'stop':
      return stopText(change, plan);
    case 'follow':
    case 'lead':
      return `Follow ${subjectName(plan, change.subjectId)}${leadText(change.leadS)}`;
    case 'split':
      return `Focus between them at ${formatDistance(change.toMm, units)}`;
    case 'reference':
      return `Focus on the ${change.at ?? 'reference'} instead`;
    case 'other-order':
      return `First ${subjectName(plan, change.firstId)}, then ${subjectName(plan, change.secondId)}`;
    case 'reversed':
      return 'Shoot it reversed';
    case 'shorter-walk':
      return `${subjectName(plan, change.subjectId)} stops at ${formatDistance(change.toMm, units)}`;
    case 'step-aside':
      return capital(
        `${subjectName(plan, change.subjectId)} steps aside ${formatGap(change.byMm, units)} at ${letterOf(plan, change.markId)}`,
      );
    case 'step-back':
      return `Move the camera back ${formatGap(change.byMm, units)}`;
    case 'gear':
      return `Gear ${change.wheelPerRing} on the wheel`;
    case 'hard-stops':
      return `Hard stops at ${change.letters.join(' and ')}`;
    case 'easing':
      return ofPull(change.pullId, `turn ${EASING_WORDS[change.easing]}`, plan, units);
    default:
      return ofPull(change.pullId, RETIMED[change.kind](`${change.byS.toFixed(1)} s`), plan, units);
  }
}

const RETIMED = {
  earlier: (by: string) => `start ${by} sooner`,
  later: (by: string) => `start ${by} later`,
  longer: (by: string) => `start ${by} sooner, land at the same time`,
  shorter: (by: string) => `start ${by} later, land at the same time`,
};

/** "T2.2 → T2.8". */
export function stopText({ from, to }: { readonly from: number; readonly to: number }, plan: ShotPlan): string {
  return `${formatStop(from, plan.optics.lens.stopScale)} → ${stopOnRing(to, plan.optics.lens)}`;
}

/** The name of a fix inside a sentence ("Undo: start 0.3 s sooner"). A leading name or stop keeps its capital. */
export function fixStepName(fix: Pick<Fix, 'change'>, plan: ShotPlan, units: UnitSystem): string {
  const name = fixName(fix, plan, units);
  if (['shorter-walk', 'step-aside', 'stop'].includes(fix.change.kind)) return name;
  return name.charAt(0).toLowerCase() + name.slice(1);
}

function letterOf({ marks }: ShotPlan, markId: string): string {
  return marks.find(({ id }) => id === markId)?.letter ?? '';
}

function leadText(leadS: number): string {
  if (leadS === 0) return ' exactly';
  return `, ${Math.abs(leadS).toFixed(1)} s ${leadS > 0 ? 'ahead' : 'behind'}`;
}

/** Names the pull if the plan has several. */
function ofPull(pullId: string, text: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  if (pull && plan.focusTrack.pulls.length > 1) return `Pull to ${pullTargetName(pull, plan, units)}: ${text}`;
  return capital(text);
}

/** Result of a fix: sharp time and cost. */
export function fixResult({ sharpS, requiredS, outcome, stopsLost, change }: Omit<Fix, 'plan'>): string {
  const grade = { sharp: '', soft: '', tight: ', tight', 'too-hard': ', too hard' }[outcome];
  const light = stopsLost > 0.1 ? `, ${formatStops(stopsLost)} less light` : '';
  const cost = change.kind === 'solve-track' ? cuesGivenUpText(change.cuesGivenUp) : COSTS[change.kind];
  return `${sharpFor({ sharpS, requiredS })}${grade}${light}${cost ? `, ${cost}` : ''}`;
}

/** "sharp for all 8.0 s", "sharp for 6.2 of 8.0 s". */
export function sharpFor({ sharpS, requiredS }: IdealTake, isWhole = requiredS - sharpS < 1e-6): string {
  if (isWhole) return `sharp for all ${requiredS.toFixed(1)} s`;
  return `sharp for ${sharpS.toFixed(1)} of ${requiredS.toFixed(1)} s`;
}

/** "1 pull by the clock instead of its cue"; empty for none. */
export function cuesGivenUpText(count: number): string {
  return count === 0 ? '' : `${counted(count, 'pull')} by the clock instead of ${count === 1 ? 'its cue' : 'their cues'}`;
}

/** What happens if all goes as planned: "as planned sharp for 6.2 of 8.0 s". */
export function idealTakeText(ideal: IdealTake): string {
  return `as planned ${sharpFor(ideal)}`;
}

/** What a fix does to the takes: "61 of 100 takes are kept, was 77". */
export function fixTakes({ keepRate, keepRateBefore, takes }: TakesKept): string {
  if (keepRate === null) return '';
  return `${takesOf100(keepRate)} kept, ${takes === 'same' ? 'as before' : `was ${inHundred(keepRateBefore)}`}`;
}

/** Cost of a change, where its label does not give it. */
const COSTS: Readonly<Partial<Record<Fix['change']['kind'], string>>> = {
  'other-order': 'changes the story',
  reversed: 'played backwards in the edit',
  'step-aside': 'no longer hidden, a new mark',
  'step-back': 'wider picture, measure again',
  'shorter-walk': 'a new mark',
};
