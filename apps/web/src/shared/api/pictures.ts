import type { ErrorBody, PictureView } from '@still-heron/contract';
import { PICTURE_BYTES, PICTURE_TYPES } from '@still-heron/core';

export const PICTURE_ACCEPT = PICTURE_TYPES.join(',');

export function pictureAddress(id: string): string {
  return `/api/pictures/${id}`;
}

export type SentPicture =
  | { readonly status: 'kept'; readonly picture: PictureView }
  | { readonly status: 'refused'; readonly problem: Pick<ErrorBody, 'message' | 'need'> };

/** Uploads a picture of the set. Files that are too large or not a picture are rejected before the upload. */
export async function sendPicture(file: File): Promise<SentPicture> {
  const refused = (message: string, need: string): SentPicture => ({ status: 'refused', problem: { message, need } });
  const type = PICTURE_TYPES.find((known) => known === file.type);
  if (!type) return refused(`“${file.name}” is not a picture that can be laid here`, 'a PNG, a JPEG or an SVG');
  if (file.size > PICTURE_BYTES) {
    const megabytes = (file.size / 1024 ** 2).toFixed(0);
    return refused(
      `“${file.name}” is ${megabytes} MB large`,
      `a picture of at most ${PICTURE_BYTES / 1024 ** 2} MB: save it smaller, or as a JPEG`,
    );
  }
  try {
    const response = await fetch('/api/pictures', { method: 'POST', headers: { 'Content-Type': type }, body: file });
    if (response.ok) return { status: 'kept', picture: (await response.json()) as PictureView };
    const { message, need } = (await response.json()) as ErrorBody;
    return refused(`“${file.name}” was not taken: ${message}`, need);
  } catch {
    return refused('The server does not answer', 'the server running, then the picture again');
  }
}
