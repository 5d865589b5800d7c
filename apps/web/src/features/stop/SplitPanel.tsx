import {
  drawLayoutOf,
  formatTime,
  type KeepRate,
  setSchedule,
  type ShotPlan,
  shotTime,
  splitObstacle,
  splitShot,
  splitTimes,
} from '@still-heron/core';
import { halvesTakesText, halvesText, splitObstacleText } from '@still-heron/wording';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { useShotRowsQuery } from '../../shared/api/api';
import { useAppSelector } from '../../shared/store/hooks';
import { selectProductionId } from '../shot/savingSlice';
import { useEdit } from '../shot/useEdit';
import { RANKS } from '../../shared/workers/simulation/defaults';
import { useTrialRates } from '../shot/useTrialRates';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { useSplit } from './useSplit';
import styles from './MethodPanel.module.css';
import panelStyles from './SplitPanel.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly rate: KeepRate | null;
  readonly timeS: number;
}

const SPLIT_TRIALS = 800;

/** A shot cut in two, both halves judged, and the shot that the edit cuts to if it fails. */
export function SplitPanel({ plan, rate, timeS }: Props) {
  const split = useSplit();
  const offers = useMemo(() => splitTimes(plan).flatMap((atS) => halvesAt(plan, atS)), [plan]);
  const asks = useMemo(
    () => offers.flatMap(({ halves }) => halves.map((half) => ({ plan: half, order: drawLayoutOf(half), without: null }))),
    [offers],
  );
  const { known } = useTrialRates(offers, asks, { takes: SPLIT_TRIALS, rank: RANKS.methods });
  const rateOf = (half: ShotPlan) =>
    known?.key === offers ? (known.progress.rates[asks.findIndex((ask) => ask.plan === half)] ?? null) : null;
  const obstacle = splitObstacle(plan, timeS);
  return (
    <>
      {offers.length === 0 && (
        <p className={textStyles.muted}>Something moves or turns all the time: there is no rest to cut in.</p>
      )}
      <ul className={styles.methods}>
        {offers.map(({ atS, halves }) => (
          <li key={atS}>
            <span className={styles.methodHead}>
              <strong>Cut at {formatTime(atS)}</strong>
              <span />
              <Button look="quiet" aria-label={`Make two shots, cut at ${formatTime(atS)}`} onClick={() => void split(atS)}>
                Make two shots
              </Button>
            </span>
            <Halves plan={plan} halves={halves} whole={rate} rates={halves.map(rateOf)} />
          </li>
        ))}
      </ul>
      <p className={panelStyles.here}>
        <Button disabled={obstacle !== null} onClick={() => void split(timeS)}>
          Cut at the playhead, {formatTime(timeS)}
        </Button>{' '}
        {obstacle && <span className={textStyles.muted}>{splitObstacleText(obstacle, plan)}</span>}
      </p>
      <p className={textStyles.muted}>This shot stays. Marks, people, floor and gear go along into both.</p>
      <CoverShot plan={plan} />
    </>
  );
}

function halvesAt(plan: ShotPlan, atS: number) {
  const halves = splitShot(plan, atS);
  return halves ? [{ atS, halves }] : [];
}

interface HalvesProps {
  readonly plan: ShotPlan;
  readonly halves: readonly [ShotPlan, ShotPlan];
  readonly whole: KeepRate | null;
  readonly rates: readonly (KeepRate | null)[];
}

function Halves({ plan, halves, whole, rates: [first, second] }: HalvesProps) {
  if (!first || !second) return <span className={textStyles.muted}>One half requires nothing, or is still simulated.</span>;
  const takesOf = (index: 0 | 1, rate: KeepRate) => shotTime(halves[index], rate).takes;
  return (
    <>
      <span>{halvesText(first.keepRate, second.keepRate)}</span>
      {whole && (
        <span className={textStyles.muted}>
          {halvesTakesText([takesOf(0, first), takesOf(1, second)], shotTime(plan, whole).takes)}
        </span>
      )}
    </>
  );
}

const NO_SHOT = '';

/** Which shot the edit cuts to if no take is kept. */
function CoverShot({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { shotId = '' } = useParams();
  const productionId = useAppSelector(selectProductionId);
  const { data: shots = [] } = useShotRowsQuery(productionId ?? '', { skip: !productionId });
  const { coverShotId } = plan.schedule;
  const others = shots.filter(({ id }) => id !== shotId);
  const isGone = coverShotId !== null && shots.length > 0 && others.every(({ id }) => id !== coverShotId);
  return (
    <Choice
      label="if no take is kept, cut to the shot"
      value={coverShotId ?? NO_SHOT}
      choices={[
        { value: NO_SHOT, word: 'none' },
        ...others.map(({ id, slate, title }) => ({ value: id, word: `${slate} ${title}`.trim() })),
        ...(isGone ? [{ value: coverShotId, word: 'a shot that was deleted' }] : []),
      ]}
      onPick={(id) => edit('change the shot to cut to', (now) => setSchedule(now, { coverShotId: id === NO_SHOT ? null : id }))}
    />
  );
}
