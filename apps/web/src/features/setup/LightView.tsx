import { AS_METERED_STOPS, meterSentence } from '@still-heron/wording';
import {
  brightnessChangeStops,
  type Exposure,
  formatStop,
  ndDensityOf,
  PLAN_LIMITS,
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
          <Ways plan={plan} now={now} missing={missing} onSet={set} />
        )}
      </div>
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
        label="metered stop"
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
  readonly onSet: (name: string, changes: Partial<ShotExposure>) => void;
}

/** One way to correct the light: its new value, a note, and the settings to apply if the camera can do it. */
interface Way {
  readonly word: string;
  readonly figure: string;
  readonly note: string;
  readonly isWarning?: boolean;
  readonly take: Partial<ShotExposure> | null;
}

/** @param angle - shutter angle of the production; `bases` are the base ISOs of the camera */
function waysOf(
  plan: ShotPlan,
  ways: ReturnType<typeof waysToBrighten>,
  { isTooDark, angle, bases }: { readonly isTooDark: boolean; readonly angle: number; readonly bases: readonly number[] },
): Way[] {
  const leaves = ways.shutterAngleDeg !== null && Math.abs(ways.shutterAngleDeg - angle) > 0.5;
  return [
    {
      word: isTooDark ? 'more sensitive' : 'less sensitive',
      figure: `ISO ${Math.round(ways.iso)}`,
      note: bases.length > 0 ? `base ${bases.join(' and ')}` : '',
      take: inLimits(ways.iso, PLAN_LIMITS.iso) ? { iso: Math.round(ways.iso) } : null,
    },
    {
      word: isTooDark ? 'more light' : 'less light',
      figure: `${ways.lampFactor < 1 ? ways.lampFactor.toFixed(2) : ways.lampFactor.toFixed(1)} × the lamps`,
      note: '',
      take: null,
    },
    ways.ndStops === null
      ? { word: 'filters', figure: 'ND in place is not enough', note: '', take: null }
      : {
          word: isTooDark ? 'weaker filters' : 'stronger filters',
          figure:
            ways.ndStops < 0.05
              ? 'all ND out'
              : `ND ${ways.ndStops.toFixed(1)} stops, density ${ndDensityOf(ways.ndStops).toFixed(1)}`,
          note: '',
          take: { ndStops: Number(ways.ndStops.toFixed(2)) },
        },
    ways.shutterAngleDeg === null
      ? { word: 'longer exposure', figure: 'more than a whole turn of the shutter', note: '', take: null }
      : {
          word: isTooDark ? 'longer exposure' : 'shorter exposure',
          figure: `shutter ${ways.shutterAngleDeg.toFixed(1)}°`,
          isWarning: leaves,
          note: leaves ? `differs from the production’s ${angle}°: movement looks different` : '',
          take: { shutterAngleDeg: Number(ways.shutterAngleDeg.toFixed(1)) },
        },
    {
      word: isTooDark ? 'slower' : 'faster',
      figure: `${ways.captureFps.toFixed(1)} frames a second`,
      note: `played back at ${plan.deliveryFps}: ${Number((plan.deliveryFps / ways.captureFps).toFixed(2))} × speed`,
      take: null,
    },
  ];
}

/** Ways to compensate, one by one. Camera settings can be applied; the meter reading then holds for them. */
function Ways({ plan, now, missing, onSet }: WaysProps) {
  const angle = useProductionAngle();
  const bases = useBaseIsos(plan);
  const rows = waysOf(plan, waysToBrighten(now, missing), { isTooDark: missing > 0, angle, bases });
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
              <Button size="small" onClick={() => onSet(word, { ...take, meteredStop: Number(now.tStop.toFixed(1)) })}>
                Use this
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function inLimits(value: number, { min, max }: { readonly min: number; readonly max: number }): boolean {
  return value >= min && value <= max;
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
