import { PICTURE_TYPES, type PictureType } from '@still-heron/core';
import { imageSize } from 'image-size';
import { RequestProblem } from '../http/request-problem.js';
import { svgDoubt } from './check-svg.js';

export interface ReadPicture {
  readonly type: PictureType;
  readonly widthPx: number;
  readonly heightPx: number;
}

const TYPES: Readonly<Record<string, PictureType>> = { png: 'image/png', jpg: 'image/jpeg', svg: 'image/svg+xml' };
const MOST_PX = 20_000;

/**
 * Type and size of a picture, from its contents, regardless of its name.
 *
 * @throws {RequestProblem} 400 for an unknown type, a picture without size, or an unsafe SVG
 */
export function readPicture(contents: Uint8Array): ReadPicture {
  const refuse = (code: string, message: string, need: string) =>
    new RequestProblem(400, { code, message, path: 'picture', need });
  const found = sizeOf(contents);
  const type = found?.type === undefined ? undefined : TYPES[found.type];
  if (!found || !type)
    throw refuse('not-a-picture', 'it is no picture that can be laid under a drawing', 'a PNG, a JPEG or an SVG');
  if (type === 'image/svg+xml') {
    const doubt = svgDoubt(new TextDecoder().decode(contents));
    if (doubt !== null)
      throw refuse('svg-not-plain', `the SVG holds ${doubt}`, 'an SVG of shapes alone, or the same drawing as a PNG');
  }
  // a JPEG can store a quarter turn in its metadata
  const isTurned = (found.orientation ?? 1) >= 5;
  const [widthPx, heightPx] = isTurned ? [found.height, found.width] : [found.width, found.height];
  const fits = (px: number) => px >= 1 && px <= MOST_PX;
  if (!fits(widthPx) || !fits(heightPx))
    throw refuse('wrong-size', `it is ${widthPx} by ${heightPx} pixels`, `a picture of 1 to ${MOST_PX} pixels each way`);
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
