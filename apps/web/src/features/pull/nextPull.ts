import { type Mark, pullStartFrom, type ShotPlan } from '@still-heron/core';

/** A suggested pull: its mark and start time. */
export interface NextPull {
  readonly mark: Mark;
  readonly atS: number;
}

/**
 * Pull that the page suggests: to the selected mark, or to the first subject that the track does not reach yet.
 *
 * @param selectedId - id of the selected item
 * @returns null if every subject is reached, or if there is no room
 */
export function offeredPull(plan: ShotPlan, playheadS: number, selectedId?: string): NextPull | null {
  const { visited, standing, followed, runsCourse } = lineMarks(plan);
  if (runsCourse) return null;
  const reached = new Set([...followed, ...plan.marks.filter(({ id }) => visited.has(id)).map(({ subjectId }) => subjectId)]);
  const selected = plan.marks.find(({ id }) => id === selectedId && id !== standing);
  return startOf(plan, selected ?? plan.marks.find(({ subjectId }) => !reached.has(subjectId)), playheadS);
}

/** Pull that the key adds: the suggested one, or one away from the current target. */
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

/** Marks on the track, final target, tracked subject, and whether there is a course, which can go anywhere. */
function lineMarks({ focusTrack: { start, pulls } }: ShotPlan) {
  const targets = [...(start ? [start] : []), ...pulls.map(({ target }) => target)];
  const ids = targets.map((target) => (target.kind === 'mark' ? target.markId : ''));
  return {
    visited: new Set(ids),
    standing: ids[ids.length - 1],
    followed: targets.flatMap((target) => (target.kind === 'subject' ? [target.subjectId] : [])),
    runsCourse: targets.some(({ kind }) => kind === 'course'),
  };
}

function startOf(plan: ShotPlan, mark: Mark | undefined, playheadS: number): NextPull | null {
  const atS = mark ? pullStartFrom(plan, pullTimeS(plan, playheadS)) : null;
  return mark && atS !== null ? { mark, atS } : null;
}

/** Start time of a new pull: the playhead if it was moved, else the middle of the free time after the last pull. */
export function pullTimeS(plan: ShotPlan, playheadS: number): number {
  if (playheadS > 0 && playheadS < plan.durationS) return playheadS;
  const last = plan.focusTrack.pulls[plan.focusTrack.pulls.length - 1];
  const freeFromS = last ? last.startS + last.durationS : 0;
  return Math.round(((freeFromS + plan.durationS) / 2) * 10) / 10 - (last ? 0 : 0.5);
}
