import type { ErrorBody, PictureView } from '@still-heron/contract';
import { PICTURE_BYTES, PICTURE_TYPES } from '@still-heron/core';
import { type PictureRefusal, pictureRefusal, type ProblemText } from '@still-heron/wording';

export const PICTURE_ACCEPT = PICTURE_TYPES.join(',');

export function pictureAddress(id: string): string {
  return `/api/pictures/${id}`;
}

export type SentPicture =
  { readonly status: 'kept'; readonly picture: PictureView } | { readonly status: 'refused'; readonly problem: ProblemText };

/** Uploads a picture of the set. Files that are too large or not a picture are rejected before the upload. */
export async function sendPicture(file: File): Promise<SentPicture> {
  const refused = (refusal: PictureRefusal): SentPicture => ({ status: 'refused', problem: pictureRefusal(file.name, refusal) });
  const type = PICTURE_TYPES.find((known) => known === file.type);
  if (!type) return refused({ kind: 'not-a-picture' });
  if (file.size > PICTURE_BYTES)
    return refused({ kind: 'too-large', megabytes: file.size / 1024 ** 2, maxMegabytes: PICTURE_BYTES / 1024 ** 2 });
  try {
    const response = await fetch('/api/pictures', { method: 'POST', headers: { 'Content-Type': type }, body: file });
    if (response.ok) return { status: 'kept', picture: (await response.json()) as PictureView };
    return refused({ kind: 'rejected', by: (await response.json()) as ErrorBody });
  } catch {
    return refused({ kind: 'unreachable' });
  }
}
