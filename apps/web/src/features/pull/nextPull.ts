import { type Mark, rackStartFrom, type ShotPlan } from '@still-heron/core';

/**
 * The pull that would come next: to the mark that is selected, else to the first mark the line does not go to yet, else away from where it stands; at the playhead, or half-way through
 * what is left of the shot when the playhead stands at its start.
 *
 * @returns null with fewer than two marks, or without room for it
 */
export function nextPull(plan: ShotPlan, playheadS: number, selectedId?: string): { mark: Mark; atS: number } | null {
  const targets = [plan.line.start, ...plan.line.moves.map(({ target }) => target)];
  const visited = new Set(targets.map((target) => (target?.kind === 'mark' ? target.markId : null)));
  const last = targets[targets.length - 1];
  const standing = last?.kind === 'mark' ? last.markId : null;
  const mark =
    plan.marks.find(({ id }) => id === selectedId) ??
    plan.marks.find(({ id }) => !visited.has(id)) ??
    plan.marks.find(({ id }) => id !== standing);
  if (!mark || plan.marks.length < 2) return null;
  const atS = rackStartFrom(plan, pullTimeS(plan, playheadS));
  return atS === null ? null : { mark, atS };
}

/** Where a new pull begins: at the playhead once it has been moved, else half-way through the free rest of the shot. */
export function pullTimeS(plan: ShotPlan, playheadS: number): number {
  if (playheadS > 0 && playheadS < plan.durationS) return playheadS;
  const last = plan.line.moves[plan.line.moves.length - 1];
  const freeFromS = last ? last.startS + last.durationS : 0;
  return Math.round(((freeFromS + plan.durationS) / 2) * 10) / 10 - (last ? 0 : 0.5);
}
