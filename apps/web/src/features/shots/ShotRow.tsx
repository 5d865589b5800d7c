import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { ShotView } from '@still-heron/contract';
import { type Attention, formatStop } from '@still-heron/core';
import { METHOD_WORDS, of100, minutesText, plannedTakesText } from '@still-heron/wording';
import { useNavigate } from 'react-router';
import type { ShotSummary } from '../../shared/workers/protocol';
import { TrackSketch } from './TrackSketch';
import type { Forecast } from './useForecasts';

interface Props {
  readonly shot: ShotView;
  readonly forecast: Forecast;
  /** Only in shooting order can rows be moved */
  readonly isMovable: boolean;
  readonly isNewScene: boolean;
  readonly onDuplicate: () => void;
  readonly onRemove: () => void;
}

const STATE_WORDS: Readonly<Record<ShotSummary['outcome'], string>> = {
  incomplete: 'Incomplete',
  sharp: 'Sharp',
  tight: 'Tight',
  'too-hard': 'Too hard',
  soft: 'Soft',
  unreadable: 'Unreadable',
};

/** Row of a shot: slate and title, set-up, sketch of its track, and outcome. */
export function ShotRow({ shot, forecast, isMovable, isNewScene, onDuplicate, onRemove }: Props) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: shot.id,
    disabled: !isMovable,
  });
  const navigate = useNavigate();
  const { summary } = forecast;
  const { lens, stop } = shot.plan.optics;
  const name = `${shot.slate} ${shot.title}`.trim();
  const open = () => void navigate(`/shots/${shot.id}/pull`);
  return (
    <li
      ref={setNodeRef}
      className={`shot-row${isDragging ? ' is-dragged' : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget.querySelector('.shot-open')) return;
        if (event.key === 'd') onDuplicate();
        if (event.key === 'Delete') onRemove();
      }}
    >
      {isNewScene && <p className="shot-scene">{shot.scene || 'No scene'}</p>}
      <div className="shot-line">
        <button
          type="button"
          className="shot-grip"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name} in shooting order`}
          disabled={!isMovable}
        >
          <svg width="10" height="20" viewBox="0 0 10 20" fill="currentColor" aria-hidden="true">
            {[4, 10, 16].map((y) => [2, 8].map((x) => <circle key={`${x} ${y}`} cx={x} cy={y} r="1.4" />))}
          </svg>
        </button>
        <button type="button" className="shot-open" onClick={open} aria-label={`Open ${name}`}>
          <span className="shot-slate">{shot.slate}</span>
          <span className="shot-what">
            <span className="shot-title">{shot.title || 'Untitled'}</span>
            <span className="shot-kit">
              <span className="figure">
                {Number(lens.focalLengthMm.toFixed(1))} mm {formatStop(stop, lens.stopScale)}
              </span>{' '}
              · {METHOD_WORDS[shot.plan.method].short}
            </span>
          </span>
          <TrackSketch summary={summary} />
          <Kept shot={shot} forecast={forecast} />
          <span className="shot-verdict">
            {summary && (
              <>
                <span className={`shot-state state-${summary.outcome}`}>{STATE_WORDS[summary.outcome]}</span>
                <span className="shot-sentence">
                  {shownParts(summary).map(({ tone, text }) => (
                    <span key={text} className={tone === 'plain' ? undefined : `tone-${tone}`}>
                      {text}{' '}
                    </span>
                  ))}
                </span>
              </>
            )}
          </span>
        </button>
        <span className="shot-actions">
          <button type="button" className="quiet" onClick={onDuplicate} aria-label={`Duplicate ${name}`}>
            Duplicate
          </button>
          <button type="button" className="quiet" onClick={onRemove} aria-label={`Delete ${name}`}>
            Delete
          </button>
        </span>
      </div>
    </li>
  );
}

/** Parts of the sentence without "sharp", which the row's label says already. */
function shownParts({ outcome, parts }: ShotSummary): ShotSummary['parts'] {
  return outcome === 'sharp' || outcome === 'tight' ? parts.filter(({ tone }) => tone !== 'sharp') : parts;
}

const ATTENTION_WORDS: Readonly<Partial<Record<Attention, string>>> = {
  'one-chance': 'one chance, keep rate too low',
  'low-keep-rate': 'keep rate too low',
};

/** Keep rate and time of the shot; empty until known. */
function Kept({ shot: { plan }, forecast: { rate, time, attention } }: Pick<Props, 'shot' | 'forecast'>) {
  if (!rate || !time) return <span className="shot-kept" />;
  const word = attention && ATTENTION_WORDS[attention];
  return (
    <span className="shot-kept">
      <span className={rate.keepRate < plan.goals.targetKeepRate ? 'tone-edge' : undefined}>
        <strong>{of100(rate.keepRate)}</strong> kept
      </span>
      <span className="haze">{word ?? (plan.goals.isOneChance ? 'one chance' : plannedTakesText(time, plan))}</span>
      {time.minutes !== null && <span className="haze">{minutesText(time.minutes)}</span>}
    </span>
  );
}
