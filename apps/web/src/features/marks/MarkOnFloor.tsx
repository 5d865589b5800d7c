import {
  changeMark,
  hasRoomForStop,
  type Mark,
  PLAN_LIMITS,
  markSetS,
  type ShotPlan,
  spotTape,
  TAPE_COLOURS,
  TAPE_SHAPES,
} from '@still-heron/core';
import { floorMarkText, thirdStopText } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { Choice } from '../../ui/fields/Choice';
import { useUnits } from '../../shared/useUnits';
import { TextField } from '../../ui/fields/TextField';
import { useEdit } from '../shot/useEdit';
import { SHAPE_WORDS, tapeCss } from './tapes';
import styles from './MarkOnFloor.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';

/** Details of a mark: point of focus, tape on the floor, what to ask the performer for, hard stop. */
export function MarkOnFloor({ mark, plan }: { readonly mark: Mark; readonly plan: ShotPlan }) {
  const units = useUnits();
  const edit = useEdit();
  const change = (name: string, changes: Parameters<typeof changeMark>[2]) =>
    edit(name, (now) => changeMark(now, mark.id, changes));
  const subject = plan.subjects.find(({ id }) => id === mark.subjectId);
  const tape = mark.place && subject ? spotTape(plan, mark.place, subject.heightMm, markSetS(plan, mark)) : null;
  return (
    <div className={styles.markOnFloor}>
      <TextField
        label="focus on, at this mark"
        max={PLAN_LIMITS.detail.max}
        placeholder={subject?.detail || (subject?.kind === 'object' ? 'the edge towards the lens' : 'near eye')}
        value={mark.detail}
        onChange={(detail) => change('change what to focus on', { detail })}
      />
      <Choice
        label="tape mark"
        value={mark.tapeShape}
        choices={TAPE_SHAPES.map((value) => ({ value, word: SHAPE_WORDS[value] }))}
        onPick={(tapeShape) => change(`change the tape mark of ${mark.letter}`, { tapeShape })}
      />
      {tape && <p className={textStyles.muted}>{floorMarkText(tape, units)}</p>}
      <fieldset className={styles.tapeColours}>
        <legend className={fieldStyles.fieldLabel}>in</legend>
        {TAPE_COLOURS.map((colour) => (
          <button
            key={colour}
            type="button"
            aria-pressed={mark.tapeColour === colour}
            aria-label={`${colour} tape`}
            title={colour}
            onClick={() => change(`${colour} tape`, { tapeColour: mark.tapeColour === colour ? null : colour })}
          >
            <span style={{ background: tapeCss(colour) }} />
          </button>
        ))}
        <span className={textStyles.muted}>{mark.tapeColour ?? 'any colour'}</span>
      </fieldset>
      <TextField
        label="ask for"
        max={PLAN_LIMITS.pose.max}
        placeholder="stand here, chin up, look at the furnace"
        value={mark.pose}
        onChange={(pose) => change('change what to ask for', { pose })}
      />
      <HardStopBox
        mark={mark}
        plan={plan}
        onChange={(hasHardStop) => change(`${hasHardStop ? 'add' : 'remove'} the hard stop at ${mark.letter}`, { hasHardStop })}
      />
    </div>
  );
}

interface HardStopBoxProps {
  readonly mark: Mark;
  readonly plan: ShotPlan;
  readonly onChange: (hasHardStop: boolean) => void;
}

/** The hard stop at a mark; a third one can't be set, and the reason stands beside the box. */
function HardStopBox({ mark, plan, onChange }: HardStopBoxProps) {
  const isFull = !mark.hasHardStop && !hasRoomForStop(plan, mark.id);
  const reasonId = `stop-reason-${mark.id}`;
  return (
    <div>
      <Checkbox
        checked={mark.hasHardStop}
        disabled={isFull}
        aria-describedby={isFull ? reasonId : undefined}
        onChange={({ target }) => onChange(target.checked)}
      >
        hard stop on the wheel here
      </Checkbox>
      {isFull && (
        <p id={reasonId} className={textStyles.muted}>
          {thirdStopText(plan)}
        </p>
      )}
    </div>
  );
}
