import { circleMm, formatTime, type ShotPlan } from '@still-heron/core';

/** What enlarging the picture later does to the limit of sharpness; undefined for a picture that stays as it is. */
export function enlargedText({ optics: { camera, sharpness, enlargedPercent } }: Pick<ShotPlan, 'optics'>): string | undefined {
  if (enlargedPercent === 0) return undefined;
  const micron = (mm: number) => `${(1000 * mm).toFixed(1)} µm`;
  const [before, after] = [circleMm(camera, sharpness), circleMm(camera, sharpness, enlargedPercent)];
  if (before === after) return 'Pixels keep their size, so that the zone stays as it is.';
  return `Blur shows more: sharp to ${micron(after)} instead of ${micron(before)}. The zone is thinner.`;
}

/** Shape of the delivered picture: "2.39 : 1". */
export function frameText(aspect: number | null): string {
  return aspect === null ? 'as recorded' : `${Number(aspect.toFixed(2))} : 1`;
}

/** How long the shot lasts when it is played back, where that differs from its length; undefined where it does not. */
export function onScreenText({
  captureFps,
  deliveryFps,
  durationS,
}: Pick<ShotPlan, 'captureFps' | 'deliveryFps' | 'durationS'>): string | undefined {
  const times = captureFps / deliveryFps;
  if (Math.abs(times - 1) < SAME_SPEED) return undefined;
  const speed = times > 1 ? `${Number(times.toFixed(2))} × slow motion` : `${Number((1 / times).toFixed(2))} × faster`;
  return `${speed}: ${formatTime(durationS)} last ${formatTime(durationS * times)} on the screen`;
}

/** Frame rates this near to each other are played at the same speed: 23.976 and 24. */
const SAME_SPEED = 0.01;
