import {
  frameAtOrAfter,
  frameSize,
  formatTime,
  type CompleteVerdict,
  pictureSize,
  sharpBeatsAt,
  type ShotPlan,
} from '@still-heron/core';
import { blurLines, frameText } from '@still-heron/wording';
import { Suspense, useEffect, useRef, useState } from 'react';
import { lazyPart } from '../../shared/lazyPart';
import { PALETTES } from '../../ui/theme/palette';
import { peakingSet } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { Explain } from '../../ui/fields/Explain';
import { drawScene } from './drawScene';
import { peakingMask } from './peaking';
import { sceneAt } from './scene';
import { Button } from '../../ui/Button';
import styles from './Viewfinder.module.css';
import textStyles from '../../ui/text.module.css';

// contains a slider that most users never open
const PeakingFields = lazyPart(() => import('./PeakingFields').then(({ PeakingFields }) => PeakingFields));

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict;
}

/** Magnification for judging focus. */
const MAGNIFICATION = 4;

/** Width of the view in pixels: side column minus margins. */
const VIEW_WIDTH_PX = 268;

/**
 * Picture at the playhead as the lens would draw it: subjects as simple figures at their depth with their blur, optionally with
 * peaking.
 */
export function Viewfinder({ plan, verdict }: Props) {
  const dispatch = useAppDispatch();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [isMagnified, setIsMagnified] = useState(false);
  const timeS = useAppSelector((state) => state.session.timeS);
  const light = useAppSelector((state) => state.preferences.light);
  const peaking = useAppSelector((state) => state.preferences.peaking);
  const frame = Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1);
  const worst = worstAt(plan, verdict, frame);
  const shownId = worst?.subjectId ?? verdict.subjects[0]!.subjectId;
  const scene = sceneAt(plan, verdict, frame, {
    width: VIEW_WIDTH_PX,
    magnified: isMagnified ? { subjectId: shownId, times: MAGNIFICATION } : null,
  });
  const drawn = useRef('');
  useEffect(() => {
    const context = canvas.current?.getContext('2d', { willReadFrequently: true });
    // during a drag elsewhere the picture usually stays the same
    const now = JSON.stringify([scene, light, peaking]);
    if (!context || drawn.current === now) return;
    drawn.current = now;
    const { raised, subjects, border, text } = PALETTES[light];
    drawScene(context, scene, raised, [...subjects, border]);
    if (peaking.isOn) drawPeaking(context, scene, peaking, light === 'dusk' ? text : '#ffffff');
  });
  return (
    <figure className={styles.viewfinder}>
      <div className={styles.picture}>
        <canvas
          ref={canvas}
          width={scene.width}
          height={scene.height}
          role="img"
          aria-label={`The picture at ${formatTime(timeS)}, as the lens would show it`}
          data-testid="viewfinder"
          data-blurs={scene.figures.map(({ id, blurPx }) => `${id} ${blurPx.toFixed(2)}`).join(', ')}
        />
        {!isMagnified && <FrameLines plan={plan} />}
      </div>
      <figcaption>
        <WorstBlur worst={worst} plan={plan} verdict={verdict} />
        <span className={styles.viewfinderGap} />
        <Button look="quiet" aria-pressed={isMagnified} onClick={() => setIsMagnified(!isMagnified)}>
          Magnify
        </Button>
        <Button
          look="quiet"
          aria-pressed={peaking.isOn}
          onClick={() => dispatch(peakingSet({ ...peaking, isOn: !peaking.isOn }))}
        >
          Peaking
        </Button>
      </figcaption>
      {peaking.isOn && (
        <Suspense>
          <PeakingFields />
        </Suspense>
      )}
    </figure>
  );
}

/** Lines over the whole picture: what is delivered of it, and where autofocus looks. */
function FrameLines({ plan }: Pick<Props, 'plan'>) {
  return (
    <>
      <DeliveredFrame plan={plan} />
      <AutofocusArea plan={plan} />
    </>
  );
}

/** The part of the picture that is delivered, where that is not all of it. */
function DeliveredFrame({ plan: { optics } }: Pick<Props, 'plan'>) {
  const [whole, frame] = [pictureSize(optics.camera), frameSize(optics)];
  const share = (of: 'sensorWidthMm' | 'sensorHeightMm') => `${(100 * frame[of]) / whole[of]}%`;
  if (optics.frameAspect === null) return null;
  return (
    <div
      className={styles.deliveredFrame}
      style={{ width: share('sensorWidthMm'), height: share('sensorHeightMm') }}
      role="img"
      aria-label={`Delivered frame: ${frameText(optics.frameAspect)}`}
    />
  );
}

/** Where autofocus looks, in a shot that is left to it. */
function AutofocusArea({ plan: { method, optics } }: Pick<Props, 'plan'>) {
  const { autofocusAreaPercent: percent } = optics.camera;
  if (method !== 'automatic' || percent === null) return null;
  return (
    <div
      className={styles.autofocusArea}
      style={{ width: `${percent}%`, height: `${percent}%` }}
      role="img"
      aria-label={`Autofocus area: ${percent} % of the width`}
    />
  );
}

interface WorstBlurProps extends Props {
  readonly worst: { subjectId: string; circles: number } | null;
}

function WorstBlur({ worst, plan, verdict }: WorstBlurProps) {
  const name = plan.subjects.find(({ id }) => id === worst?.subjectId)?.name ?? '';
  return (
    <>
      {worst ? (
        <Explain what={`Blur of ${name}`} lines={blurLines(name, worst.circles, verdict.circleOfConfusionMm)}>
          {`${name} ×${worst.circles.toFixed(1)}`}
        </Explain>
      ) : (
        <span className={textStyles.muted}>nothing must be sharp now</span>
      )}
    </>
  );
}

/** Subject with the largest blur among those that must be sharp at a frame; null if there is none. */
function worstAt(plan: ShotPlan, verdict: CompleteVerdict, frame: number): { subjectId: string; circles: number } | null {
  const timeS = frame / verdict.captureFps;
  const blurs = sharpBeatsAt(plan, timeS).flatMap(({ subjectId }) => {
    const circles = verdict.subjects.find((subject) => subject.subjectId === subjectId)?.blurCircles[frame];
    return circles === undefined ? [] : [{ subjectId, circles }];
  });
  return blurs.sort((a, b) => b.circles - a.circles)[0] ?? null;
}

function drawPeaking(
  context: CanvasRenderingContext2D,
  { width, height }: { readonly width: number; readonly height: number },
  settings: Parameters<typeof peakingMask>[3],
  colour: string,
): void {
  const { data } = context.getImageData(0, 0, width, height);
  const marked = peakingMask(data, width, height, settings);
  context.fillStyle = colour;
  for (let at = 0; at < marked.length; at++) if (marked[at]) context.fillRect(at % width, Math.floor(at / width), 1, 1);
}
