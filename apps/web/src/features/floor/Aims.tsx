import {
  type AimKey,
  cameraPlaceAt,
  changeAim,
  fieldOfAction,
  PLAN_LIMITS,
  removeAim,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { aimText } from '@still-heron/wording';
import { useMemo } from 'react';
import { NumberField } from '../../ui/fields/NumberField';
import { TimeField } from '../../ui/fields/TimeField';
import { useEdit } from '../shot/useEdit';
import { FloorLength } from './FloorLength';
import { Button } from '../../ui/Button';
import styles from './Aims.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

/** Camera aims in order of time, and the total turn of the camera. */
export function Aims({ plan, units }: { readonly plan: ShotPlan; readonly units: UnitSystem }) {
  const { aims } = plan.floor!;
  const field = useMemo(() => fieldOfAction(plan), [plan]);
  return (
    <section>
      <h2>The camera is aimed</h2>
      <ol className={styles.aimList}>
        {aims.map((aim, index) => (
          <AimRow key={aim.id} aim={aim} before={aims[index - 1]} after={aims[index + 1]} plan={plan} units={units} />
        ))}
      </ol>
      {field.turnDeg >= 0.5 && (
        <p className={textStyles.muted}>
          The camera turns {field.turnDeg.toFixed(0)}° in all, {field.fastestDegPerS.toFixed(0)}°/s at most. The puller must be
          able to reach the ring all the way.
        </p>
      )}
    </section>
  );
}

interface RowProps {
  readonly aim: AimKey;
  readonly before: AimKey | undefined;
  readonly after: AimKey | undefined;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

function AimRow({ aim, before, after, plan, units }: RowProps) {
  const edit = useEdit();
  const lensHeightMm = cameraPlaceAt(plan.floor!, aim.timeS).heightMm;
  const change = (changes: Parameters<typeof changeAim>[2], gesture?: string) =>
    edit('aim the camera', (now) => changeAim(now, aim.id, changes), gesture);
  return (
    <li>
      <span className={styles.aimWords}>
        {aimText(aim.at, plan)}
        {before && (
          <Button
            look="quiet"
            aria-label={`Remove the aim at ${aim.timeS.toFixed(1)} s`}
            onClick={() => edit('delete an aim', (now) => removeAim(now, aim.id))}
          >
            ✕
          </Button>
        )}
      </span>
      <div className={fieldStyles.fieldPair}>
        {aim.at.kind === 'heading' && <HeadingFields {...aim.at} change={change} />}
        {aim.at.kind === 'point' && (
          <FloorLength
            label="height of the point"
            mm={aim.at.heightMm ?? lensHeightMm}
            units={units}
            onChange={(heightMm, gesture) => change({ heightMm }, gesture)}
          />
        )}
        {before && (
          <>
            <TimeField
              label="from"
              timeS={aim.timeS}
              captureFps={plan.captureFps}
              decimals={2}
              minS={before.timeS + 0.02}
              maxS={after ? after.timeS - 0.02 : plan.durationS}
              reason="next-aim"
              onChange={(timeS, gesture) => change({ timeS }, gesture)}
            />
            <TimeField
              label="duration of the turn"
              timeS={aim.panS}
              captureFps={plan.captureFps}
              decimals={2}
              minS={0}
              maxS={aim.timeS - before.timeS}
              reason="previous-aim"
              onChange={(panS, gesture) => change({ panS }, gesture)}
            />
          </>
        )}
      </div>
    </li>
  );
}

interface HeadingProps extends Omit<Extract<AimKey['at'], { kind: 'heading' }>, 'kind'> {
  readonly change: (changes: Parameters<typeof changeAim>[2], gesture?: string) => void;
}

function HeadingFields({ deg, tiltDeg, change }: HeadingProps) {
  return (
    <>
      <NumberField
        label="heading"
        unit="°"
        step={5}
        decimals={1}
        {...PLAN_LIMITS.headingDeg}
        value={deg}
        onChange={(turned, gesture) => change({ deg: turned }, gesture)}
      />
      <NumberField
        label="tilt upwards"
        unit="°"
        step={1}
        decimals={1}
        {...PLAN_LIMITS.tiltDeg}
        value={tiltDeg ?? 0}
        onChange={(tilted, gesture) => change({ tiltDeg: tilted === 0 ? null : tilted }, gesture)}
      />
    </>
  );
}
