import { type Mark, rackStartFrom, type ShotPlan } from '@still-heron/core';

/** A pull that could be added: to which mark, and from when. */
export interface NextPull {
  readonly mark: Mark;
  readonly atS: number;
}

/**
 * The pull the page offers: to the mark that is selected, else to the first subject whom the line does not reach yet.
 *
 * @param selectedId - of whatever is selected
 * @returns null when nobody is left out, or without room for it
 */
export function offeredPull(plan: ShotPlan, playheadS: number, selectedId?: string): NextPull | null {
  const { visited, standing, followed, runsCourse } = lineMarks(plan);
  if (runsCourse) return null;
  const reached = new Set([...followed, ...plan.marks.filter(({ id }) => visited.has(id)).map(({ subjectId }) => subjectId)]);
  const selected = plan.marks.find(({ id }) => id === selectedId && id !== standing);
  return startOf(plan, selected ?? plan.marks.find(({ subjectId }) => !reached.has(subjectId)), playheadS);
}

/** The pull the key adds: the offered one, else away from where the line stands. */
export function nextPull(plan: ShotPlan, playheadS: number, selectedId?: string): NextPull | null {
  const { standing } = lineMarks(plan);
  return (
    offeredPull(plan, playheadS, selectedId) ??
    startOf(
      plan,
      plan.marks.find(({ id }) => id !== standing),
      playheadS,
    )
  );
}

/** The marks the line goes to and the one it stands at in the end, whom it goes on with, and whether it runs along a course, which goes wherever it must. */
function lineMarks({ line: { start, moves } }: ShotPlan) {
  const targets = [...(start ? [start] : []), ...moves.map(({ target }) => target)];
  const ids = targets.map((target) => (target.kind === 'mark' ? target.markId : ''));
  return {
    visited: new Set(ids),
    standing: ids[ids.length - 1],
    followed: targets.flatMap((target) => (target.kind === 'subject' ? [target.subjectId] : [])),
    runsCourse: targets.some(({ kind }) => kind === 'course'),
  };
}

function startOf(plan: ShotPlan, mark: Mark | undefined, playheadS: number): NextPull | null {
  const atS = mark ? rackStartFrom(plan, pullTimeS(plan, playheadS)) : null;
  return mark && atS !== null ? { mark, atS } : null;
}

/** Where a new pull begins: at the playhead once it has been moved, else half-way through the free rest of the shot. */
export function pullTimeS(plan: ShotPlan, playheadS: number): number {
  if (playheadS > 0 && playheadS < plan.durationS) return playheadS;
  const last = plan.line.moves[plan.line.moves.length - 1];
  const freeFromS = last ? last.startS + last.durationS : 0;
  return Math.round(((freeFromS + plan.durationS) / 2) * 10) / 10 - (last ? 0 : 0.5);
}
