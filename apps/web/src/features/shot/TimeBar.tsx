import { formatTime } from '@still-heron/core';
import { Slider } from 'antd';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { PlayButton } from './PlayButton';
import { playheadMoved, playStopped, selectSession } from './sessionSlice';
import styles from './TimeBar.module.css';
import textStyles from '../../ui/text.module.css';

/** Play button and time slider of the shot. */
export function TimeBar({ durationS, captureFps }: { readonly durationS: number; readonly captureFps: number }) {
  const dispatch = useAppDispatch();
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  return (
    <div className={styles.timeBar}>
      <PlayButton />
      <Slider
        min={0}
        max={durationS}
        step={1 / captureFps}
        value={timeS}
        tooltip={{ open: false }}
        ariaLabelForHandle="Playhead"
        onChange={(value) => {
          dispatch(playStopped());
          dispatch(playheadMoved(value));
        }}
      />
      <output className={textStyles.figure}>{formatTime(timeS)}</output>
    </div>
  );
}
