import {
  ASSUMED_PEAK_DEG_PER_S,
  joinAlternates,
  PLAN_LIMITS,
  reversed,
  setHandLimit,
  setTrackStart,
  type ShotPlan,
  splitAlternates,
  type UnitSystem,
} from '@still-heron/core';
import { useAppDispatch } from '../../shared/store/hooks';
import { NumberField } from '../../ui/fields/NumberField';
import { editPlan } from '../shot/shotSlice';
import { TargetFields } from './TargetFields';
import { Button } from '../../ui/Button';
import fieldStyles from '../../ui/fields/fields.module.css';
import styles from './ShotOptions.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Options of the whole shot: start of the track, speed limit of the hand, reversed, alternates. */
export function ShotOptions({ plan, units }: Props) {
  const dispatch = useAppDispatch();
  const edit = (name: string, change: (now: ShotPlan) => ShotPlan, gesture?: string) => dispatch(editPlan(name, change, gesture));
  const { alternates, isReversed, focusTrack: track } = plan;
  return (
    <section>
      <h2>Hand and shot</h2>
      <div className={fieldStyles.fieldPair}>
        {track.start && (
          <TargetFields
            label="focus starts at"
            target={track.start}
            plan={plan}
            units={units}
            onChange={(start, gesture) => edit('change where focus starts', (now) => setTrackStart(now, start), gesture)}
          />
        )}
        <NumberField
          label="top speed of the hand"
          unit="°/s"
          step={10}
          min={PLAN_LIMITS.maxHandDegPerS.min}
          max={PLAN_LIMITS.maxHandDegPerS.max}
          value={plan.maxHandDegPerS}
          {...(plan.maxHandDegPerS === ASSUMED_PEAK_DEG_PER_S ? { hint: 'assumed' } : {})}
          onChange={(degPerS, gesture) => edit('change the top speed of the hand', (now) => setHandLimit(now, degPerS), gesture)}
        />
      </div>
      <div className={styles.mannerActions}>
        <Button onClick={() => edit(isReversed ? 'plan it forwards' : 'plan it reversed', reversed)}>
          {isReversed ? 'Plan it forwards' : 'Plan it reversed'}
        </Button>
        {alternates === null ? (
          <Button onClick={() => edit('split into alternates A and B', splitAlternates)}>Split into alternates A and B</Button>
        ) : (
          <Button onClick={() => edit(`keep alternate ${alternates.shown} only`, joinAlternates)}>
            Keep alternate {alternates.shown} only
          </Button>
        )}
      </div>
    </section>
  );
}
