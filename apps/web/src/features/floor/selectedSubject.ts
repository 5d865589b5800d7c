import type { ShotPlan, Subject } from '@still-heron/core';
import type { Selection } from '../shot/sessionSlice';

/** The selected subject, selected directly or by one of its marks. */
export function selectedSubject({ subjects, marks }: ShotPlan, selection: Selection | null): Subject | undefined {
  const owner = selection?.kind === 'mark' ? marks.find(({ id }) => id === selection.id)?.subjectId : undefined;
  const subjectId = selection?.kind === 'subject' ? selection.id : owner;
  return subjects.find(({ id }) => id === subjectId);
}
