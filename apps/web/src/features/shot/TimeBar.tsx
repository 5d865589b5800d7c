import { formatTime } from '@still-heron/core';
import { Slider } from 'antd';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { playheadMoved, playStopped, playToggled, selectSession } from './sessionSlice';

/** Play, and the time of the shot: dragged, or stepped with the arrow keys. */
export function TimeBar({ durationS, captureFps }: { readonly durationS: number; readonly captureFps: number }) {
  const dispatch = useAppDispatch();
  const { timeS, isPlaying } = useAppSelector(selectSession);
  return (
    <div className="time-bar">
      <button type="button" className="quiet play" onClick={() => dispatch(playToggled())} aria-pressed={isPlaying}>
        <svg width="14" height="14" viewBox="0 0 14 14" fill="currentColor" aria-hidden="true">
          {isPlaying ? <path d="M2 1h3.5v12H2zM8.5 1H12v12H8.5z" /> : <path d="M2 1l11 6-11 6z" />}
        </svg>
        {isPlaying ? 'Stop' : 'Play'}
      </button>
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
      <output className="figure">{formatTime(timeS)}</output>
    </div>
  );
}
