import { CoreError, PlanError } from '../errors.js';
import { problem, type Problem, type ProblemValues } from '../problems.js';
import type { JsonSchema, Shape } from '../shape.js';
import type { KitCamera } from './kitCamera.js';
import { KIT_LIMITS } from './kitLimits.js';
import { kitCameraShape, kitLensShape, rigShape, wheelShape } from './kitShapes.js';
import { isZoom, type KitLens, type Lens, nearestFocusMm, ringOf } from './lens.js';
import type { Rig } from './rig.js';
import type { RingPoint } from './ring.js';
import { readingsProblems } from './scaleOfReadings.js';
import { scaleProblems } from './scaleProblems.js';
import type { Wheel } from './wheel.js';

/** The kinds of kit and their types. */
export interface KitItems {
  readonly cameras: KitCamera;
  readonly lenses: KitLens;
  readonly wheels: Wheel;
  readonly rigs: Rig;
}
export type KitKind = keyof KitItems;
export const KIT_KINDS: readonly KitKind[] = ['cameras', 'lenses', 'wheels', 'rigs'];

const SHAPES: { readonly [K in KitKind]: Shape<KitItems[K]> } = {
  cameras: kitCameraShape,
  lenses: kitLensShape,
  wheels: wheelShape,
  rigs: rigShape,
};

/** JSON Schemas of kit items, by kind. */
export const KIT_SCHEMAS: Readonly<Record<KitKind, JsonSchema>> = {
  cameras: kitCameraShape.schema,
  lenses: kitLensShape.schema,
  wheels: wheelShape.schema,
  rigs: rigShape.schema,
};

/** Display name of a kit item. */
export function kitName<K extends KitKind>(kind: K, item: KitItems[K]): string {
  return kind === 'lenses' ? (item as KitLens).lens.name : (item as KitCamera | Wheel | Rig).name;
}

/**
 * Lists every problem of a kit item.
 *
 * @param value - anything, as it comes from a file or over the wire
 * @returns empty for an item that can be stored and used in a shot
 */
export function checkKitItem(kind: KitKind, value: unknown): Problem[] {
  const problems: Problem[] = [];
  SHAPES[kind].check(value, '', problems);
  if (problems.length > 0) return problems;
  if (kind === 'lenses') return lensProblems((value as KitLens).lens, 'lens');
  if (kind === 'cameras') return cameraProblems(value as KitCamera);
  return [];
}

/** @throws {PlanError} listing every problem */
export function assertKitItem<K extends KitKind>(kind: K, value: unknown): asserts value is KitItems[K] {
  const [first, ...others] = checkKitItem(kind, value);
  if (first) throw new PlanError([first, ...others]);
}

/** Contradictions between the figures of a lens. @param path - path of the lens in the checked value */
export function lensProblems(lens: Lens, path: string): Problem[] {
  const problems: Problem[] = [];
  const at = (field: keyof Lens) => `${path}.${field}`;
  if (lens.longestMm < lens.focalLengthMm)
    problems.push(problem('zoom-swapped', at('longestMm'), { shortestMm: lens.focalLengthMm }));
  for (const field of ['widestStop', 'widestStopLong'] as const) {
    if (lens[field] > lens.narrowestStop)
      problems.push(problem('stops-swapped', at(field), { widestStop: lens[field], narrowestStop: lens.narrowestStop }));
  }
  if (!isZoom(lens) && lens.widestStopLong !== lens.widestStop)
    problems.push(problem('not-a-zoom', at('widestStopLong'), { widestStop: lens.widestStop }));
  if (lens.response === 'steps' && lens.stepCount < 1) problems.push(problem('no-steps', at('stepCount'), {}));
  const lifeSizeMm = 4 * Math.max(lens.longestMm, lens.focalLengthMm) + lens.principalSeparationMm;
  const nearestMm = nearestFocusMm(lens);
  if (nearestMm < lifeSizeMm)
    problems.push(problem('closer-than-life-size', at('closeFocusMm'), { given: String(nearestMm), min: lifeSizeMm }));
  else if (lens.ring.kind === 'fitted') problems.push(...fittedProblems(lens, lens.ring.points, path));
  else if (lens.ring.kind === 'table') problems.push(...ringProblems(lens, lens.ring.points, path));
  return problems;
}

/** Readings that make no scale; a fitted ring that does not turn, or turns more than any ring does. */
function fittedProblems(lens: Lens, points: readonly RingPoint[], path: string): Problem[] {
  const problems = readingsProblems(lens, points).map((found) => ({ ...found, path: `${path}.ring.${found.path}` }));
  if (problems.length > 0) return problems;
  const { throwDeg } = ringOf(lens);
  const { min, max } = KIT_LIMITS.focusThrowDeg;
  return throwDeg >= min && throwDeg <= max ? [] : [problem('throw-unlikely', `${path}.ring`, { throwDeg, min, max })];
}

function ringProblems(lens: Lens, points: Parameters<typeof scaleProblems>[0], path: string): Problem[] {
  const named = scaleProblems(points).map((problem) => ({ ...problem, path: `${path}.ring.${problem.path}` }));
  if (named.length > 0) return named;
  try {
    ringOf(lens);
    return [];
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return [{ ...error.problem, path: `${path}.ring.${error.path}` }];
  }
}

function cameraProblems(camera: KitCamera): Problem[] {
  const twice = (path: string, values: readonly (string | number)[], what: ProblemValues['twice']['what']): Problem[] =>
    values.flatMap((value, index) =>
      values.indexOf(value) < index ? [problem('twice', `${path}[${index}]`, { what, value })] : [],
    );
  const idsOf = (items: readonly { readonly id: string }[]) => items.map(({ id }) => id);
  return [
    ...twice('modes', idsOf(camera.modes), 'id'),
    ...twice('steadying', idsOf(camera.steadying), 'id'),
    ...twice('displays', camera.displays, 'display'),
    ...twice('frameRates', camera.frameRates, 'frame-rate'),
    ...twice('baseIsos', camera.baseIsos, 'iso'),
  ];
}
