import {
  type ErrorSource,
  formatStop,
  formatStops,
  type ImprovementChange,
  type ShotPlan,
  targetName,
  type UnitSystem,
} from '@still-heron/core';
import { fixName } from '../pull/fixWords';

/** Name of an error source. */
export function errorName(source: ErrorSource, plan: ShotPlan, units: UnitSystem): string {
  switch (source.kind) {
    case 'marks':
      return `${nameOf(source.subjectId, plan)} misses marks`;
    case 'timing':
      return `${nameOf(source.subjectId, plan)} is early or late`;
    case 'measuring': {
      const mark = plan.marks.find(({ id }) => id === source.markId);
      return `${mark?.letter ?? 'a mark'} was measured`;
    }
    case 'cue':
      return `${pullName(source.pullId, plan, units)} is set off`;
    case 'landing':
      return `${pullName(source.pullId, plan, units)} lands`;
    case 'following':
      return 'the hand goes with someone';
  }
}

/** Label for removing an error. */
function withoutName(source: ErrorSource, plan: ShotPlan, units: UnitSystem): string {
  switch (source.kind) {
    case 'marks':
      return `${nameOf(source.subjectId, plan)} hits every mark`;
    case 'timing':
      return `${nameOf(source.subjectId, plan)} is always on time`;
    case 'measuring':
      return `${plan.marks.find(({ id }) => id === source.markId)?.letter ?? 'The mark'} is measured exactly`;
    case 'cue':
      return `${capital(pullName(source.pullId, plan, units))} is set off on time`;
    case 'landing':
      return `${capital(pullName(source.pullId, plan, units))} lands exactly`;
    case 'following':
      return 'The hand follows exactly';
  }
}

/** Label of an improvement. */
export function improvementName(change: ImprovementChange, plan: ShotPlan, units: UnitSystem): string {
  switch (change.kind) {
    case 'without':
      return withoutName(change.source, plan, units);
    case 'mend':
      return fixName(change, plan, units);
    case 'stop':
      return `Shoot at ${formatStop(change.stop, plan.optics.lens.stopScale)}`;
    case 'still-camera':
      return 'The camera stays where it starts';
  }
}

/** Cost of an improvement besides time. */
export function improvementCost(change: ImprovementChange): string {
  if (change.kind === 'stop') return `${formatStops(change.stopsLost)} less light`;
  return change.kind === 'without' ? 'at best' : '';
}

function nameOf(subjectId: string, plan: ShotPlan): string {
  return plan.subjects.find(({ id }) => id === subjectId)?.name ?? 'someone';
}

function pullName(pullId: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  return pull ? `the pull to ${targetName(pull.target, plan, units)}` : 'the pull';
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
