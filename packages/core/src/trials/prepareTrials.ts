import { type LensRing, ringOf } from '../kit/index.js';
import {
  beatFrames,
  type CameraErrors,
  cameraErrorsOf,
  distanceSigmaMm,
  type HardStop,
  hardStopsOf,
  isSteady,
  keyFrameOf,
  pictureWidthMm,
  planCircleMm,
  plannedBeats,
  markFocusMm,
  ringReach,
  type ShotPlan,
  type TrackPosition,
  zoneLensAt,
} from '../plan/index.js';
import { subjectErrors } from '../floor/index.js';
import { focusTrack } from '../track/index.js';
import { type CompleteVerdict, evaluatePull, type Missing } from '../verdict/index.js';
import {
  CAMERA_KEY,
  CAMERA_START_KEY,
  type DrawLayout,
  drawLayoutOf,
  isCameraStartMissed,
  moveKey,
  START_KEY,
  subjectKey,
} from './drawLayout.js';
import { type ErrorSource, followErrors, holdSpan, pullErrors } from './errorSources.js';
import type {
  MovingLens,
  PreparedBeat,
  PreparedHold,
  PreparedPull,
  PreparedStop,
  PreparedSubject,
  PreparedTrials,
  TakesOptions,
} from './preparedTrials.js';
import { isConstantInScene, type PreparedScene, prepareScene } from './prepareScene.js';
import { watchFigures, type WatchFigures } from './watching.js';
import { angleTableOf, distanceTableOf, focusTableOf, type ZoneTable, zoneTableOf } from './zoneTables.js';

/** Precomputes what all trials of a plan share, or reports what is missing. */
export function prepareTrials(
  plan: ShotPlan,
  { order: like, without, camera: given, watching }: TakesOptions = {},
): PreparedTrials | { readonly missing: readonly Missing[] } {
  const verdict = evaluatePull(plan);
  if (verdict.status === 'incomplete') return { missing: verdict.missing };
  const { captureFps, frameCount } = verdict;
  const ring = ringOf(plan.optics.lens);
  const reach = ringReach(plan);
  const order = drawLayoutOf(plan, like ?? null);
  const drawsAt = (key: string) => order.at.get(key)!;
  const isLeftOut = (kind: ErrorSource['kind'], id: string | null) => without?.kind === kind && id === sourceId(without);
  const standing = verdict.subjects.map(({ subjectId }) => plan.subjects.find(({ id }) => id === subjectId)!);
  const camera = withoutCameraError(given ?? cameraErrorsOf(plan), without ?? null);
  const scene = prepareScene(plan, standing, frameCount, without?.kind === 'camera-stop' ? null : camera.stopSigmaMm);
  const watch = watching ? watchFigures(plan, watching) : null;
  const trial: TrialContext = { plan, verdict, ring, order, scene, camera, watch, drawsAt, isLeftOut };
  const subjects = subjectsOf(trial);
  const range = ringRange(ring);
  return {
    ideal: { sharpS: verdict.sharpFrames / captureFps, requiredS: verdict.requiredFrames / captureFps },
    captureFps,
    frameCount,
    drawCount: order.count,
    setupDrawCount: order.setup.size,
    scene,
    cameraErrors: camera,
    cameraDrawsAt: drawsAt(CAMERA_KEY),
    cameraStartDrawsAt: isCameraStartMissed(plan) && without?.kind !== 'camera-stop' ? drawsAt(CAMERA_START_KEY) : -1,
    angles: angleTableOf(ring),
    ringLowDeg: range.lowDeg,
    ringHighDeg: range.highDeg,
    movingLens: movingLensOf(plan, ring, frameCount),
    lowDeg: reach.lowDeg,
    highDeg: reach.highDeg,
    stepDeg: reach.stepDeg,
    lowStop: stopOf(trial, 'low'),
    highStop: stopOf(trial, 'high'),
    holds: holdsOf(trial),
    pulls: pullsOf(trial),
    subjects,
    beats: beatsOf(trial, subjects),
    watched: watch && {
      correctFrames: Math.max(1, Math.round(watch.sharpAgainS * captureFps)),
      rightWayShare: watch.rightWayShare,
    },
  };
}

function withoutCameraError(errors: CameraErrors, without: ErrorSource | null): CameraErrors {
  if (without?.kind === 'camera-drift') return { ...errors, driftSigmaMm: 0 };
  return without?.kind === 'camera-timing' ? { ...errors, timingSigmaS: 0 } : errors;
}

/** What the parts of a trial are prepared from. */
interface TrialContext {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict;
  readonly ring: LensRing;
  readonly order: DrawLayout;
  readonly scene: PreparedScene;
  readonly camera: CameraErrors;
  /** null if nobody watches */
  readonly watch: WatchFigures | null;
  readonly drawsAt: (key: string) => number;
  readonly isLeftOut: (kind: ErrorSource['kind'], id: string | null) => boolean;
}

function stopOf({ plan, order, isLeftOut }: TrialContext, bounds: HardStop['bounds']): PreparedStop | null {
  const stop = hardStopsOf(plan).find((one) => one.bounds === bounds);
  if (!stop) return null;
  const mark = plan.marks.find(({ id }) => id === stop.markId)!;
  const mm = markFocusMm(plan, mark.id);
  if (mm === Infinity || isLeftOut('measuring', mark.id)) return null;
  return { mm, measureSigmaMm: distanceSigmaMm(plan, mark), setupMark: order.setup.get(mark.id)! };
}

function subjectsOf({ plan, verdict, drawsAt, isLeftOut }: TrialContext): PreparedSubject[] {
  return verdict.subjects.map(({ subjectId }) => {
    const { markSigmaMm, timingSigmaS } = subjectErrors(plan.subjects.find(({ id }) => id === subjectId)!);
    return {
      markSigmaMm: isLeftOut('marks', subjectId) ? 0 : markSigmaMm,
      timingSigmaS: isLeftOut('timing', subjectId) ? 0 : timingSigmaS,
      drawsAt: drawsAt(subjectKey(subjectId)),
    };
  });
}

function beatsOf(
  { plan, verdict, ring, scene, camera, watch }: TrialContext,
  subjects: readonly PreparedSubject[],
): PreparedBeat[] {
  const { captureFps, frameCount } = verdict;
  const zoneFor = isSteady(plan.optics) ? zonesOf(plan, ring) : () => null;
  const noticeZone = watch?.byDistance ? distanceTableOf(ring, ringRange(ring), watch.byDistance) : null;
  const latestS = Math.max(camera.timingSigmaS, ...subjects.map(({ timingSigmaS }) => timingSigmaS));
  const around = Math.ceil(MAX_SIGMAS * latestS * captureFps) + 1;
  return plannedBeats(plan)
    .filter(({ requirement, subjectId }) => requirement !== 'none' && verdict.subjects.some((one) => one.subjectId === subjectId))
    .map((beat) => {
      const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
      const subject = verdict.subjects.findIndex(({ subjectId }) => subjectId === beat.subjectId);
      const isSoft = beat.requirement === 'soft';
      const { unjudged } = verdict.subjects[subject]!;
      const judged = verdict.beats.find(({ beatId }) => beatId === beat.id)!;
      const keyFrame = keyFrameOf(beat, captureFps, frameCount) ?? -1;
      const isNeverKept = unjudged?.[keyFrame] === 1 || (judged.frames === 0 && judged.unjudgedFrames > 0);
      const blurMm = isSoft ? (beat.blurPercent / 100) * pictureWidthMm(plan.optics) : planCircleMm(plan.optics);
      return {
        beatId: beat.id,
        subjectId: beat.subjectId,
        subject,
        isSoft,
        fromFrame,
        toFrame,
        allowedLostFrames: isNeverKept ? -1 : Math.floor(judged.frames * (1 - beat.requiredShare) + 1e-9),
        unjudged,
        keyFrame,
        isStill: camera.driftSigmaMm === 0 && isConstantInScene(scene, subject, fromFrame - around, toFrame + around),
        blurMm,
        toleratedFrames: beat.toleratedFrames,
        zone: zoneFor(blurMm),
        noticeZone: noticeZone ?? (watch && zoneFor(watch.seenBlurMm)),
        noticeBlurMm: watch?.seenBlurMm ?? 0,
      };
    });
}

function holdsOf({ plan, verdict, ring, order, drawsAt, isLeftOut }: TrialContext): PreparedHold[] {
  const track = focusTrack(plan, ring)!;
  const targets = [plan.focusTrack.start!, ...plan.focusTrack.pulls.map(({ target }) => target)];
  return targets.map((target, index) => {
    // a blur is set with the optics at the landing
    const { ringDeg: stillDeg, requestedMm } = index === 0 ? track.start : track.pulls[index - 1]!.to;
    const hold = holdOf(plan, ring, { target, requestedMm }, verdict.frameCount);
    const isMeasured = target.kind === 'mark' && isLeftOut('measuring', target.markId);
    const pullId = index === 0 ? null : plan.focusTrack.pulls[index - 1]!.id;
    const following = followErrors(plan, ...holdSpan(plan, index));
    const follows = hold.degs !== null && !isLeftOut('following', pullId);
    return {
      ...hold,
      stillDeg,
      measureSigmaMm: isMeasured ? 0 : hold.measureSigmaMm,
      setupMark: target.kind === 'mark' && hold.measureSigmaMm > 0 ? order.setup.get(target.markId)! : -1,
      followSigmaDeg: follows ? following.ringSigmaDeg : 0,
      lagSigmaFrames: follows ? following.lagSigmaS * plan.captureFps : 0,
      drawsAt: drawsAt(pullId === null ? START_KEY : moveKey(pullId)),
    };
  });
}

function pullsOf({ plan, verdict, isLeftOut }: TrialContext): PreparedPull[] {
  const errors = pullErrors(plan, verdict.pulls);
  return plan.focusTrack.pulls.map(({ id, startS, durationS, easing }, index) => {
    const { reactionS, cueSigmaS, ringSigmaDeg } = errors[index]!;
    const isCueLeftOut = isLeftOut('cue', id);
    return {
      startS,
      durationS,
      easing,
      reactionS: isCueLeftOut ? 0 : reactionS,
      cueSigmaS: isCueLeftOut ? 0 : cueSigmaS,
      ringSigmaDeg: isLeftOut('landing', id) ? 0 : ringSigmaDeg,
    };
  });
}

/** Timing errors are cut off at 4 σ (1 in 15,000). */
const MAX_SIGMAS = 4;

function holdOf(
  plan: ShotPlan,
  ring: LensRing,
  { target, requestedMm }: Pick<TrackPosition, 'target' | 'requestedMm'>,
  frameCount: number,
): Pick<PreparedHold, 'degs' | 'mm' | 'measureSigmaMm'> {
  const alone = focusTrack({ ...plan, focusTrack: { start: target, pulls: [] } }, ring)!;
  const isMoving = target.kind === 'subject' || target.kind === 'course';
  const mark = target.kind === 'mark' ? plan.marks.find(({ id }) => id === target.markId)! : null;
  const mm = mark ? requestedMm : Infinity;
  return {
    degs: isMoving ? Float64Array.from({ length: frameCount }, (_, frame) => alone.ringDegAt(frame / plan.captureFps)) : null,
    mm,
    measureSigmaMm: mark && mm !== Infinity ? distanceSigmaMm(plan, mark) : 0,
  };
}

/** Ends of the ring. */
function ringRange(ring: LensRing): { readonly lowDeg: number; readonly highDeg: number } {
  const ends = [ring.angleAt(ring.closeFocusMm), ring.angleAt(ring.farthestMm)];
  return { lowDeg: Math.min(...ends), highDeg: Math.max(...ends) };
}

/** State of the lens by frame; null if it stays as it is. */
function movingLensOf({ optics, captureFps }: ShotPlan, ring: LensRing, frameCount: number): MovingLens | null {
  if (isSteady(optics)) return null;
  const lenses = Array.from({ length: frameCount }, (_, frame) => zoneLensAt(optics, frame / captureFps));
  return {
    focalLengthMm: Float64Array.from(lenses, (lens) => lens.focalLengthMm),
    fNumber: Float64Array.from(lenses, (lens) => lens.fNumber),
    separationMm: optics.lens.principalSeparationMm,
    focus: focusTableOf(ring, ringRange(ring)),
  };
}

/** Zone tables by permitted blur, each built once. */
function zonesOf(plan: ShotPlan, ring: LensRing): (blurMm: number) => ZoneTable {
  const known = new Map<number, ZoneTable>();
  return (blurMm) => {
    const zone = known.get(blurMm) ?? zoneTableOf(ring, zoneLensAt(plan.optics, 0), blurMm, ringRange(ring));
    known.set(blurMm, zone);
    return zone;
  };
}

/** Id of the subject, pull or mark that an error belongs to; null for an error of the camera. */
function sourceId(source: ErrorSource): string | null {
  if ('subjectId' in source) return source.subjectId;
  if ('markId' in source) return source.markId;
  return 'pullId' in source ? source.pullId : null;
}
