import type { ShotPlan, Subject } from '@still-heron/core';
import type { Selection } from '../shot/sessionSlice';

/** Who is selected: themselves, or by a mark of theirs. */
export function selectedSubject({ subjects, marks }: ShotPlan, selection: Selection | null): Subject | undefined {
  const owner = selection?.kind === 'mark' ? marks.find(({ id }) => id === selection.id)?.subjectId : undefined;
  const subjectId = selection?.kind === 'subject' ? selection.id : owner;
  return subjects.find(({ id }) => id === subjectId);
}
