import {
  type ErrorSource,
  formatStop,
  formatStops,
  type ImprovementChange,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { capital } from '../capital.js';
import { fixName } from '../fixes/fixText.js';
import { markLetter, pullTargetName, subjectName } from '../names.js';

/** Name of an error source. */
export function errorName(source: ErrorSource, plan: ShotPlan, units: UnitSystem): string {
  switch (source.kind) {
    case 'marks':
      return `${subjectName(plan, source.subjectId)} misses the mark`;
    case 'timing':
      return `${subjectName(plan, source.subjectId)} is early or late`;
    case 'measuring':
      return `error of measuring ${markLetter(plan, source.markId)}`;
    case 'cue':
      return `${pullName(source.pullId, plan, units)} starts early or late`;
    case 'landing':
      return `${pullName(source.pullId, plan, units)} lands beside its mark`;
    case 'following':
      return 'the hand follows with an error';
    case 'camera-drift':
      return 'the camera drifts nearer or farther';
    case 'camera-timing':
      return 'the camera is early or late on its path';
    case 'camera-stop':
      return 'the camera misses its marks';
  }
}

/** Label for removing an error. */
function withoutName(source: ErrorSource, plan: ShotPlan, units: UnitSystem): string {
  switch (source.kind) {
    case 'marks':
      return `${subjectName(plan, source.subjectId)} hits every mark`;
    case 'timing':
      return `${subjectName(plan, source.subjectId)} is always on time`;
    case 'measuring':
      return `${capital(markLetter(plan, source.markId))} is measured exactly`;
    case 'cue':
      return `${capital(pullName(source.pullId, plan, units))} starts exactly on its cue`;
    case 'landing':
      return `${capital(pullName(source.pullId, plan, units))} lands exactly on its mark`;
    case 'following':
      return 'The hand follows exactly';
    case 'camera-drift':
      return 'The camera does not drift: legs, a dolly, or floor marks with a spotter';
    case 'camera-timing':
      return 'The camera is always on time: rehearse its path with the grip';
    case 'camera-stop':
      return 'The camera stops on its mark: floor marks or end stops for it';
  }
}

/** Label of an improvement. */
export function improvementName(change: ImprovementChange, plan: ShotPlan, units: UnitSystem): string {
  switch (change.kind) {
    case 'without':
      return withoutName(change.source, plan, units);
    case 'fix':
      return fixName(change, plan, units);
    case 'stop':
      return `Shoot at ${formatStop(change.stop, plan.optics.lens.stopScale)}`;
    case 'still-camera':
      return 'The camera stays where it starts';
    case 'second-person':
      return 'A second person pulls focus';
  }
}

/** How far a search is: "Looking for fixes: 4 of 9 …". */
export function progressText(what: string, tried: { readonly count: number; readonly total: number } | null): string {
  return tried ? `${what}: ${tried.count} of ${tried.total} …` : `${what} …`;
}

/** Cost of an improvement besides time. An error that can only be reduced shows its upper limit. */
export function improvementCost(change: ImprovementChange): string {
  if (change.kind === 'stop') return `${formatStops(change.stopsLost)} less light`;
  return change.kind === 'without' ? 'upper limit' : '';
}

function pullName(pullId: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  return pull ? `the pull to ${pullTargetName(pull, plan, units)}` : 'the pull';
}
