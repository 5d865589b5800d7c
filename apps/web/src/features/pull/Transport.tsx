import { addPull, fullList, isAllAutomatic, type ShotPlan, showAlternate } from '@still-heron/core';
import { fullText } from '@still-heron/wording';
import { axisChosen } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { WordChoice } from '../../ui/fields/WordChoice';
import { PlayButton } from '../shot/PlayButton';
import { PlayheadField } from '../shot/PlayheadField';
import { selectSession } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { KeepRateLink } from './KeepRateLink';
import { offeredPull } from './nextPull';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import styles from './Transport.module.css';
import barStyles from '../../ui/frame/bars.module.css';
import textStyles from '../../ui/text.module.css';

const AXES = [
  { value: 'hand', word: 'ring angle' },
  { value: 'distance', word: 'distance' },
] as const;

const TAKES = [
  { value: 'A', word: 'A' },
  { value: 'B', word: 'B' },
] as const;

interface Props {
  readonly plan: ShotPlan;
  readonly isSolving: boolean;
  readonly onSolve: () => void;
}

/** Toolbar between the verdict and the chart: play, next pull, work out the pulls, axis. */
export function Transport({ plan, isSolving, onSolve }: Props) {
  const dispatch = useAppDispatch();
  const axis = useAppSelector((state) => state.preferences.axis);
  return (
    <div className={styles.transport}>
      <PlayButton showsKey />
      <PlayheadField durationS={plan.durationS} captureFps={plan.captureFps} />
      <NextPullButton plan={plan} />
      <Button look="quiet" aria-expanded={isSolving} onClick={onSolve}>
        Work out the pulls <Key>L</Key>
      </Button>
      <KeepRateLink plan={plan} />
      <span className={barStyles.topBarGap} />
      {plan.alternates && (
        <WordChoice
          label="Alternate that is shown"
          chosen={plan.alternates.shown}
          choices={TAKES}
          onChoose={(which) => dispatch(editPlan(`show alternate ${which}`, (now) => showAlternate(now, which)))}
        />
      )}
      <WordChoice label="Vertical axis" chosen={axis} choices={AXES} onChoose={(choice) => dispatch(axisChosen(choice))} />
    </div>
  );
}

/** Suggested next step, if any: a pull to a mark that the track does not reach yet. */
function NextPullButton({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  // select only the playhead's effect, not every frame while playing
  const pull = useAppSelector(
    (state) =>
      selectSession(state).isPlaying ? null : offeredPull(plan, selectSession(state).timeS, selectSession(state).selection?.id),
    (a, b) => a?.mark === b?.mark && a?.atS === b?.atS,
  );
  const full = fullList(plan, ['pulls', 'beats']);
  if (full) return <span className={textStyles.muted}>{fullText(full)}</span>;
  if (!pull || isAllAutomatic(plan)) return null;
  const isNext = plan.focusTrack.pulls.length === 0 && plan.method === 'rack';
  return (
    <Button
      look={isNext ? 'main' : 'quiet'}
      onClick={() => dispatch(editPlan(`pull to ${pull.mark.letter}`, (now) => addPull(now, pull.mark.id, pull.atS)))}
    >
      Pull to {pull.mark.letter} at {pull.atS.toFixed(1)} s <Key isOnAccent={isNext}>P</Key>
    </Button>
  );
}
