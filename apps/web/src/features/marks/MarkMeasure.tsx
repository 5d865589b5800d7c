import { changeMark, formatGap, type Mark, type UnitSystem } from '@still-heron/core';
import { MEASURE_WORDS } from '@still-heron/wording';
import { DistanceField } from '../../ui/fields/DistanceField';
import { useEdit } from '../shot/useEdit';
import { StaleMark } from './StaleMark';
import type { Measuring } from './useMeasuring';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import styles from './MarkMeasure.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

interface Props {
  readonly mark: Mark;
  readonly units: UnitSystem;
  readonly measuring: Measuring;
}

/** Tape distance of a mark: typed, or read from a simulated device with one key. */
export function MarkMeasure({ mark, units, measuring }: Props) {
  const edit = useEdit();
  return (
    <div data-testid="mark-measure" className={styles.markMeasure}>
      <DistanceField
        label={mark.method === 'drawn' ? 'drawn distance' : 'tape distance'}
        size="large"
        distanceMm={mark.distanceMm ?? Infinity}
        units={units}
        testId="mark-distance"
        hint={
          <>
            {mark.method === 'drawn' ? 'from the floor plan' : `by ${MEASURE_WORDS[mark.method]}`}, accurate to about{' '}
            {formatGap(mark.uncertaintyMm, units)}
            {mark.isSimulated && <strong className={textStyles.toneEdge}> · simulated</strong>}
          </>
        }
        onChange={(mm, gesture) =>
          edit(
            `measure ${mark.letter} again`,
            (now) => changeMark(now, mark.id, { distanceMm: mm === Infinity ? null : mm }),
            gesture,
          )
        }
      />
      <StaleMark mark={mark} />
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
