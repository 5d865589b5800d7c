import type { ShotPlan } from '../plan/index.js';

/**
 * Which random numbers of a trial belong to whom: first index for each subject, for the start of the track, and for each pull,
 * by key.
 */
export interface DrawLayout {
  readonly at: ReadonlyMap<string, number>;
  /** Total number of random numbers of a trial */
  readonly count: number;
  /** By mark id, which random number of a set-up its measurement draws */
  readonly setup: ReadonlyMap<string, number>;
}

/** Random numbers per subject: its miss of the mark, its lateness. */
const PER_SUBJECT = 2;
/** Random numbers per hold: its lag while it follows, landing error, start time error. */
const PER_SETTING = 3;

/** Key of the start of the track. */
export const START_KEY = 'start';
export const CAMERA_KEY = 'camera';
/** Key of how the camera misses its start; only where somebody has typed that. */
export const CAMERA_START_KEY = 'camera start';
export const subjectKey = (subjectId: string) => `person ${subjectId}`;
export const moveKey = (pullId: string) => `pull ${pullId}`;

/** Whether the camera misses its start mark. */
export function isCameraStartMissed({ floor }: Pick<ShotPlan, 'floor'>): boolean {
  return (floor?.camera[0]?.missSigmaMm ?? 0) > 0;
}

/**
 * Assigns random numbers to everything in a plan that draws them.
 *
 * @param like - layout of a plan to compare with. A subject of both plans draws the same numbers in both, so that the results
 * differ only by the change.
 */
export function drawLayoutOf(
  plan: Pick<ShotPlan, 'subjects' | 'focusTrack' | 'marks' | 'floor'>,
  like: DrawLayout | null = null,
): DrawLayout {
  const at = new Map(like?.at ?? []);
  let count = like?.count ?? 0;
  const give = (key: string, numbers: number) => {
    if (at.has(key)) return;
    at.set(key, count);
    count += numbers;
  };
  for (const { id } of plan.subjects) give(subjectKey(id), PER_SUBJECT);
  give(START_KEY, PER_SETTING);
  for (const { id } of plan.focusTrack.pulls) give(moveKey(id), PER_SETTING);
  // lateness of the camera, and how it misses the ends of its moves; its drift is drawn apart, frame by frame
  give(CAMERA_KEY, 2);
  if (isCameraStartMissed(plan)) give(CAMERA_START_KEY, 1);
  const setup = new Map(like?.setup ?? []);
  for (const { id } of plan.marks) if (!setup.has(id)) setup.set(id, setup.size);
  return { at, count, setup };
}
