import { changeSubject, PLAN_LIMITS, type Subject } from '@still-heron/core';
import { useAppDispatch } from '../../shared/store/hooks';
import { TextField } from '../../ui/fields/TextField';
import { editPlan } from '../shot/shotSlice';

/** Name of a subject. */
export function SubjectName({ subject: { id, name } }: { readonly subject: Subject }) {
  const dispatch = useAppDispatch();
  return (
    <TextField
      label="name"
      isOptional={false}
      max={PLAN_LIMITS.name.max}
      value={name}
      onChange={(typed) => dispatch(editPlan('rename', (now) => changeSubject(now, id, { name: typed })))}
    />
  );
}
