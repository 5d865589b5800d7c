import { METHOD_UNCERTAINTY } from '../floor/index.js';
import { landingWindow, minPullTimeS } from '../hand/index.js';
import { pictureSize, ringOf, withinReach } from '../kit/index.js';
import { activeBeats, planCircleMm, planDistances, type ShotPlan, type Watching, zoneLensAt } from '../plan/index.js';

/** What is seen of softness, and how long it lasts until it is corrected. */
export interface WatchFigures {
  /** Blur on the sensor from which softness is noticed; Infinity where no picture is watched */
  readonly seenBlurMm: number;
  /** The same in circles of confusion, at least 1 */
  readonly seenFromCircles: number;
  /** Watching the subject: a miss is noticed by its distance, as a share of it. null for a display */
  readonly byDistance: number | null;
  /** From the first soft frame until it is noticed: the delay of the picture, and a reaction */
  readonly noticedAfterS: number;
  /** The correction: a movement of this hand over what has been noticed */
  readonly correctionS: number;
  /** Both together, if the first turn goes the right way */
  readonly sharpAgainS: number;
  /** Share of corrections whose first turn goes the right way */
  readonly rightWayShare: number;
}

/** A blur of this many minutes of arc is noticed by a puller who is busy. Assumed; the limit of the eye is 1. */
const SEEN_ARC_MIN = 2;
/** Display whose size nobody has typed, in inches. Assumed. */
export const ASSUMED_DISPLAY_INCHES = 5;
const MM_PER_INCH = 25.4;

/**
 * Figures of somebody who watches while pulling.
 *
 * @returns null if nothing is watched, or nothing must be sharp
 */
export function watchFigures(plan: ShotPlan, watching: Watching): WatchFigures | null {
  const [beat] = activeBeats(plan).filter(({ requirement }) => requirement === 'sharp');
  const subject = plan.subjects.find(({ id }) => id === beat?.subjectId);
  if (watching.on === 'nothing' || !beat || !subject) return null;
  const circleMm = planCircleMm(plan.optics);
  const isDisplay = watching.on === 'display';
  const seenBlurMm = isDisplay ? Math.max(circleMm, blurSeenMm(plan, watching)) : Infinity;
  const seenFromCircles = isDisplay ? seenBlurMm / circleMm : 1;
  const noticedAfterS = plan.hand.reactionS + (isDisplay ? watching.delayS : 0);
  const ring = ringOf(plan.optics.lens);
  const focusMm = withinReach(ring, planDistances(plan).focusMmAt(subject, beat.fromS));
  const { widthDeg } = landingWindow(zoneLensAt(plan.optics, beat.fromS), ring, focusMm);
  // half the window on one side, times as far as what is noticed lies out
  const correctionS = minPullTimeS(plan, Math.max((widthDeg / 2) * seenFromCircles, LEAST_TURN_DEG), widthDeg);
  return {
    seenBlurMm,
    seenFromCircles,
    byDistance: isDisplay ? null : METHOD_UNCERTAINTY.eye.shareOfDistance,
    noticedAfterS,
    correctionS,
    sharpAgainS: noticedAfterS + correctionS,
    rightWayShare: watching.rightWayShare,
  };
}

const LEAST_TURN_DEG = 0.01;

/** Blur on the sensor that is just seen on the display: the whole picture fills its width. */
function blurSeenMm({ optics, rig }: ShotPlan, { displayInches, distanceMm }: Watching): number {
  const { sensorWidthMm, sensorHeightMm } = pictureSize(optics.camera);
  const [wide, high] = [sensorWidthMm * optics.lens.squeeze, sensorHeightMm];
  const inches = displayInches ?? rig?.displayInches ?? ASSUMED_DISPLAY_INCHES;
  const displayWidthMm = (inches * MM_PER_INCH * wide) / Math.hypot(wide, high);
  const onDisplayMm = distanceMm * Math.tan((SEEN_ARC_MIN / 60) * (Math.PI / 180));
  return (onDisplayMm * sensorWidthMm) / displayWidthMm;
}
