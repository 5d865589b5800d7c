import { formatTime } from '@still-heron/core';
import { Slider } from 'antd';
import { playheadStep } from '../../shared/gestures/playheadStep';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
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
    dispatch(playheadMoved(value));
  };
  return (
    <div className={styles.timeBar}>
      <PlayButton />
      <div
        onKeyDownCapture={(event) => {
          const stepS = playheadStep(event, captureFps);
          if (stepS === 0) return;
          // the slider itself knows one step for arrows, and two for pages
          event.stopPropagation();
          move(Math.min(Math.max(timeS + stepS, 0), durationS));
        }}
      >
        <Slider
          min={0}
          max={durationS}
          step={1 / captureFps}
          value={timeS}
          tooltip={{ open: false }}
          ariaLabelForHandle="Playhead"
          ariaValueTextFormatterForHandle={formatTime}
          onChange={move}
        />
      </div>
      <output className={textStyles.figure}>{formatTime(timeS)}</output>
    </div>
  );
}
