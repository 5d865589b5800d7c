import {
  changeMark,
  distanceSigmaMm,
  drawAtDistance,
  formatGap,
  isReadOff,
  minDrawnMm,
  PLAN_LIMITS,
  type ShotPlan,
} from '@still-heron/core';
import { measuredByText } from '@still-heron/wording';
import { DistanceField } from '../../ui/fields/DistanceField';
import { QuantityField } from '../../ui/fields/QuantityField';
import { readDistance } from '../../ui/fields/readDistance';
import type { MarkProps } from './markProps';
import { useEdit } from '../shot/useEdit';
import { StaleMark } from './StaleMark';
import type { Measuring } from './useMeasuring';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import styles from './MarkMeasure.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

interface Props extends MarkProps {
  readonly measuring: Measuring;
}

/** Tape distance of a mark: typed, or read from a simulated device with one key. */
export function MarkMeasure({ mark, plan, units, measuring }: Props) {
  const edit = useEdit();
  const isDrawn = mark.method === 'drawn';
  return (
    <div data-testid="mark-measure" className={styles.markMeasure}>
      <DistanceField
        label={distanceLabel(mark)}
        size="large"
        distanceMm={mark.distanceMm ?? Infinity}
        units={units}
        testId="mark-distance"
        hint={
          <>
            {isDrawn ? 'from the floor plan' : measuredByText(plan, mark)}, accurate to about{' '}
            {formatGap(distanceSigmaMm(plan, mark), units)}
            {mark.isSimulated && <strong className={textStyles.toneEdge}> · simulated</strong>}
          </>
        }
        {...(isDrawn ? { range: { minMm: minDrawnMm(plan, mark), maxMm: PLAN_LIMITS.placeMm.max, reason: 'heights' } } : {})}
        onChange={(mm, gesture) =>
          isDrawn
            ? edit(`draw ${mark.letter} at another distance`, (now) => drawAtDistance(now, mark.id, mm), gesture)
            : edit(`measure ${mark.letter} again`, (now) => taped(now, mark.id, mm), gesture)
        }
      />
      {isDrawn && (
        <QuantityField<number | null>
          label="tape distance"
          value={null}
          print={() => ''}
          placeholder="not taped yet"
          read={(text) => readDistance(text, units)}
          testId="mark-tape"
          onChange={(mm, gesture) => mm !== null && edit(`measure ${mark.letter}`, (now) => taped(now, mark.id, mm), gesture)}
        />
      )}
      <StaleMark mark={mark} plan={plan} units={units} />
      <div className={styles.markDevices}>
        <Button size="small" onClick={() => measuring.measure('tape', mark)}>
          Tape <Key>T</Key>
        </Button>
        <Button size="small" onClick={() => measuring.measure('laser', mark)}>
          Laser <Key>L</Key>
        </Button>
        <span className={textStyles.muted}>simulated</span>
      </div>
      {mark.method === 'laser' && (
        <p className={textStyles.muted}>Never point a laser at eyes: measure to a card held beside them.</p>
      )}
      {measuring.problem && (
        <p className={fieldStyles.fieldProblem} role="alert">
          {measuring.problem}
        </p>
      )}
    </div>
  );
}

function distanceLabel(mark: MarkProps['mark']): string {
  if (mark.method === 'drawn') return 'drawn distance';
  return isReadOff(mark) ? 'distance by the ring' : 'tape distance';
}

function taped(plan: ShotPlan, markId: string, mm: number): ShotPlan {
  return changeMark(plan, markId, { distanceMm: mm === Infinity ? null : mm });
}
