import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { playToggled, selectSession } from './sessionSlice';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import styles from './PlayButton.module.css';

/** Plays the shot from the playhead, or pauses. */
export function PlayButton({ showsKey = false }: { readonly showsKey?: boolean }) {
  const dispatch = useAppDispatch();
  const isPlaying = useAppSelector((state) => selectSession(state).isPlaying);
  return (
    <Button look="quiet" className={styles.play} onClick={() => dispatch(playToggled())} aria-pressed={isPlaying}>
      <svg width="14" height="14" viewBox="0 0 14 14" fill="currentColor" aria-hidden="true">
        {isPlaying ? <path d="M2 1h3.5v12H2zM8.5 1H12v12H8.5z" /> : <path d="M2 1l11 6-11 6z" />}
      </svg>
      {isPlaying ? 'Pause' : 'Play'} {showsKey && <Key>Space</Key>}
    </Button>
  );
}
