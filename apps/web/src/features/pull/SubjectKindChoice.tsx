import { setSubjectKind, type Subject } from '@still-heron/core';
import { SUBJECT_KIND_WORDS } from '@still-heron/wording';
import { Choice } from '../../ui/fields/Choice';
import { useEdit } from '../shot/useEdit';

/** Whether a subject is a person or an object. Something that moves in the plan is moved by a person. */
export function SubjectKindChoice({ subject }: { readonly subject: Subject }) {
  const edit = useEdit();
  const moves = subject.stays.length > 1;
  return (
    <Choice
      label="kind"
      value={subject.kind}
      choices={(['person', 'object'] as const)
        .filter((kind) => kind === 'person' || !moves)
        .map((kind) => ({ value: kind, word: SUBJECT_KIND_WORDS[kind] }))}
      hint={moves ? 'It moves in this shot, so that it can be early or late.' : undefined}
      onPick={(kind) => edit(`${subject.name}: ${SUBJECT_KIND_WORDS[kind]}`, (now) => setSubjectKind(now, subject.id, kind))}
    />
  );
}
