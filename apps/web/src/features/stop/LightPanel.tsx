import {
  asEngraved,
  brighterStops,
  exposureAt,
  formatStop,
  formatStops,
  lightBalances,
  type LightBalance,
  PLAN_LIMITS,
  rebalance,
  type ShotPlan,
  tStopOf,
} from '@still-heron/core';
import { balanceText } from '@still-heron/wording';
import { NumberField } from '../../ui/fields/NumberField';
import { useProductionAngle } from '../setup/PlanNotes';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import offerStyles from '../../ui/offers.module.css';
import styles from './LightPanel.module.css';
import textStyles from '../../ui/text.module.css';

/** Smaller differences in stops are ignored. */
const EVEN = 1 / 6;

/** Exposure at the current stop against the meter reading, and combinations that compensate. */
export function LightPanel({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const angleDeg = useProductionAngle();
  const { exposure, optics } = plan;
  const tStop = Number(tStopOf(optics.lens, optics.stop).toFixed(1));
  const brighter = brighterStops(plan, optics.stop);
  const meter = (meteredStop: number, gesture?: string) =>
    edit('meter', (now) => ({ ...now, exposure: { ...now.exposure, meteredStop } }), gesture);
  const balances =
    brighter === null || Math.abs(brighter) < EVEN
      ? []
      : lightBalances(exposureAt(plan, optics.stop), -asEngraved(brighter), {
          iso: PLAN_LIMITS.iso,
          ndStops: PLAN_LIMITS.ndStops,
          angleDeg,
        });
  // the new settings make the current stop correct
  const take = ({ iso, ndStops, shutterAngleDeg }: LightBalance) =>
    edit('correct the light', (now) =>
      rebalance(
        now,
        { iso: Math.round(iso), ndStops: Number(ndStops.toFixed(2)), shutterAngleDeg: Number(shutterAngleDeg.toFixed(1)) },
        tStop,
      ),
    );
  return (
    <div className={styles.lightPanel}>
      <NumberField
        label="metered stop"
        unit="T"
        decimals={1}
        step={0.1}
        {...PLAN_LIMITS.stop}
        value={exposure.meteredStop ?? tStop}
        hint={
          exposure.meteredStop === null
            ? 'not metered yet'
            : `ISO ${exposure.iso}, ${exposure.shutterAngleDeg}°, ND ${exposure.ndStops}`
        }
        onChange={meter}
      />
      {brighter === null && <Button onClick={() => meter(tStop)}>The light is right at {formatStop(tStop, 'T')}</Button>}
      {brighter !== null && Math.abs(brighter) < EVEN && (
        <p>Correct, as metered at {formatStop(optics.stop, optics.lens.stopScale)}.</p>
      )}
      {brighter !== null && Math.abs(brighter) >= EVEN && (
        <p>
          <strong className={textStyles.toneEdge}>
            {formatStops(brighter)} too {brighter > 0 ? 'bright' : 'dark'}
          </strong>{' '}
          at {formatStop(optics.stop, optics.lens.stopScale)}. Each of these corrects it:
        </p>
      )}
      <Balances balances={balances} plan={plan} angleDeg={angleDeg} take={take} />
    </div>
  );
}

interface BalancesProps {
  readonly balances: LightBalance[];
  readonly plan: ShotPlan;
  readonly angleDeg: number;
  readonly take: ({ iso, ndStops, shutterAngleDeg }: LightBalance) => void;
}

function Balances({ balances, plan, angleDeg, take }: BalancesProps) {
  return (
    <ul className={offerStyles.offers}>
      {balances.map((balance) => (
        <li key={balanceText(balance, plan)}>
          <span>
            {balanceText(balance, plan)}
            {balance.changesShutterAngle && (
              <span className={textStyles.toneEdge}> · differs from the production’s {angleDeg}°</span>
            )}
          </span>
          {balance.lampFactor === 1 ? (
            <Button look="quiet" aria-label={`Use: ${balanceText(balance, plan)}`} onClick={() => take(balance)}>
              Use
            </Button>
          ) : (
            <span className={textStyles.muted}>then meter again</span>
          )}
        </li>
      ))}
    </ul>
  );
}
