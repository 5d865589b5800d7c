import { changeMark, formatGap, type Mark, type UnitSystem } from '@still-heron/core';
import { MEASURE_WORDS } from '@still-heron/wording';
import { Button } from 'antd';
import { DistanceField } from '../../ui/fields/DistanceField';
import { useEdit } from '../shot/useEdit';
import { StaleMark } from './StaleMark';
import type { Measuring } from './useMeasuring';

interface Props {
  readonly mark: Mark;
  readonly units: UnitSystem;
  readonly measuring: Measuring;
}

/** Tape distance of a mark: typed, or read from a simulated device with one key. */
export function MarkMeasure({ mark, units, measuring }: Props) {
  const edit = useEdit();
  return (
    <div className="mark-measure">
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
            {mark.isSimulated && <strong className="tone-edge"> · simulated</strong>}
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
      <div className="mark-devices">
        <Button size="small" onClick={() => measuring.measure('tape', mark)}>
          Tape <kbd className="key">T</kbd>
        </Button>
        <Button size="small" onClick={() => measuring.measure('laser', mark)}>
          Laser <kbd className="key">L</kbd>
        </Button>
        <span className="haze">simulated</span>
      </div>
      {mark.method === 'laser' && <p className="haze">Never point a laser at eyes: measure to a card held beside them.</p>}
      {measuring.problem && (
        <p className="field-problem" role="alert">
          {measuring.problem}
        </p>
      )}
    </div>
  );
}
