import {
  formatDistance,
  formatStop,
  formatStops,
  formatTime,
  type TrackSolution,
  type SmallestChange,
  type SolverWay,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import type { TrackOffer } from '../../shared/workers/protocol';

export const SOLVER_WAY_WORDS: Readonly<Record<SolverWay, string>> = {
  'fewest-holds': 'Fewest settings',
  follow: 'As still as it goes',
  fixed: 'One setting',
  retime: 'These pulls, well timed',
};

/** Result of a worked-out track. */
export function trackOfferWords({ laid, isWhole, sharpS, requiredS, fastestDegPerS, outcome }: TrackOffer): string {
  const kept = isWhole ? `sharp for all ${requiredS.toFixed(1)} s` : `sharp ${sharpS.toFixed(1)} of ${requiredS.toFixed(1)} s`;
  const hand = isWhole && outcome === 'tight' ? ', barely' : '';
  return kept + hand + shapeWords(laid, fastestDegPerS);
}

function shapeWords({ way, holds, timings }: TrackSolution, fastestDegPerS: number): string {
  if (way === 'fixed') return '';
  if (way === 'fewest-holds') return holds === 1 ? ', never changed' : `, ${holds} in all`;
  if (way === 'follow') return fastestDegPerS < 1 ? ', never changed' : `, at most ${fastestDegPerS.toFixed(0)}°/s`;
  const free = timings.map(({ earliestStartS, latestStartS }) => latestStartS - earliestStartS);
  return free.length === 0 ? '' : `, ${Math.min(...free).toFixed(1)} s to spare`;
}

export function impossibleWords({ fromS, why }: NonNullable<TrackSolution['impossible']>): string {
  const from = formatTime(fromS);
  return why === 'at-once'
    ? `From ${from} no setting of the ring keeps all that is asked at once: at best a line loses that.`
    : `At ${from} the ring would have to turn faster than the hand’s limit: at best a line loses a little there.`;
}

/** A change that makes the requirements possible, as a button label. */
export function changeWords(change: SmallestChange, plan: ShotPlan, units: UnitSystem): string {
  const nameOf = (subjectId: string) => plan.subjects.find(({ id }) => id === subjectId)?.name ?? 'someone';
  switch (change.kind) {
    case 'stop': {
      const { stopScale } = plan.optics.lens;
      return `${formatStop(change.from, stopScale)} → ${formatStop(change.to, stopScale)}, ${formatStops(change.stopsLost)} less light`;
    }
    case 'focal-length':
      return `${change.fromMm} → ${change.toMm} mm, with this ring`;
    case 'later':
      return `${nameOf(change.subjectId)} asked for ${change.byS.toFixed(2)} s later`;
    case 'until':
      return `${nameOf(change.subjectId)} asked for ${change.byS.toFixed(2)} s less long`;
    case 'stand':
      return `${nameOf(change.subjectId)} at ${formatDistance(change.toMm, units)} instead of ${formatDistance(change.fromMm, units)}`;
  }
}
