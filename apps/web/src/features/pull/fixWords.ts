import {
  type Easing,
  formatDistance,
  formatGap,
  formatStop,
  formatStops,
  type Fix,
  type ShotPlan,
  targetName,
  type UnitSystem,
} from '@still-heron/core';

const EASING_WORDS: Readonly<Record<Easing, string>> = {
  eased: 'gently at both ends',
  'ease-in': 'begin gently, land at speed',
  'ease-out': 'begin at speed, land gently',
  steady: 'turn at one speed',
};

/** A fix as a button label. */
export function fixName({ change }: Pick<Fix, 'change'>, plan: ShotPlan, units: UnitSystem): string {
  const nameOf = (subjectId: string) => plan.subjects.find(({ id }) => id === subjectId)?.name ?? 'someone';
  switch (change.kind) {
    case 'lay-line':
      return change.holds === 1 ? 'Set the ring once' : `Lay the line, ${change.holds} settings`;
    case 'stop': {
      const { stopScale } = plan.optics.lens;
      return `${formatStop(change.from, stopScale)} → ${formatStop(change.to, stopScale)}`;
    }
    case 'follow':
      return `Go with ${nameOf(change.subjectId)}${leadWords(change.leadS)}`;
    case 'lead':
      return change.leadS === 0
        ? `Go exactly with ${nameOf(change.subjectId)}`
        : `Go with ${nameOf(change.subjectId)}${leadWords(change.leadS)}`;
    case 'split':
      return `Set the ring to ${formatDistance(change.toMm, units)}`;
    case 'reference':
      return `Set the ring to the ${change.at ?? 'reference'}`;
    case 'other-order':
      return `First ${nameOf(change.firstId)}, then ${nameOf(change.secondId)}`;
    case 'reversed':
      return 'Shoot it reversed';
    case 'shorter-walk':
      return `${nameOf(change.subjectId)} stops at ${formatDistance(change.toMm, units)}`;
    case 'step-back':
      return `Camera ${formatGap(change.byMm, units)} farther back`;
    case 'gear':
      return `Gear ${change.wheelPerRing} on the wheel`;
    case 'hard-stops':
      return `Hard stops at ${change.letters.join(' and ')}`;
    case 'easing':
      return ofMove(change.pullId, EASING_WORDS[change.easing], plan, units);
    default: {
      const by = `${change.byS.toFixed(1)} s`;
      const words = {
        earlier: `start ${by} sooner`,
        later: `start ${by} later`,
        longer: `start ${by} sooner, land the same`,
        shorter: `start ${by} later, land the same`,
      }[change.kind];
      return ofMove(change.pullId, words, plan, units);
    }
  }
}

/** The label inside a sentence ("Undo: start 0.3 s sooner"). A leading name or stop keeps its capital. */
export function fixStepName(fix: Fix, plan: ShotPlan, units: UnitSystem): string {
  const name = fixName(fix, plan, units);
  if (fix.change.kind === 'shorter-walk' || fix.change.kind === 'stop') return name;
  return name.charAt(0).toLowerCase() + name.slice(1);
}

function leadWords(leadS: number): string {
  if (leadS === 0) return '';
  return `, ${Math.abs(leadS).toFixed(1)} s ${leadS > 0 ? 'ahead' : 'behind'}`;
}

/** Names the pull if the plan has several. */
function ofMove(pullId: string, words: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  if (pull && plan.focusTrack.pulls.length > 1) return `Pull to ${targetName(pull.target, plan, units)}: ${words}`;
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Result of a fix: sharp time and cost. */
export function fixResult({ sharpS, requiredS, outcome, stopsLost, change }: Fix): string {
  const kept = requiredS - sharpS < 1e-6 ? `all ${requiredS.toFixed(1)} s` : `${sharpS.toFixed(1)} of ${requiredS.toFixed(1)} s`;
  const hand = outcome === 'tight' ? ', barely' : outcome === 'too-hard' ? ', on paper' : '';
  const light = stopsLost > 0.1 ? `, ${formatStops(stopsLost)} less light` : '';
  const cost = COST_WORDS[change.kind];
  return `→ ${kept}${hand}${light}${cost ? `, ${cost}` : ''}`;
}

/** Cost of a change, where its label does not say it. */
const COST_WORDS: Readonly<Partial<Record<Fix['change']['kind'], string>>> = {
  'other-order': 'another order of the story',
  reversed: 'played backwards',
  'step-back': 'wider, tape again',
  'shorter-walk': 'another mark',
};
