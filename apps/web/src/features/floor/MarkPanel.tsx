import {
  type Mark,
  placeMark,
  PLAN_LIMITS,
  setSubjectHeight,
  changeSubject,
  type ShotPlan,
  type Subject,
} from '@still-heron/core';
import { GapField } from '../../ui/fields/GapField';
import { NumberField } from '../../ui/fields/NumberField';
import { MarkAllowance } from '../marks/MarkAllowance';
import { MarkDisagreement } from '../marks/MarkDisagreement';
import { MarkMeasure } from '../marks/MarkMeasure';
import { MarkOnFloor } from '../marks/MarkOnFloor';
import { MarkRing } from '../marks/MarkRing';
import { MarkRoom } from '../marks/MarkRoom';
import { FocusReferences } from '../marks/FocusReferences';
import type { Measuring } from '../marks/useMeasuring';
import { MarkDetails } from '../pull/MarkDetails';
import { SubjectKindChoice } from '../pull/SubjectKindChoice';
import { SubjectName } from '../pull/SubjectName';
import { useEdit } from '../shot/useEdit';
import { FloorLength } from './FloorLength';
import type { FloorSideProps } from './floorProps';
import { PlaceFields } from './PlaceFields';
import { StayTimes } from './StayTimes';
import fieldStyles from '../../ui/fields/fields.module.css';
import { RememberedFold } from '../../ui/RememberedFold';

interface Props extends FloorSideProps {
  readonly mark: Mark;
  readonly measuring: Measuring;
}

/** Panel of a mark: measurement, room around it, and focus references. */
export function MarkPanel({ mark, plan, units, measuring }: Props) {
  const edit = useEdit();
  const subject = plan.subjects.find(({ id }) => id === mark.subjectId);
  return (
    <>
      <section aria-label={`Mark ${mark.letter}`}>
        <h2>
          Mark {mark.letter}, {subject?.name ?? 'no subject'}
        </h2>
        {subject && <SubjectSize subject={subject} units={units} onEdit={edit} />}
        <StayTimes mark={mark} plan={plan} />
        <MarkMeasure mark={mark} plan={plan} units={units} measuring={measuring} />
        <MarkRing mark={mark} plan={plan} units={units} />
        <MarkDisagreement mark={mark} plan={plan} units={units} />
      </section>
      <section>
        <h2>Room at this mark</h2>
        <MarkRoom mark={mark} plan={plan} units={units} />
        <MarkAllowance mark={mark} plan={plan} units={units} />
      </section>
      <section>
        <h2>Objects to focus on instead</h2>
        <FocusReferences mark={mark} plan={plan} units={units} />
      </section>
      <section>
        <RememberedFold title="Tape mark, and what to ask the performer for">
          {mark.place && (
            <div className={fieldStyles.fieldPair}>
              <PlaceFields
                place={mark.place}
                units={units}
                onChange={(place, gesture) =>
                  edit(`move mark ${mark.letter}`, (now) => placeMark(now, mark.id, { ...mark.place!, ...place }), gesture)
                }
              />
            </div>
          )}
          <MarkOnFloor mark={mark} plan={plan} />
        </RememberedFold>
        <RememberedFold title="How it was measured">
          <MarkDetails mark={mark} plan={plan} units={units} />
        </RememberedFold>
        {subject && <SubjectBody subject={subject} units={units} onEdit={edit} />}
        {subject?.kind === 'person' && <PerformerAccuracy subject={subject} units={units} onEdit={edit} />}
      </section>
    </>
  );
}

/** Who stands here, and how high the point of focus is. */
function SubjectSize({ subject, units, onEdit }: PerformerAccuracyProps) {
  return (
    <div className={fieldStyles.fieldPair}>
      <SubjectName subject={subject} />
      <SubjectKindChoice subject={subject} />
      <FloorLength
        label={`height of ${subject.detail || 'the subject'}`}
        mm={subject.heightMm}
        units={units}
        onChange={(mm, gesture) => onEdit('height', (now) => setSubjectHeight(now, subject.id, mm), gesture)}
      />
    </div>
  );
}

/** How tall and wide a subject is: it hides others by that. */
function SubjectBody({ subject, units, onEdit }: PerformerAccuracyProps) {
  return (
    <RememberedFold title="How tall and wide: it hides others by that">
      <div className={fieldStyles.fieldPair}>
        <FloorLength
          label="whole height"
          mm={subject.tallMm}
          units={units}
          onChange={(tallMm, gesture) => onEdit('height', (now) => changeSubject(now, subject.id, { tallMm }), gesture)}
        />
        <FloorLength
          label="width"
          mm={subject.widthMm}
          units={units}
          limit={PLAN_LIMITS.sizeMm}
          onChange={(widthMm, gesture) => onEdit('width', (now) => changeSubject(now, subject.id, { widthMm }), gesture)}
        />
      </div>
    </RememberedFold>
  );
}

interface PerformerAccuracyProps extends Pick<Props, 'units'> {
  readonly subject: Subject;
  readonly onEdit: (name: string, edit: (plan: ShotPlan) => ShotPlan, gesture?: string) => void;
}

function PerformerAccuracy({ subject, units, onEdit }: PerformerAccuracyProps) {
  return (
    <RememberedFold title="Accuracy of the performer">
      <div className={fieldStyles.fieldPair}>
        <GapField
          label="misses marks by ±"
          mm={subject.markSigmaMm}
          limit={PLAN_LIMITS.markSigmaMm}
          units={units}
          onChange={(markSigmaMm, gesture) =>
            onEdit('change how marks are missed', (now) => changeSubject(now, subject.id, { markSigmaMm }), gesture)
          }
        />
        <NumberField
          label="timing error ±"
          unit="s"
          decimals={2}
          step={0.05}
          {...PLAN_LIMITS.sigmaS}
          value={subject.timingSigmaS}
          onChange={(timingSigmaS, gesture) =>
            onEdit('change the timing error', (now) => changeSubject(now, subject.id, { timingSigmaS }), gesture)
          }
        />
      </div>
    </RememberedFold>
  );
}
