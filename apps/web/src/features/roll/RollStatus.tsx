import { methodAt, type ShotPlan } from '@still-heron/core';
import { countdownText, practiceText } from '@still-heron/wording';
import clsx from 'clsx';
import { Link } from 'react-router';
import { NextEntrance } from './Ahead';
import type { ConnectionState } from '../../shared/live/liveConnection';
import type { RollMoment } from './rollMoment';
import type { RollOptions, TurnedBy } from '../../shared/rollOptions';
import styles from './RollStatus.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly moment: RollMoment;
  readonly connection: ConnectionState;
  readonly plan: ShotPlan;
  /** Number of the next or current take */
  readonly number: number;
  readonly options: RollOptions;
}

const TURNED: Readonly<Record<TurnedBy, string>> = {
  nobody: '',
  wheel: 'simulated wheel',
  'motor-wheel': 'simulated motor behind a simulated wheel',
  'motor-line': 'simulated motor alone',
  port: 'ring position from the device',
};

/** Status: rolling or not, take number, time, and other devices. */
export function RollStatus({ moment, connection, plan, number, options }: Props) {
  const { phase, isOurs, isPractice } = moment;
  const words = { ready: 'Ready', counting: `Rolls in ${Math.ceil(-moment.realS)}`, rolling: 'Rolling' };
  const word = words[phase];
  const isAlone = phase === 'ready' && connection.isConnected && connection.others.length === 0;
  return (
    <div className={styles.rollStatus}>
      <span data-testid="roll-phase" className={clsx(styles.rollPhase, styles[`is-${phase}`])} role="status">
        {word}
      </span>
      <span>
        {isPractice ? (
          practiceText(moment.rate)
        ) : (
          <>
            Take <strong className={textStyles.figure}>{number}</strong>
          </>
        )}
      </span>
      {phase === 'rolling' && (
        <span data-testid="roll-time" className={clsx(textStyles.figure, styles.rollTime)}>
          {countdownText(moment.planS)} s <span className={textStyles.muted}>of {countdownText(plan.durationS)}</span>
        </span>
      )}
      {methodAt(plan, moment.planS) === 'automatic' && <strong className={textStyles.toneEdge}>left to autofocus</strong>}
      <NextEntrance plan={plan} planS={moment.planS} />
      {plan.isReversed && <strong className={textStyles.toneEdge}>shot reversed</strong>}
      {phase !== 'ready' && !isOurs && <span className={textStyles.muted}>from {moment.device}</span>}
      {phase !== 'ready' && isOurs && <span className={textStyles.muted}>{TURNED[options.turnedBy]}</span>}
      {moment.timecode && (
        <span className={clsx(textStyles.muted, styles.rollCamera)}>
          <span className={textStyles.figure}>{moment.timecode}</span> {moment.camera ?? 'simulated camera'}
        </span>
      )}
      <span className={styles.rollLineState} data-testid="line-state">
        {connectionWords(connection)}
        {isAlone && ' · '}
        {isAlone && <Link to="/devices">bring one in</Link>}
      </span>
    </div>
  );
}

/** Other devices and the accuracy of the shared clock. */
function connectionWords({ isConnected, others, clock }: ConnectionState): string {
  if (!isConnected) return 'no connection to other devices: the roll continues here';
  if (others.length === 0) return 'no other device';
  const within = clock ? `, clocks within ${Math.max(1, Math.ceil(clock.withinMs))} ms` : '';
  return `with ${others.join(', ')}${within}`;
}
