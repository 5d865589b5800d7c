import { AS_METERED_STOPS, lightWays, meterSentence } from '@still-heron/wording';
import {
  brightnessChangeStops,
  type Exposure,
  formatStop,
  ndDensityOf,
  PLAN_LIMITS,
  rebalance,
  type ShotExposure,
  type ShotPlan,
  tStopOf,
  waysToBrighten,
} from '@still-heron/core';
import { useChangeProductionMutation, useProductionQuery } from '../../shared/api/api';
import { useAppSelector } from '../../shared/store/hooks';
import { NumberField } from '../../ui/fields/NumberField';
import { useKit } from '../../shared/api/useKit';
import { selectProductionId } from '../shot/savingSlice';
import { LightAlong } from './LightAlong';
import { useProductionAngle } from './PlanNotes';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import styles from './LightView.module.css';
import { Sentence } from '../../ui/Sentence';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

/** Light lost or gained against the metered stop, and ways to compensate. */
export function LightView({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { exposure, optics } = plan;
  const tStop = tStopOf(optics.lens, optics.stop);
  const set = (name: string, changes: Partial<ShotExposure>, gesture?: string) =>
    edit(name, (now) => ({ ...now, exposure: { ...now.exposure, ...changes } }), gesture);
  const now: Exposure = { ...exposure, tStop, captureFps: plan.captureFps };
  const missing = exposure.meteredStop === null ? null : -brightnessChangeStops({ ...now, tStop: exposure.meteredStop }, now);
  return (
    <div className={styles.light}>
      <Sentence parts={meterSentence(missing, tStop, exposure.meteredStop)} aria-live="polite" />
      <div className={styles.lightBody}>
        <section aria-label="Settings">
          <h2>Settings</h2>
          <ExposureFields exposure={exposure} tStop={tStop} set={set} />
          {exposure.meteredStop === null && (
            <Button onClick={() => set('meter', { meteredStop: Number(tStop.toFixed(1)) })}>
              The meter shows {formatStop(tStop, 'T')}
            </Button>
          )}
          <ProductionAngle />
        </section>
        {missing !== null && Math.abs(missing) >= AS_METERED_STOPS && (
          <Ways
            plan={plan}
            now={now}
            missing={missing}
            onUse={(word, settings) => edit(word, (before) => rebalance(before, settings, Number(tStop.toFixed(1))))}
          />
        )}
      </div>
      <LightAlong plan={plan} />
    </div>
  );
}

function ExposureFields({
  exposure,
  tStop,
  set,
}: {
  readonly exposure: ShotExposure;
  readonly tStop: number;
  readonly set: (name: string, changes: Partial<ShotExposure>, gesture?: string) => void;
}) {
  return (
    <div className={fieldStyles.fieldPair}>
      <NumberField
        label={exposure.lightReadings.length > 0 ? 'metered stop at the start' : 'metered stop'}
        unit="T"
        decimals={1}
        step={0.1}
        {...PLAN_LIMITS.stop}
        value={exposure.meteredStop ?? Number(tStop.toFixed(1))}
        hint={exposure.meteredStop === null ? 'not metered yet' : undefined}
        testId="metered"
        onChange={(meteredStop, gesture) => set('meter', { meteredStop }, gesture)}
      />
      <NumberField
        label="ISO"
        step={100}
        {...PLAN_LIMITS.iso}
        value={exposure.iso}
        testId="iso"
        onChange={(iso, gesture) => set('change the ISO', { iso }, gesture)}
      />
      <NumberField
        label="shutter"
        unit="°"
        decimals={1}
        step={1}
        {...PLAN_LIMITS.shutterAngleDeg}
        value={exposure.shutterAngleDeg}
        testId="shutter"
        onChange={(shutterAngleDeg, gesture) => set('change the shutter', { shutterAngleDeg }, gesture)}
      />
      <NumberField
        label="ND in place"
        unit="stops"
        decimals={1}
        step={1}
        {...PLAN_LIMITS.ndStops}
        value={exposure.ndStops}
        hint={exposure.ndStops > 0 ? `density ${ndDensityOf(exposure.ndStops).toFixed(1)}` : undefined}
        onChange={(ndStops, gesture) => set('change the ND', { ndStops }, gesture)}
      />
    </div>
  );
}

interface WaysProps {
  readonly plan: ShotPlan;
  readonly now: Exposure;
  readonly missing: number;
  readonly onUse: (name: string, settings: Partial<ShotExposure>) => void;
}

/** Ways to compensate, one by one. Camera settings can be applied; the meter reading then holds for them. */
function Ways({ plan, now, missing, onUse }: WaysProps) {
  const angle = useProductionAngle();
  const bases = useBaseIsos(plan);
  const rows = lightWays(plan, waysToBrighten(now, missing), { isTooDark: missing > 0, angle, bases });
  return (
    <section aria-label="Ways to correct it">
      <h2>{missing > 0 ? 'To gain light' : 'To reduce light'}</h2>
      <ul className={styles.ways}>
        {rows.map(({ word, figure, note, isWarning, take }) => (
          <li key={word}>
            <span className={textStyles.muted}>{word}</span>
            <span>
              <strong className={textStyles.figure}>{figure}</strong>
              {note && <span className={isWarning ? textStyles.toneEdge : textStyles.muted}>{note}</span>}
            </span>
            {take && (
              <Button size="small" onClick={() => onUse(word, take)}>
                Use this
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Base ISOs of the shot's camera, if the kit has it. */
function useBaseIsos(plan: ShotPlan): readonly number[] {
  const { items } = useKit('cameras');
  return items.find(({ id }) => id === plan.kit.camera?.id)?.item.baseIsos ?? [];
}

function useProduction() {
  const productionId = useAppSelector(selectProductionId);
  return useProductionQuery(productionId ?? '', { skip: !productionId }).data;
}

/** Shutter angle of the production, with which the shot's own is compared. */
function ProductionAngle() {
  const production = useProduction();
  const [change] = useChangeProductionMutation();
  if (!production) return null;
  const { id, version, shutterAngleDeg } = production;
  return (
    <NumberField
      label="production’s shutter"
      unit="°"
      decimals={1}
      step={1}
      {...PLAN_LIMITS.shutterAngleDeg}
      value={shutterAngleDeg}
      onChange={(angle) => void change({ id, version, shutterAngleDeg: angle })}
    />
  );
}
