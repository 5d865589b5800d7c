import {
  type CompleteVerdict,
  formatDistance,
  formatStops,
  formatTime,
  type ShotPlan,
  type SmallestChange,
  type SolverWay,
  type TrackSolution,
  type UnitSystem,
} from '@still-heron/core';
import { counted } from '../figure.js';
import { subjectName } from '../names.js';
import { cuesGivenUpText, sharpFor, stopText } from './fixText.js';

/** Ways to work out the pulls. */
export const SOLVER_WAY_WORDS: Readonly<Record<SolverWay, string>> = {
  'fewest-holds': 'Fewest holds',
  follow: 'Follow',
  fixed: 'Fixed',
  retime: 'Retime my pulls',
};

/** A worked-out track and its verdict. */
interface SolvedTrack {
  readonly solution: Pick<TrackSolution, 'way' | 'holds' | 'timings' | 'cuesGivenUp'>;
  readonly outcome: CompleteVerdict['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** All requirements are met */
  readonly isWhole: boolean;
  /** Peak speed of the wheel or ring */
  readonly fastestDegPerS: number;
}

/** Result of a worked-out track. */
export function solutionText({ solution, isWhole, sharpS, requiredS, fastestDegPerS, outcome }: SolvedTrack): string {
  const kept = sharpFor({ sharpS, requiredS }, isWhole);
  const grade = isWhole && outcome === 'tight' ? ', tight' : '';
  const given = cuesGivenUpText(solution.cuesGivenUp);
  return kept + grade + shapeText(solution, fastestDegPerS) + (given && `, ${given}`);
}

function shapeText({ way, holds, timings }: SolvedTrack['solution'], fastestDegPerS: number): string {
  switch (way) {
    case 'fixed':
      return '';
    case 'fewest-holds':
      return holds === 1 ? ', no pull' : `, ${counted(holds, 'hold')}`;
    case 'follow':
      return fastestDegPerS < 1 ? ', no pull' : `, at most ${fastestDegPerS.toFixed(0)}°/s`;
    case 'retime': {
      const free = timings.map(({ earliestStartS, latestStartS }) => latestStartS - earliestStartS);
      return free.length === 0 ? '' : `, ${Math.min(...free).toFixed(1)} s to spare`;
    }
  }
}

export function impossibleText({ fromS, why }: NonNullable<TrackSolution['impossible']>): string {
  const from = formatTime(fromS);
  return why === 'at-once'
    ? `From ${from} no focus distance keeps everything sharp that must be. Even the best track loses that.`
    : `At ${from} the ring would have to turn faster than the hand can. Even the best track loses a little there.`;
}

/** A change that makes the requirements possible, as a button label. */
export function smallestChangeText(change: SmallestChange, plan: ShotPlan, units: UnitSystem): string {
  switch (change.kind) {
    case 'stop':
      return `${stopText(change, plan)}, ${formatStops(change.stopsLost)} less light`;
    case 'focal-length':
      return `${change.fromMm} → ${change.toMm} mm, with this ring`;
    case 'later':
      return `${subjectName(plan, change.subjectId)} must be sharp ${change.byS.toFixed(2)} s later`;
    case 'until':
      return `${subjectName(plan, change.subjectId)} may go soft ${change.byS.toFixed(2)} s sooner`;
    case 'stand':
      return `${subjectName(plan, change.subjectId)} at ${formatDistance(change.toMm, units)} instead of ${formatDistance(change.fromMm, units)}`;
  }
}
