import {
  addLightReading,
  changeLightReading,
  followLight,
  formatStop,
  type LightReading,
  parseStop,
  PLAN_LIMITS,
  removeLightReading,
  setExposure,
  type ShotPlan,
  tStopOf,
  lightSpans,
  meteredStopAt,
} from '@still-heron/core';
import { irisFollowText, lightAlongSentence, lightReadingText, problemText } from '@still-heron/wording';
import { Select } from '../../ui/antd/Select';
import { useAppDispatch, useAppStore } from '../../shared/store/hooks';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/fields/NumberField';
import { QuantityField } from '../../ui/fields/QuantityField';
import { TimeField } from '../../ui/fields/TimeField';
import { Sentence } from '../../ui/Sentence';
import { playheadMoved, selectSession } from '../shot/sessionSlice';
import { useEdit } from '../shot/useEdit';
import { ExposureChart } from './ExposureChart';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './LightAlong.module.css';

/** Meter readings along the way, how far the exposure leaves its tolerance, and an iris that follows the light. */
export function LightAlong({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const { lightReadings, toleranceStops } = plan.exposure;
  const add = () =>
    edit('meter along the way', (now) => {
      const { timeS } = selectSession(store.getState());
      const metered = meteredStopAt(lightSpans(now), timeS) ?? tStopOf(now.optics.lens, now.optics.stop);
      return addLightReading(now, { kind: 'time', timeS }, Number(metered.toFixed(1)));
    });
  return (
    <section aria-label="Light along the way" className={styles.along}>
      <h2>Light along the way</h2>
      <Sentence
        parts={lightAlongSentence(plan)}
        testId="light-along"
        aria-live="polite"
        onTime={(timeS) => dispatch(playheadMoved(timeS))}
      />
      {lightReadings.map((reading) => (
        <ReadingRow key={reading.id} plan={plan} reading={reading} />
      ))}
      <div className={styles.actions}>
        {lightReadings.length < PLAN_LIMITS.lightReadings.max && <Button onClick={add}>Add a meter reading</Button>}
        {lightReadings.length > 0 && (
          <Button onClick={() => edit('the iris follows the light', followLight)}>Let the iris follow the light</Button>
        )}
      </div>
      {lightReadings.length > 0 && (
        <>
          <div className={styles.tolerance}>
            <NumberField
              label="exposure may be off by"
              unit="stops"
              decimals={2}
              step={0.05}
              {...PLAN_LIMITS.toleranceStops}
              value={toleranceStops}
              onChange={(stops, gesture) =>
                edit('change the tolerance of the exposure', (now) => setExposure(now, { toleranceStops: stops }), gesture)
              }
            />
          </div>
          <ExposureChart plan={plan} />
          <p className={textStyles.muted}>
            {irisFollowText(plan)} Between two readings the light is taken to change evenly. Pull shows the zone as it changes.
          </p>
        </>
      )}
    </section>
  );
}

/** Value of the choice for a reading at a time. */
const AT_A_TIME = '';

function ReadingRow({ plan, reading }: { readonly plan: ShotPlan; readonly reading: LightReading }) {
  const edit = useEdit();
  const { id, at, meteredStop } = reading;
  const change = (name: string, changes: Partial<Omit<LightReading, 'id'>>, gesture?: string) =>
    edit(name, (now) => changeLightReading(now, id, changes), gesture);
  return (
    <div className={styles.row} role="group" aria-label={`meter reading ${lightReadingText(reading, plan)}`}>
      <div className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>metered</span>
        <Select
          aria-label="metered at"
          value={at.kind === 'mark' ? at.markId : AT_A_TIME}
          options={[
            { value: AT_A_TIME, label: 'at a time' },
            ...plan.marks.map(({ id: markId, letter }) => ({ value: markId, label: `at mark ${letter}` })),
          ]}
          onChange={(chosen: string) =>
            change('where the meter was read', {
              at: chosen === AT_A_TIME ? { kind: 'time', timeS: 0 } : { kind: 'mark', markId: chosen },
            })
          }
        />
      </div>
      {at.kind === 'time' && (
        <TimeField
          label="time"
          timeS={at.timeS}
          captureFps={plan.captureFps}
          decimals={2}
          minS={0}
          maxS={plan.durationS}
          onChange={(timeS, gesture) => change('when the meter was read', { at: { kind: 'time', timeS } }, gesture)}
        />
      )}
      <QuantityField
        label="meter shows"
        value={meteredStop}
        print={(stop) => formatStop(stop, 'T')}
        read={(text) => {
          const { min, max } = PLAN_LIMITS.stop;
          const parsed = parseStop(text, { widest: min, narrowest: max });
          return parsed.status === 'read' ? { value: parsed.stop } : { problem: problemText(parsed.problem) };
        }}
        onChange={(stop, gesture) => change('what the meter shows', { meteredStop: stop }, gesture)}
      />
      <Button
        look="quiet"
        aria-label={`Remove the meter reading ${lightReadingText(reading, plan)}`}
        onClick={() => edit('remove a meter reading', (now) => removeLightReading(now, id))}
      >
        ✕
      </Button>
    </div>
  );
}
