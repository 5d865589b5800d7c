import { PICTURE_TYPES, type PictureType } from '@still-heron/core';
import { imageSize } from 'image-size';
import { RequestProblem } from '../http/request-problem.js';
import type { Task } from '../work/task.js';
import { svgDanger } from './check-svg.js';

export interface ReadPicture {
  readonly type: PictureType;
  readonly widthPx: number;
  readonly heightPx: number;
}

const TYPES: Readonly<Record<string, PictureType>> = { png: 'image/png', jpg: 'image/jpeg', svg: 'image/svg+xml' };
const MAX_PX = 20_000;

/**
 * Type and size of a picture, from its contents, regardless of its name.
 *
 * @throws {RequestProblem} 400 for an unknown type, a picture without size, or an unsafe SVG
 */
export function readPicture(contents: Uint8Array): ReadPicture {
  const found = sizeOf(contents);
  const type = found?.type === undefined ? undefined : TYPES[found.type];
  if (!found || !type) throw RequestProblem.of(400, 'picture', 'not-a-picture', { types: PICTURE_TYPES });
  if (type === 'image/svg+xml') {
    const danger = svgDanger(new TextDecoder().decode(contents));
    if (danger !== null) throw RequestProblem.of(400, 'picture', 'svg-not-plain', danger);
  }
  // a JPEG can store a quarter turn in its metadata
  const isTurned = (found.orientation ?? 1) >= 5;
  const [widthPx, heightPx] = isTurned ? [found.height, found.width] : [found.width, found.height];
  const fits = (px: number) => px >= 1 && px <= MAX_PX;
  if (!fits(widthPx) || !fits(heightPx))
    throw RequestProblem.of(400, 'picture', 'wrong-size', { widthPx, heightPx, maxPx: MAX_PX });
  return { type, widthPx: Math.ceil(widthPx), heightPx: Math.ceil(heightPx) };
}

/** null if it can't be read as a picture. */
function sizeOf(contents: Uint8Array) {
  try {
    return imageSize(contents);
  } catch {
    return null;
  }
}

/** Whether a media type is a picture type. */
export function isPictureType(type: string | undefined): boolean {
  return PICTURE_TYPES.some((known) => type?.split(';')[0]?.trim() === known);
}

interface Refused {
  readonly refused: Pick<RequestProblem, 'status' | 'body'>;
}

export const READ_PICTURE: Task<Uint8Array, ReadPicture | Refused> = { name: 'readPicture', run: readOrRefuse };

/** The same for another thread, which can't throw a `RequestProblem` to this one. */
function readOrRefuse(contents: Uint8Array): ReadPicture | Refused {
  try {
    return readPicture(contents);
  } catch (error) {
    if (!(error instanceof RequestProblem)) throw error;
    return { refused: { status: error.status, body: error.body } };
  }
}
