import { formatStop, frameAtOrAfter, type CompleteVerdict, type KeepRate, type ShotPlan } from '@still-heron/core';
import { of100 } from '@still-heron/wording';
import { useEffect, useRef, useState } from 'react';
import { PALETTES } from '../../ui/theme/palette';
import { useAppSelector } from '../../shared/store/hooks';
import { evaluateAll } from '../../shared/workers/simulation/workers';
import { drawScene } from '../viewfinder/drawScene';
import { sceneAt } from '../viewfinder/scene';
import { stripStops } from './stripStops';
import { indexOfStop, type Sweep } from './sweep';
import styles from './StyleStrip.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly sweep: Sweep;
  readonly rates: readonly (KeepRate | null)[];
  /** Widest stop that reaches the target */
  readonly keeps: number | null;
  readonly onStop: (stop: number) => void;
}

const PICTURE_PX = 168;
/** Time budget of a picture in ms, and delay before it is drawn. */
const DRAW_MS = 8;
const MAX_WAIT_MS = 300;

/**
 * The same moment at five stops, as the lens would draw it: the widest, the one that reaches the target, the current one, and
 * others between.
 */
export function StyleStrip({ plan, sweep, rates, keeps, onStop }: Props) {
  const shown = stripStops(sweep.stops, [keeps ?? sweep.stops[0]!, plan.optics.stop]);
  const judged = useJudged(sweep, shown);
  const now = indexOfStop(sweep.stops, plan.optics.stop);
  return (
    <ul className={styles.styleStrip} aria-label="The picture at five stops">
      {shown.map((index, place) => (
        <li key={sweep.stops[index]}>
          <button type="button" aria-pressed={index === now} onClick={() => onStop(sweep.stops[index]!)}>
            <StopPicture judged={judged?.[place] ?? null} stop={formatStop(sweep.stops[index]!, plan.optics.lens.stopScale)} />
            <span className={styles.stripWords}>
              <strong className={textStyles.figure}>{formatStop(sweep.stops[index]!, plan.optics.lens.stopScale)}</strong>
              <span className={textStyles.muted}>{rates[index] ? `${of100(rates[index].keepRate)} kept` : ''}</span>
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

interface StopFrame {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict;
}

function useJudged(sweep: Sweep, shown: readonly number[]): readonly (StopFrame | null)[] | null {
  const [judged, setJudged] = useState<{ readonly key: string; readonly stops: readonly (StopFrame | null)[] } | null>(null);
  const key = shown.join();
  useEffect(() => {
    let isCurrent = true;
    const plans = key.split(',').map((index) => sweep.asks[Number(index)]!.plan);
    void evaluateAll(plans).then((verdicts) => {
      if (!isCurrent) return;
      const stops = verdicts.map((verdict, k) => (verdict.status === 'judged' ? { plan: plans[k]!, verdict } : null));
      setJudged({ key, stops });
    });
    return () => {
      isCurrent = false;
    };
  }, [sweep, key]);
  return judged?.key === key ? judged.stops : null;
}

function StopPicture({ judged, stop }: { readonly judged: StopFrame | null; readonly stop: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const timeS = useAppSelector((state) => state.session.timeS);
  const light = useAppSelector((state) => state.preferences.light);
  useEffect(() => {
    const context = canvas.current?.getContext('2d', { willReadFrequently: true });
    if (!context || !judged) return undefined;
    const draw = () => {
      // the page may be gone before its effects are ended
      if (!canvas.current) return;
      const { plan, verdict } = judged;
      const frame = Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1);
      const { raised, subjects, border } = PALETTES[light];
      const scene = sceneAt(plan, verdict, frame, { width: PICTURE_PX });
      if (canvas.current.height !== scene.height) canvas.current.height = scene.height;
      drawScene(context, scene, raised, [...subjects, border]);
    };
    // while playing, five pictures per frame are too many: draw them in idle time
    const whenIdle = (deadline: IdleDeadline) => {
      if (deadline.didTimeout || deadline.timeRemaining() > DRAW_MS) draw();
      else waiting = requestIdleCallback(whenIdle, { timeout: MAX_WAIT_MS });
    };
    let waiting = requestIdleCallback(whenIdle, { timeout: MAX_WAIT_MS });
    return () => cancelIdleCallback(waiting);
  }, [judged, timeS, light]);
  return <canvas ref={canvas} width={PICTURE_PX} height={94} role="img" aria-label={`The picture at ${stop}`} />;
}
