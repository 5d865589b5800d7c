import { type KeepRate, PLAN_LIMITS, setSchedule, setGoals, type ShotPlan, shotTime } from '@still-heron/core';
import { minutesText, plannedTakesText } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { NumberField } from '../../ui/fields/NumberField';
import { TextField } from '../../ui/fields/TextField';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import styles from './GoalsPanel.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly rate: KeepRate | null;
}

/** Target keep rate, one chance or not, and time of the shot. */
export function GoalsPanel({ plan, rate }: Props) {
  const edit = useEdit();
  const { goals, schedule } = plan;
  const want = (changes: Parameters<typeof setGoals>[1], gesture?: string) =>
    edit('change the goals of the shot', (now) => setGoals(now, changes), gesture);
  const plot = (changes: Parameters<typeof setSchedule>[1], gesture?: string) =>
    edit('change the schedule', (now) => setSchedule(now, changes), gesture);
  const time = rate && shotTime(plan, rate);
  // without a sufficient number of takes there is no starting value
  const needed = rate && shotTime({ ...plan, schedule: { ...schedule, takes: null } }, rate).takes;
  const planned = schedule.takes ?? needed;
  return (
    <div className={styles.timePanel}>
      <Checkbox checked={goals.isOneChance} onChange={({ target }) => want({ isOneChance: target.checked })}>
        One chance only
      </Checkbox>
      <div className={fieldStyles.fieldPair}>
        <NumberField
          label="keep rate, of 100 takes"
          step={1}
          min={100 * PLAN_LIMITS.targetKeepRate.min}
          max={100 * PLAN_LIMITS.targetKeepRate.max}
          value={100 * goals.targetKeepRate}
          hint={goals.isOneChance ? 'of a shot that happens once' : undefined}
          onChange={(share, gesture) => want({ targetKeepRate: share / 100 }, gesture)}
        />
        <ScheduleFields schedule={schedule} plot={plot} />
        {!goals.isOneChance && planned !== null && <PlannedTakes planned={planned} schedule={schedule} plot={plot} />}
      </div>
      {schedule.takes !== null && !goals.isOneChance && (
        <Button look="quiet" onClick={() => plot({ takes: null })}>
          Plan enough takes
        </Button>
      )}
      <TextField
        label="if no take is kept, cut to"
        max={PLAN_LIMITS.cover.max}
        placeholder="another shot, a detail"
        value={schedule.cover}
        onChange={(cover) => plot({ cover })}
      />
      {time && (
        <p>
          <strong>{plannedTakesText(time, plan)}</strong>
          {time.minutes !== null && `, ${minutesText(time.minutes)} with set-up`}.
        </p>
      )}
      {goals.isOneChance && rate && rate.keepRate < goals.targetKeepRate && (
        <p className={textStyles.toneEdge}>
          {schedule.cover === ''
            ? 'It can be lost for good. Consider a narrower stop, careful measuring and a shot to cut to.'
            : `If it is lost, cut to: ${schedule.cover}.`}
        </p>
      )}
    </div>
  );
}

function ScheduleFields({
  schedule,
  plot,
}: {
  readonly schedule: ShotPlan['schedule'];
  readonly plot: (changes: Parameters<typeof setSchedule>[1], gesture?: string) => void;
}) {
  return (
    <>
      <NumberField
        label="day of shooting"
        step={1}
        isWhole
        {...PLAN_LIMITS.day}
        value={schedule.day}
        onChange={(day, gesture) => plot({ day }, gesture)}
      />
      <NumberField
        label="set-up"
        unit="min"
        step={5}
        {...PLAN_LIMITS.setUpMin}
        value={schedule.setUpMin}
        onChange={(setUpMin, gesture) => plot({ setUpMin }, gesture)}
      />
      <NumberField
        label="between takes"
        unit="s"
        step={10}
        {...PLAN_LIMITS.betweenTakesS}
        value={schedule.betweenTakesS}
        onChange={(betweenTakesS, gesture) => plot({ betweenTakesS }, gesture)}
      />
    </>
  );
}

function PlannedTakes({
  planned,
  schedule,
  plot,
}: {
  readonly planned: number;
  readonly schedule: ShotPlan['schedule'];
  readonly plot: (changes: Parameters<typeof setSchedule>[1], gesture?: string) => void;
}) {
  return (
    <NumberField
      label="planned takes"
      step={1}
      isWhole
      {...PLAN_LIMITS.takes}
      value={planned}
      hint={schedule.takes === null ? 'enough for a chance of 90 %' : undefined}
      onChange={(takes, gesture) => plot({ takes }, gesture)}
    />
  );
}
