import { type CameraPose, type Landmark, see, type Sighting } from '../floor/index.js';

/** Corners of a thing and the middles of its sides, as shares of half its size: what of it may lie in a part of the picture. */
const OUTLINE = [-1, 0, 1].flatMap((across) => [-1, 0, 1].map((along) => [across, along] as const));

/**
 * How the lens meets a thing that stands on the set: its middle, its corners, and the middles of its sides, each at the height nearest to that of the
 * lens.
 */
export function sightingsOf(thing: Landmark, pose: CameraPose): Sighting[] {
  const rad = (thing.turnedDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(rad), Math.sin(rad)];
  const heightMm = Math.min(thing.tallMm, pose.camera.heightMm);
  return OUTLINE.map(([across, along]) => {
    const [x, y] = [(across * thing.widthMm) / 2, (along * thing.depthMm) / 2];
    return see(pose, { xMm: thing.xMm + x * cos - y * sin, yMm: thing.yMm + x * sin + y * cos }, heightMm);
  });
}
