import { TimeField } from '../../ui/fields/TimeField';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { playheadMoved, playStopped, selectSession } from './sessionSlice';
import styles from './PlayheadField.module.css';

/** Time of the playhead, to be typed. Only this follows the time, so that playing renders nothing else. */
export function PlayheadField({ durationS, captureFps }: { readonly durationS: number; readonly captureFps: number }) {
  const dispatch = useAppDispatch();
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  return (
    <div className={styles.playheadField}>
      <TimeField
        label="playhead at"
        decimals={2}
        timeS={timeS}
        captureFps={captureFps}
        minS={0}
        maxS={durationS}
        testId="playhead-time"
        onChange={(value) => {
          dispatch(playStopped());
          dispatch(playheadMoved(value));
        }}
      />
    </div>
  );
}
