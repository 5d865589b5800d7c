import {
  cameraErrorsOf,
  changeMark,
  changePull,
  changeSubject,
  type ErrorSource,
  errorSources,
  PLAN_LIMITS,
  setCameraErrors,
  setCameraMiss,
  setHand,
  type ShotPlan,
  type SizedError,
  type UnitSystem,
} from '@still-heron/core';
import { errorName, SUPPORT_WORDS } from '@still-heron/wording';
import { useMemo } from 'react';
import clsx from 'clsx';
import { GapField } from '../../ui/fields/GapField';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/fields/NumberField';
import { useEdit } from '../shot/useEdit';
import styles from './ErrorPanel.module.css';
import textStyles from '../../ui/text.module.css';
import stopStyles from './stop.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Error sources of the trials: size, and whether measured or assumed. Each can be edited. */
export function ErrorPanel({ plan, units }: Props) {
  const errors = useMemo(() => errorSources(plan), [plan]);
  const typed = errors.filter(({ source }) => source.kind !== 'landing' && source.kind !== 'following');
  const computed = errors.filter(({ source }) => source.kind === 'landing' || source.kind === 'following');
  return (
    <div className={styles.errors}>
      <p className={clsx(textStyles.muted, stopStyles.finePrint)}>
        One standard deviation each: two of three takes are within it. Figures are assumed until they are rehearsed or typed.
      </p>
      <ul>
        {typed.map((error) => (
          <li key={JSON.stringify(error.source)}>
            <ErrorField error={error} plan={plan} units={units} />
            {error.isAssumed && <span className={clsx(textStyles.muted, styles.assumed)}>assumed</span>}
          </li>
        ))}
      </ul>
      <CameraDrift plan={plan} />
      <h3>The hand</h3>
      <HandFields plan={plan} />
      {computed.length > 0 && (
        <ul className={styles.landings}>
          {computed.map(({ source, sigma, unit }) => (
            <li key={JSON.stringify(source)}>
              <span>{errorName(source, plan, units)}</span>
              <span className={textStyles.figure}>{unit === 'deg' ? `±${sigma.toFixed(1)}°` : `±${sigma.toFixed(2)} s`}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function ErrorField({ error: { source, sigma, unit }, plan, units }: Props & { readonly error: SizedError }) {
  const edit = useEdit();
  const label = errorName(source, plan, units);
  const set = (value: number, gesture: string) =>
    edit(`change the error: ${label}`, (now) => withError(now, source, value), gesture);
  if (unit === 'mm') {
    const limit = source.kind === 'measuring' ? PLAN_LIMITS.uncertaintyMm : PLAN_LIMITS.markSigmaMm;
    return <GapField label={`${label} ±`} mm={sigma} limit={limit} units={units} onChange={set} />;
  }
  return (
    <NumberField label={`${label} ±`} unit="s" decimals={2} step={0.05} {...PLAN_LIMITS.sigmaS} value={sigma} onChange={set} />
  );
}

/** The plan with another size of one error. */
function withError(plan: ShotPlan, source: ErrorSource, value: number): ShotPlan {
  switch (source.kind) {
    case 'marks':
      return changeSubject(plan, source.subjectId, { markSigmaMm: value });
    case 'timing':
      return changeSubject(plan, source.subjectId, { timingSigmaS: value });
    case 'measuring':
      return changeMark(plan, source.markId, { uncertaintyMm: value });
    case 'cue':
      return changePull(plan, source.pullId, { cueSigmaS: value });
    case 'camera-drift':
      return setCameraErrors(plan, { driftSigmaMm: value });
    case 'camera-timing':
      return setCameraErrors(plan, { timingSigmaS: value });
    case 'camera-stop':
      return setCameraMiss(plan, value);
    default:
      return plan;
  }
}

/** How slowly the camera drifts, and the way back to what is assumed of its support. */
function CameraDrift({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { driftSigmaMm, driftTimeS } = cameraErrorsOf(plan);
  return (
    <>
      {driftSigmaMm > 0 && (
        <div className={fieldStyles.fieldPair}>
          <NumberField
            label="the drift changes within"
            unit="s"
            decimals={2}
            step={0.1}
            {...PLAN_LIMITS.driftTimeS}
            value={driftTimeS}
            onChange={(value, gesture) =>
              edit('change the drift of the camera', (now) => setCameraErrors(now, { driftTimeS: value }), gesture)
            }
          />
        </div>
      )}
      {plan.cameraErrors && plan.rig && (
        <Button
          look="quiet"
          onClick={() => edit('go back to the assumed errors of the camera', (now) => setCameraErrors(now, null))}
        >
          Use the assumed errors for: {SUPPORT_WORDS[plan.rig.support]}
        </Button>
      )}
    </>
  );
}

const HAND_FIELDS = [
  { of: 'reactionS', label: 'reaction time', unit: 's', decimals: 2, step: 0.01 },
  { of: 'perBitS', label: 'time per bit of difficulty', unit: 's', decimals: 2, step: 0.01 },
  { of: 'steadyDeg', label: 'landing error ±', unit: '°', decimals: 2, step: 0.05 },
  { of: 'twoJobsFactor', label: 'slower and less steady with a second job', unit: '×', decimals: 1, step: 0.1 },
] as const;

/** Figures of the hand: needed time and landing error. A second job is framing, iris or zoom. */
function HandFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  return (
    <div className={clsx(fieldStyles.fieldPair, styles.handFields)}>
      {HAND_FIELDS.map(({ of, ...field }) => (
        <NumberField
          key={of}
          {...field}
          {...PLAN_LIMITS[of]}
          value={plan.hand[of]}
          onChange={(value, gesture) => edit('change the figures of the hand', (now) => setHand(now, { [of]: value }), gesture)}
        />
      ))}
    </div>
  );
}
