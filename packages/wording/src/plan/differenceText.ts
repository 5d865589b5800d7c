import {
  type Beat,
  formatDistance,
  formatStop,
  formatTime,
  HEADINGS,
  markDistances,
  type PlanDifference,
  planDifferences,
  type PlanPart,
  type Pull,
  pullEndS,
  type ShotChange,
  shotChanges,
  type ShotPlan,
  type TitledPlan,
  type UnitSystem,
  wheelJob,
  wheelOf,
} from '@still-heron/core';
import { listed } from '../figure.js';
import { frameText } from '../setup/recordingText.js';
import { methodsText } from './methodPartText.js';
import { METHOD_WORDS } from './methodText.js';
import { beatText, REQUIREMENT_WORDS } from './beatText.js';
import { subjectName, targetName } from '../names.js';

/** Two versions of a plan, and the units in which their values are printed. */
interface Versions {
  readonly before: ShotPlan;
  readonly after: ShotPlan;
  readonly units: UnitSystem;
}

/**
 * Differences between two versions of a plan, one line each, with old and new value.
 *
 * @example ["the stop: T2.2 → T4.5", "the pull to D starts at: 4.90 s → 4.50 s"]
 */
export function differenceLines(before: ShotPlan, after: ShotPlan, units: UnitSystem): string[] {
  const versions = { before, after, units };
  return planDifferences(before, after).flatMap((difference) => differenceLine(difference, versions));
}

/** Empty if the difference is too small to be printed. */
function differenceLine(difference: PlanDifference, versions: Versions): string[] {
  switch (difference.kind) {
    case 'part':
      return partLine(difference.part, versions);
    case 'subject':
      return [subjectLine(difference, versions)];
    case 'mark':
      return markLine(difference, versions);
    case 'beat':
      return [beatLine(difference, versions)];
    case 'track-start':
      return changed('the focus track starts at', startName(versions.before, versions), startName(versions.after, versions));
    case 'pull':
      return pullLine(difference, versions);
  }
}

/** How the value of a part is printed; parts without a printer are only named. */
const PART_VALUES: Readonly<Partial<Record<PlanPart, (plan: ShotPlan) => string>>> = {
  length: ({ durationS }) => formatTime(durationS),
  'capture-fps': ({ captureFps }) => `${captureFps} frames a second`,
  'delivery-fps': ({ deliveryFps }) => `${deliveryFps} frames a second`,
  method: ({ method }) => METHOD_WORDS[method].short,
  'later-methods': methodsText,
  camera: ({ optics: { camera } }) => (camera.mode === '' ? camera.name : `${camera.name}, ${camera.mode}`),
  lens: ({ optics }) => optics.lens.name,
  'focal-length': ({ optics }) => `${optics.focalLengthMm} mm`,
  stop: ({ optics }) => formatStop(optics.stop, optics.lens.stopScale),
  wheel: (plan) => wheelOf(plan)?.name ?? 'none',
  rig: ({ rig }) => rig?.name ?? 'none',
  'hand-speed': ({ maxHandDegPerS }) => `${maxHandDegPerS}°/s`,
  reversed: ({ isReversed }) => (isReversed ? 'reversed' : 'forwards'),
  'hands-needed': ({ areHandsNeeded }) => (areHandsNeeded ? 'yes' : 'no'),
  enlarged: ({ optics }) => `${optics.enlargedPercent} %`,
  frame: ({ optics }) => frameText(optics.frameAspect),
  'wheel-turns': wheelJob,
};

const PART_NAMES: Readonly<Record<PlanPart, string>> = {
  length: 'the length',
  'capture-fps': 'the frame rate',
  'delivery-fps': 'the playback frame rate',
  method: 'the method',
  'later-methods': 'the methods of the parts',
  camera: 'the camera',
  'camera-figures': 'the figures of the camera',
  lens: 'the lens',
  'lens-figures': 'the figures of the lens',
  'focal-length': 'the focal length',
  stop: 'the stop',
  zooms: 'the zooms',
  'iris-pulls': 'the iris pulls',
  sharpness: 'the limit of sharpness',
  enlarged: 'the enlargement in the edit',
  frame: 'the delivered frame',
  exposure: 'the exposure',
  wheel: 'the wheel',
  'wheel-turns': 'what the wheel turns',
  'wheel-figures': 'the figures of the wheel',
  rig: 'the rig',
  'rig-figures': 'the figures of the rig',
  kit: 'the links to the kit',
  floor: 'the floor plan',
  'hand-speed': 'the highest speed of the hand',
  hand: 'the figures of the hand',
  watching: 'what is watched during a take',
  'camera-errors': 'the errors of the camera',
  reversed: 'the direction of the shot',
  'hands-needed': 'hands needed for something else',
  alternates: 'alternates A and B',
  rehearsals: 'the rehearsals',
  goals: 'the goals of the shot',
  schedule: 'the schedule',
  notes: 'the notes',
};

function partLine(part: PlanPart, { before, after }: Versions): string[] {
  const print = PART_VALUES[part];
  return print ? changed(PART_NAMES[part], print(before), print(after)) : [PART_NAMES[part]];
}

type Of<K extends PlanDifference['kind']> = Extract<PlanDifference, { kind: K }>;

function subjectLine({ subjectId, change }: Of<'subject'>, { before, after }: Versions): string {
  const find = (plan: ShotPlan) => plan.subjects.find(({ id }) => id === subjectId)!;
  switch (change) {
    case 'added':
      return `added: ${find(after).name}`;
    case 'removed':
      return `removed: ${find(before).name}`;
    case 'name':
      return `the name: ${find(before).name} → ${find(after).name}`;
    case 'detail':
      return `focus on ${find(after).name}: ${find(before).detail || 'no detail'} → ${find(after).detail || 'no detail'}`;
    case 'stays':
      return `the positions of ${find(after).name}`;
    case 'other':
      return `the timing and accuracy of ${find(after).name}`;
  }
}

function markLine({ markId, change }: Of<'mark'>, { before, after, units }: Versions): string[] {
  const letter = (plan: ShotPlan) => plan.marks.find(({ id }) => id === markId)!.letter;
  const distance = (plan: ShotPlan) => formatDistance(markDistances(plan.marks).get(markId)!, units);
  switch (change) {
    case 'added':
      return [`added: mark ${letter(after)} at ${distance(after)}`];
    case 'removed':
      return [`removed: mark ${letter(before)}`];
    case 'letter':
      return [`the letter: ${letter(before)} → ${letter(after)}`];
    case 'distance':
      return changed(`mark ${letter(after)}`, distance(before), distance(after));
    case 'other':
      return [`the details of mark ${letter(after)}`];
  }
}

function beatLine({ beatId, change }: Of<'beat'>, { before, after }: Versions): string {
  const find = (plan: ShotPlan): Beat => plan.beats.find(({ id }) => id === beatId)!;
  switch (change) {
    case 'added':
      return `added: ${beatText(after, find(after))}`;
    case 'removed':
      return `removed: ${beatText(before, find(before))}`;
    case 'span':
      return `${beatText(before, find(before))} → ${beatText(after, find(after))}`;
    case 'other': {
      const { subjectId, requirement, fromS } = find(after);
      return `the details of “${subjectName(after, subjectId)} ${REQUIREMENT_WORDS[requirement].phrase} from ${seconds(fromS)}”`;
    }
  }
}

function pullLine({ pullId, change }: Of<'pull'>, versions: Versions): string[] {
  const { before, after, units } = versions;
  const find = (plan: ShotPlan): Pull => plan.focusTrack.pulls.find(({ id }) => id === pullId)!;
  const to = (plan: ShotPlan) => targetName(find(plan).target, plan, units);
  const values = (print: (pull: Pull) => string): [string, string] => [print(find(before)), print(find(after))];
  switch (change) {
    case 'added':
      return [`added: pull to ${to(after)} at ${seconds(find(after).startS)}`];
    case 'removed':
      return [`removed: pull to ${to(before)} at ${seconds(find(before).startS)}`];
    case 'target':
      // another lead or another course has the same name
      return to(before) === to(after)
        ? [`how the pull to ${to(before)} continues`]
        : [`the pull to ${to(before)} goes to: ${to(before)} → ${to(after)}`];
    case 'start':
      return changed(`the pull to ${to(before)} starts at`, ...values(({ startS }) => seconds(startS)));
    case 'landing':
      return changed(`the pull to ${to(before)} lands at`, ...values((pull) => seconds(pullEndS(pull))));
    case 'easing':
      return changed(`the motion of the pull to ${to(before)}`, ...values(({ easing }) => easing));
    case 'trigger':
      return [`the cue of the pull to ${to(before)}`];
    case 'other':
      return [`the details of the pull to ${to(before)}`];
  }
}

function startName(plan: ShotPlan, { units }: Versions): string {
  const { start } = plan.focusTrack;
  return start ? targetName(start, plan, units) : 'nowhere';
}

function changed(what: string, was: string, is: string): string[] {
  return was === is ? [] : [`${what}: ${was} → ${is}`];
}

function seconds(timeS: number): string {
  return `${timeS.toFixed(2)} s`;
}

const HEADING_NAMES: Readonly<Record<(typeof HEADINGS)[number], string>> = {
  scene: 'the scene',
  slate: 'the slate',
  title: 'the title',
};

/** Words of the areas of a plan, for a summary. */
const AREAS: Readonly<Record<Exclude<PlanDifference['kind'], 'part'>, string>> = {
  subject: 'the subjects',
  mark: 'the marks',
  beat: 'who must be sharp, and when',
  'track-start': 'the focus track',
  pull: 'the focus track',
};

/** Areas of a shot in words, each once: "the title, the stop and the focus track"; "nothing" without any. */
export function changesText(changes: readonly ShotChange[]): string {
  const areas = new Set(changes.map((change) => ({ ...PART_NAMES, ...AREAS, ...HEADING_NAMES })[change]));
  return areas.size === 0 ? 'nothing' : listed([...areas]);
}

/** Differences between two versions of a shot, one line each, with old and new value. */
export function shotDifferenceLines(before: TitledPlan, after: TitledPlan, units: UnitSystem): string[] {
  const headings = HEADINGS.flatMap((part) => changed(HEADING_NAMES[part], before[part] || 'none', after[part] || 'none'));
  return [...headings, ...differenceLines(before.plan, after.plan, units)];
}

/** Areas in which two versions of a shot differ: "the title, the stop and the focus track"; "nothing" for equal ones. */
export function differenceSummary(a: TitledPlan, b: TitledPlan): string {
  return changesText(shotChanges(a, b));
}
