import { formatStop, type HowWide, type KeepRate, type ShotPlan } from '@still-heron/core';
import { howWideText, lightText, of100 } from '@still-heron/wording';
import { useState } from 'react';
import { Explain } from '../../ui/fields/Explain';
import type { TrialProgress } from '../../shared/workers/simulation/trialPool';

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
      <p className="sentence" data-testid="how-wide" role="status">
        {wide === null ? (
          <span className="haze">Simulating takes …</span>
        ) : (
          howWideText(wide, plan).map(({ tone, text }) => (
            <span key={text} className={tone === 'plain' ? undefined : `tone-${tone}`}>
              {text}{' '}
            </span>
          ))
        )}
      </p>
      <div className="stop-now">
        <span data-testid="now-keeps">
          Set to <strong className="figure">{formatStop(optics.stop, scale)}</strong>
          {rate && (
            <>
              {': '}
              <Explain
                what="Keep rate"
                lines={[
                  `${Math.round(rate.keepRate * rate.takes).toLocaleString('en')} of ${rate.takes.toLocaleString('en')} simulated takes keep everything that is required`,
                  `95 % confidence interval: ${(100 * rate.low).toFixed(1)} to ${(100 * rate.high).toFixed(1)} %`,
                  'each simulated take draws new errors: missed marks, late people, measuring, cues and landings',
                  `the same simulated takes for every stop: seed ${rate.seed}`,
                ]}
              >
                <strong>{of100(rate.keepRate)}</strong>
              </Explain>{' '}
              takes kept, {Math.round(100 * rate.sharpShare)} % of the required time is sharp.
            </>
          )}
        </span>
        {offered !== null && (
          <button type="button" className="main-action" onClick={() => onStop(offered)}>
            Shoot at {formatStop(offered, scale)} <span>{lightText(optics.stop, offered)}</span>{' '}
            <kbd className="key key-on-lantern">W</kbd>
          </button>
        )}
        <span className="top-bar-gap" />
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
    <span className="stop-drawn haze" data-testid="drawn" data-first={progress !== null} data-done={progress?.isDone ?? false}>
      {isOn && <progress value={share} max={1} aria-label="Simulated takes" />}
      {isOn && progress && (
        <button
          type="button"
          className="quiet"
          onClick={() => {
            setLeftAt(progress);
            onEnough();
          }}
        >
          Enough
        </button>
      )}
    </span>
  );
}
