import {
  activeBeats,
  ASSUMED_DISPLAY_INCHES,
  changeBeat,
  type KeepRate,
  PLAN_LIMITS,
  type ShotPlan,
  WATCHED,
  watchFigures,
  type Watching,
} from '@still-heron/core';
import { betterPictureText, toleratedText, watchedRatesText, WATCHED_WORDS, watchFiguresText } from '@still-heron/wording';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/fields/NumberField';
import { WordChoice } from '../../ui/fields/WordChoice';
import { useEdit } from '../shot/useEdit';
import { useWatchedRates } from './useWatchedRates';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './GoalsPanel.module.css';

interface Props {
  readonly plan: ShotPlan;
  /** The puller sees nothing; null until known */
  readonly rate: KeepRate | null;
}

/** What the puller looks at during a take, what is seen there, and what corrections keep. */
export function WatchingPanel({ plan, rate }: Props) {
  const edit = useEdit();
  const { watching } = plan;
  const figures = watchFigures(plan, watching);
  const set = (changes: Partial<Watching>, gesture?: string) =>
    edit('change what is watched', (now) => ({ ...now, watching: { ...now.watching, ...changes } }), gesture);
  return (
    <div className={styles.timePanel}>
      <WordChoice
        label="Watched during the take"
        chosen={watching.on}
        choices={WATCHED.map((value) => ({ value, word: WATCHED_WORDS[value].short }))}
        onChoose={(on) => set({ on })}
      />
      <p className={textStyles.muted}>{WATCHED_WORDS[watching.on].means}</p>
      {watching.on === 'display' && <DisplayFields plan={plan} set={set} />}
      {watching.on !== 'nothing' && (
        <NumberField
          label="first turn goes the right way"
          unit="%"
          step={5}
          min={100 * PLAN_LIMITS.rightWayShare.min}
          max={100 * PLAN_LIMITS.rightWayShare.max}
          value={Math.round(100 * watching.rightWayShare)}
          hint="assumed until takes with recorded rings show it"
          onChange={(share, gesture) => set({ rightWayShare: share / 100 }, gesture)}
        />
      )}
      {figures && <p>{watchFiguresText(figures)}</p>}
      {figures && <Tolerated plan={plan} frames={Math.max(1, Math.round(figures.sharpAgainS * plan.captureFps))} />}
      {watching.on !== 'nothing' && <WatchedRates plan={plan} rate={rate} />}
    </div>
  );
}

interface DisplayFieldsProps extends Pick<Props, 'plan'> {
  readonly set: (changes: Partial<Watching>, gesture?: string) => void;
}

function DisplayFields({ plan: { watching, rig }, set }: DisplayFieldsProps) {
  return (
    <div className={fieldStyles.fieldPair}>
      <NumberField
        label="display"
        unit="in"
        step={0.5}
        decimals={1}
        {...PLAN_LIMITS.displayInches}
        value={watching.displayInches ?? rig?.displayInches ?? ASSUMED_DISPLAY_INCHES}
        hint={hintOf(watching, rig?.displayInches ?? null)}
        onChange={(displayInches, gesture) => set({ displayInches }, gesture)}
      />
      <NumberField
        label="from the eyes"
        unit="cm"
        step={5}
        min={PLAN_LIMITS.viewingMm.min / 10}
        max={PLAN_LIMITS.viewingMm.max / 10}
        value={watching.distanceMm / 10}
        onChange={(cm, gesture) => set({ distanceMm: 10 * cm }, gesture)}
      />
      <NumberField
        label="picture comes late by"
        unit="s"
        step={0.05}
        decimals={2}
        {...PLAN_LIMITS.delayS}
        value={watching.delayS}
        onChange={(delayS, gesture) => set({ delayS }, gesture)}
      />
    </div>
  );
}

function hintOf({ displayInches }: Watching, ofRig: number | null): string | undefined {
  if (displayInches !== null) return undefined;
  return ofRig === null ? 'assumed' : 'as the rig has it';
}

/** Beats that allow no soft moment as long as a correction, and one press that lets them. */
function Tolerated({ plan, frames }: { readonly plan: ShotPlan; readonly frames: number }) {
  const edit = useEdit();
  const strict = activeBeats(plan).filter(
    ({ requirement, toleratedFrames }) => requirement === 'sharp' && toleratedFrames < frames,
  );
  if (strict.length === 0) return null;
  return (
    <p>
      {toleratedText(frames, plan.captureFps)}{' '}
      <Button
        onClick={() =>
          edit(`allow soft moments of ${frames} frames`, (now) =>
            strict.reduce((changed, { id }) => changeBeat(changed, id, { toleratedFrames: frames }), now),
          )
        }
      >
        Allow {frames} frames
      </Button>
    </p>
  );
}

function WatchedRates({ plan, rate }: Props) {
  const rates = useWatchedRates(plan);
  if (!rate || !rates?.watched) return <p className={textStyles.muted}>Simulating takes …</p>;
  const { watched, quicker, larger } = rates;
  return (
    <>
      <p data-testid="watched-rates">
        <strong>{watchedRatesText(rate.keepRate, watched.keepRate)}</strong>
      </p>
      {quicker && <p className={textStyles.muted}>{betterPictureText('no-delay', watched.keepRate, quicker.keepRate)}</p>}
      {larger && <p className={textStyles.muted}>{betterPictureText('twice-as-large', watched.keepRate, larger.keepRate)}</p>}
    </>
  );
}
