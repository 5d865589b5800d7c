import { formatStop, type HowWide, type KeepRate, type ShotPlan } from '@still-heron/core';
import { automaticPartsSentence, howWideText, lightText, of100, keepRateLines } from '@still-heron/wording';
import { useState } from 'react';
import clsx from 'clsx';
import { Explain } from '../../ui/fields/Explain';
import type { TrialProgress } from '../../shared/workers/simulation/trialPool';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import { Sentence } from '../../ui/Sentence';
import textStyles from '../../ui/text.module.css';
import styles from './StopSentence.module.css';
import barStyles from '../../ui/frame/bars.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly wide: HowWide | null;
  /** At the current stop */
  readonly rate: KeepRate | null;
  /** Progress for the current plan; null if there is none */
  readonly progress: TrialProgress | null;
  /** Stop that would reach the target, if it differs from the current one */
  readonly offered: number | null;
  /** Stops the trials and uses the results so far */
  readonly onEnough: () => void;
  readonly onStop: (stop: number) => void;
}

/** Answer in a sentence: how wide it can be, the keep rate of the current stop, and the next step. */
export function StopSentence({ plan, wide, rate, progress, offered, onEnough, onStop }: Props) {
  const { optics } = plan;
  const scale = optics.lens.stopScale;
  return (
    <>
      <Sentence
        parts={
          wide === null
            ? [{ tone: 'plain', text: 'Simulating takes …' }]
            : [...howWideText(wide, plan), ...automaticPartsSentence(plan)]
        }
        testId="how-wide"
        role="status"
      />
      <div className={styles.stopNow}>
        <span data-testid="now-keeps">
          Set to <strong className={textStyles.figure}>{formatStop(optics.stop, scale)}</strong>
          {rate && (
            <>
              {': '}
              <Explain what="Keep rate" lines={keepRateLines(rate)}>
                <strong>{of100(rate.keepRate)}</strong>
              </Explain>{' '}
              takes kept, {Math.round(100 * rate.sharpShare)} % of the required time is sharp.
            </>
          )}
        </span>
        {offered !== null && (
          <Button look="main" onClick={() => onStop(offered)}>
            Shoot at {formatStop(offered, scale)} <span>{lightText(optics.stop, offered)}</span> <Key isOnAccent>W</Key>
          </Button>
        )}
        <span className={barStyles.topBarGap} />
        <Drawn progress={progress} onEnough={onEnough} />
      </div>
    </>
  );
}

/** Progress of the trials; they can be stopped early. */
function Drawn({ progress, onEnough }: Pick<Props, 'progress' | 'onEnough'>) {
  const [leftAt, setLeftAt] = useState<TrialProgress | null>(null);
  const share = progress ? progress.takesDone / progress.takesInAll : 0;
  const isOn = !progress?.isDone && !(leftAt && progress === leftAt);
  return (
    <span
      className={clsx(styles.stopDrawn, textStyles.muted)}
      data-testid="drawn"
      data-first={progress !== null}
      data-done={progress?.isDone ?? false}
    >
      {isOn && <progress value={share} max={1} aria-label="Simulated takes" />}
      {isOn && progress && (
        <Button
          look="quiet"
          onClick={() => {
            setLeftAt(progress);
            onEnough();
          }}
        >
          Enough
        </Button>
      )}
    </span>
  );
}
