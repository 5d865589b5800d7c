import { formatStop, type HowWide, type KeepRate, type ShotPlan } from '@still-heron/core';
import { Explain } from '../../fields/Explain';
import type { TakesProgress } from '../../workers/takes/takePool';
import { howWideWords, lightWords, ofTakes } from './stopWords';

interface Props {
  readonly plan: ShotPlan;
  readonly wide: HowWide | null;
  /** Of the stop that is set */
  readonly rate: KeepRate | null;
  /** Of the plan as it stands; null while there is none */
  readonly progress: TakesProgress | null;
  /** The stop that would keep enough, where another is set */
  readonly offered: number | null;
  readonly onStop: (stop: number) => void;
}

/** How wide, in a sentence; what the stop that is set keeps; and the one step to take. */
export function StopSentence({ plan, wide, rate, progress, offered, onStop }: Props) {
  const { optics } = plan;
  const scale = optics.lens.stopScale;
  return (
    <>
      <p className="sentence" data-testid="how-wide" role="status">
        {wide === null ? (
          <span className="haze">Takes are being drawn …</span>
        ) : (
          howWideWords(wide, plan).map(({ tone, text }) => (
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
                what="Takes kept"
                lines={[
                  `${Math.round(rate.keepRate * rate.takes).toLocaleString('en')} of ${rate.takes.toLocaleString('en')} drawn takes keep everything that is asked`,
                  `95 % certain: between ${(100 * rate.low).toFixed(1)} and ${(100 * rate.high).toFixed(1)} %`,
                  'each take draws anew how far people miss their marks, how late they are, how marks were measured, when each pull starts and where it lands',
                  'the same takes for every stop: seed 1',
                ]}
              >
                <strong>{ofTakes(rate.keepRate)}</strong>
              </Explain>{' '}
              takes kept, {Math.round(100 * rate.sharpShare)} % of what must be sharp is.
            </>
          )}
        </span>
        {offered !== null && (
          <button type="button" className="stop-offer" onClick={() => onStop(offered)}>
            Shoot at {formatStop(offered, scale)} <span>{lightWords(optics.stop, offered)}</span>{' '}
            <kbd className="key key-on-lantern">W</kbd>
          </button>
        )}
        <span className="top-bar-gap" />
        <Drawn progress={progress} />
      </div>
    </>
  );
}

/** How many takes have been drawn, while they are. */
function Drawn({ progress }: { readonly progress: TakesProgress | null }) {
  const share = progress ? progress.takesDone / progress.takesInAll : 0;
  return (
    <span className="stop-drawn haze" data-testid="drawn" data-first={progress !== null} data-done={progress?.isDone ?? false}>
      {!progress?.isDone && <progress value={share} max={1} aria-label="Takes drawn" />}
    </span>
  );
}
