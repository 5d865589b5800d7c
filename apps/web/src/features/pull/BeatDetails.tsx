import {
  type Beat,
  changeBeat,
  type JudgedPull,
  PLAN_LIMITS,
  removeBeat,
  SHORTEST_BEAT_S,
  type ShotPlan,
} from '@still-heron/core';
import { Button, Select } from 'antd';
import { useAppDispatch } from '../../app/store';
import { NumberField } from '../../fields/NumberField';
import { TextField } from '../../fields/TextField';
import { TimeField } from '../../fields/TimeField';
import { itemSelected } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';

interface Props {
  readonly beat: Beat;
  readonly plan: ShotPlan;
  readonly verdict: JudgedPull | null;
}

/** A beat: who must be sharp from when to when, how much of it, and why. */
export function BeatDetails({ beat, plan, verdict }: Props) {
  const dispatch = useAppDispatch();
  const name = plan.subjects.find(({ id }) => id === beat.subjectId)?.name ?? 'someone';
  const change = (changes: Parameters<typeof changeBeat>[2], gesture?: string) =>
    dispatch(editPlan(`when ${name} must be sharp`, (now) => changeBeat(now, beat.id, changes), gesture));
  const judged = verdict?.beats.find(({ beatId }) => beatId === beat.id);
  return (
    <section aria-label={`${name} must be sharp`}>
      <h2>Must be sharp</h2>
      <Select
        aria-label="Who must be sharp"
        className="wide-select"
        value={beat.subjectId}
        options={plan.subjects.map(({ id, name: label }) => ({ value: id, label }))}
        onChange={(subjectId) => change({ subjectId })}
      />
      <div className="field-pair">
        <TimeField
          label="from"
          decimals={2}
          timeS={beat.fromS}
          captureFps={plan.captureFps}
          minS={0}
          maxS={beat.toS - SHORTEST_BEAT_S}
          why="it would start after its end"
          onChange={(fromS, gesture) => change({ fromS }, gesture)}
        />
        <TimeField
          label="until"
          decimals={2}
          timeS={beat.toS}
          captureFps={plan.captureFps}
          minS={beat.fromS + SHORTEST_BEAT_S}
          maxS={plan.durationS}
          why="it lies within the shot, after its start"
          onChange={(toS, gesture) => change({ toS }, gesture)}
        />
        <NumberField
          label="at least"
          unit="%"
          step={5}
          isWhole
          min={1}
          max={100}
          value={Math.round(beat.requiredShare * 100)}
          onChange={(share, gesture) => change({ requiredShare: share / 100 }, gesture)}
        />
        {judged && (
          <div className="field">
            <span className="field-label">is sharp</span>
            <span className={`figure beat-share ${judged.kept ? 'tone-sharp' : 'tone-soft'}`}>
              {Math.floor(judged.share * 100)} % {judged.kept ? 'kept' : 'not kept'}
            </span>
          </div>
        )}
      </div>
      <TextField
        label="why"
        value={beat.why}
        max={PLAN_LIMITS.note.max}
        placeholder="a reaction, a reveal"
        className="cue-field"
        onChange={(why) => change({ why })}
      />
      <Button
        onClick={() => {
          dispatch(editPlan('remove a beat', (now) => removeBeat(now, beat.id)));
          dispatch(itemSelected(null));
        }}
      >
        Need not be sharp here
      </Button>
    </section>
  );
}
