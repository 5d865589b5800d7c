import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { ShotRowView } from '@still-heron/contract';
import { type Attention, formatStop } from '@still-heron/core';
import { kitChangedText, methodList, of100, minutesText, plannedTakesText } from '@still-heron/wording';
import { useMemo } from 'react';
import { Link } from 'react-router';
import clsx from 'clsx';
import type { ShotSummary } from '../../shared/workers/protocol';
import { TrackSketch } from './TrackSketch';
import type { Forecast } from './useForecasts';
import { changedParts, type WholeKit } from './wholeKit';
import { Button } from '../../ui/Button';
import styles from './ShotRow.module.css';
import { TonedText } from '../../ui/Sentence';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly shot: ShotRowView;
  readonly forecast: Forecast;
  readonly kit: WholeKit;
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
  autofocus: 'Autofocus',
  'autofocus-at-risk': 'Autofocus at risk',
  'autofocus-refused': 'No autofocus',
};

/** Row of a shot: slate and title, set-up, sketch of its track, and outcome. */
export function ShotRow({ shot, forecast, kit, isMovable, isNewScene, onDuplicate, onRemove }: Props) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: shot.id,
    disabled: !isMovable,
  });
  const { summary } = forecast;
  const name = `${shot.slate} ${shot.title}`.trim();
  return (
    <div
      ref={setNodeRef}
      className={clsx(styles.shotRow, isDragging && styles.isDragged)}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      {isNewScene && <p className={styles.shotScene}>{shot.scene || 'No scene'}</p>}
      <div className={styles.shotLine}>
        <button
          type="button"
          className={styles.shotGrip}
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
        <Link
          to={`/shots/${shot.id}/pull`}
          className={styles.shotOpen}
          aria-label={`Open ${name}`}
          onKeyDown={({ key }) => {
            if (key === 'd') onDuplicate();
            if (key === 'Delete') onRemove();
          }}
        >
          <span data-testid="shot-slate" className={styles.shotSlate}>
            {shot.slate}
          </span>
          <ShotHeading shot={shot} forecast={forecast} kit={kit} />
          <TrackSketch summary={summary} />
          <Kept forecast={forecast} />
          <ShotOutcome summary={summary} isSeldom={isSeldom(forecast)} />
        </Link>
        <ShotActions onDuplicate={onDuplicate} name={name} onRemove={onRemove} />
      </div>
    </div>
  );
}

function ShotHeading({ shot: { title, setup }, forecast: { plan }, kit }: Pick<Props, 'shot' | 'forecast' | 'kit'>) {
  const changed = useMemo(() => (plan ? changedParts(plan, kit) : []), [plan, kit]);
  return (
    <span className={styles.shotWhat}>
      <span className={styles.shotTitle}>{title || 'Untitled'}</span>
      {setup && (
        <span className={styles.shotKit}>
          <span className={textStyles.figure}>
            {Number(setup.focalLengthMm.toFixed(1))} mm {formatStop(setup.stop, setup.stopScale)}
          </span>{' '}
          · {methodList([setup.method, ...setup.laterMethods])}
        </span>
      )}
      {changed.length > 0 && <span className={textStyles.toneEdge}>{kitChangedText(changed)}</span>}
    </span>
  );
}

/** Whether fewer takes are kept than are asked for. */
function isSeldom({ plan, rate }: Forecast): boolean {
  return plan !== null && rate !== null && rate.keepRate < plan.goals.targetKeepRate;
}

interface ShotOutcomeProps {
  readonly summary: ShotSummary | null;
  readonly isSeldom: boolean;
}

/** State and sentence. What is sharp in the ideal take only is not called sharp. */
function ShotOutcome({ summary, isSeldom }: ShotOutcomeProps) {
  const isOnlyPlanned = isSeldom && summary?.outcome === 'sharp';
  return (
    <span className={styles.shotVerdict}>
      {summary && (
        <>
          <span
            data-testid="shot-state"
            className={clsx(styles.shotState, styles[`state-${isOnlyPlanned ? 'tight' : lookOf(summary.outcome)}`])}
          >
            {isOnlyPlanned ? 'Sharp as planned' : STATE_WORDS[summary.outcome]}
          </span>
          <span className={styles.shotSentence}>
            <TonedText parts={shownParts(summary)} />
          </span>
        </>
      )}
    </span>
  );
}

/** A state of autofocus looks like the state of a pulled shot that asks for as much. */
function lookOf(outcome: ShotSummary['outcome']): string {
  if (outcome === 'autofocus-refused') return 'soft';
  if (outcome === 'autofocus-at-risk') return 'tight';
  return outcome === 'autofocus' ? 'incomplete' : outcome;
}

interface ShotActionsProps extends Pick<Props, 'onDuplicate' | 'onRemove'> {
  readonly name: string;
}

function ShotActions({ onDuplicate, name, onRemove }: ShotActionsProps) {
  return (
    <span className={styles.shotActions}>
      <Button look="quiet" onClick={onDuplicate} aria-label={`Duplicate ${name}`}>
        Duplicate
      </Button>
      <Button look="quiet" onClick={onRemove} aria-label={`Delete ${name}`}>
        Delete
      </Button>
    </span>
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
function Kept({ forecast: { plan, rate, time, attention } }: Pick<Props, 'forecast'>) {
  if (!plan || !rate || !time) return <span data-testid="shot-kept" className={styles.shotKept} />;
  const word = attention && ATTENTION_WORDS[attention];
  return (
    <span data-testid="shot-kept" className={styles.shotKept}>
      <span className={clsx(rate.keepRate < plan.goals.targetKeepRate && textStyles.toneEdge)}>
        <strong>{of100(rate.keepRate)}</strong> kept
      </span>
      <span className={textStyles.muted}>{word ?? (plan.goals.isOneChance ? 'one chance' : plannedTakesText(time, plan))}</span>
      {time.minutes !== null && <span className={textStyles.muted}>{minutesText(time.minutes)}</span>}
    </span>
  );
}
