import { formatTime } from '@still-heron/core';
import { playheadStep } from '../../shared/gestures/playheadStep';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { Range } from '../../ui/fields/Range';
import { PlayButton } from './PlayButton';
import { playheadMoved, playStopped, selectSession } from './sessionSlice';
import styles from './TimeBar.module.css';
import textStyles from '../../ui/text.module.css';

/** Play button and time slider of the shot. */
export function TimeBar({ durationS, captureFps }: { readonly durationS: number; readonly captureFps: number }) {
  const dispatch = useAppDispatch();
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  const move = (value: number) => {
    dispatch(playStopped());
    dispatch(playheadMoved(Math.min(Math.max(value, 0), durationS)));
  };
  return (
    <div className={styles.timeBar}>
      <PlayButton />
      <Range
        label="Playhead"
        min={0}
        max={durationS}
        value={timeS}
        text={formatTime(timeS)}
        onChange={(value) => move(Math.round(value * captureFps) / captureFps)}
        onKeyDown={(event) => {
          const stepS = playheadStep(event, captureFps);
          if (stepS !== 0) move(timeS + stepS);
        }}
      />
      <output className={textStyles.figure}>{formatTime(timeS)}</output>
    </div>
  );
}
