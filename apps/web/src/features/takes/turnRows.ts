import type { ShotPlan, Take, UnitSystem } from '@still-heron/core';
import { pullTargetText } from '@still-heron/wording';
import type { TurnRow } from './TurnTable';

/** The turns of a take that its track shows, with those of the run before. */
export function turnRows(
  take: Pick<Take, 'hits'>,
  plan: ShotPlan,
  units: UnitSystem,
  before: Pick<Take, 'hits'> | null = null,
): TurnRow[] {
  return take.hits.flatMap(({ pullId, turn }) =>
    turn === null
      ? []
      : {
          id: pullId,
          name: pullTargetText(pullId, plan, units),
          turn,
          before: before?.hits.find((one) => one.pullId === pullId)?.turn ?? null,
        },
  );
}
