import { curveCatmullRomClosed, line } from 'd3-shape';

/** Outline of a person in profile, looking at the lens: mm behind the eye, and up. The head is drawn separately. */
const BODY: readonly (readonly [number, number])[] = [
  [48, 1545],
  [40, 1490],
  [8, 1440],
  [-8, 1320],
  [-4, 1180],
  [10, 1020],
  [14, 880],
  [24, 700],
  [30, 500],
  [44, 300],
  [50, 90],
  [0, 40],
  [-50, 8],
  [40, 0],
  [130, 4],
  [136, 90],
  [150, 320],
  [150, 480],
  [172, 700],
  [206, 860],
  [198, 940],
  [172, 1080],
  [190, 1240],
  [196, 1360],
  [166, 1450],
  [124, 1500],
  [120, 1550],
];
const outline = line<readonly [number, number]>().curve(curveCatmullRomClosed);

/**
 * Path of a standing person without the head.
 *
 * @param x - of the eye, in pixels
 * @param facing - 1 towards the right, -1 towards the lens at the left
 */
export function personOutline(x: number, groundY: number, pxPerMm: number, facing: 1 | -1): string {
  return outline(BODY.map(([behind, up]) => [x - facing * behind * pxPerMm, groundY - up * pxPerMm] as const)) ?? '';
}
