import { formatTime, type Watching, type WatchFigures } from '@still-heron/core';
import { of100 } from '../share.js';

/** What the puller looks at. */
export const WATCHED_WORDS: Readonly<Record<Watching['on'], { readonly short: string; readonly means: string }>> = {
  nothing: { short: 'nothing', means: 'The puller goes by marks and cues, and does not see softness.' },
  display: { short: 'a display', means: 'The puller sees softness on a display, and corrects it.' },
  subject: { short: 'the subject', means: 'The puller sees who stands beside the mark, and corrects the distance.' },
};

/** When softness is noticed, and how long it lasts. */
export function watchFiguresText({ seenFromCircles, byDistance, noticedAfterS, correctionS, sharpAgainS }: WatchFigures): string {
  const seen =
    byDistance === null
      ? `Blur is seen there from ${seenFromCircles.toFixed(1)} times the limit of sharpness on.`
      : `A miss of ${Math.round(100 * byDistance)} % of the distance is seen.`;
  return `${seen} It is noticed after ${noticedAfterS.toFixed(2)} s and corrected in ${correctionS.toFixed(2)} s: sharp again after ${sharpAgainS.toFixed(2)} s.`;
}

/** Keep rates of a puller who sees nothing and of one who watches. */
export function watchedRatesText(blind: number, watched: number): string {
  return `${of100(watched)} takes kept with corrections, ${of100(blind)} without`;
}

/** What another picture would gain. */
export function betterPictureText(kind: 'no-delay' | 'twice-as-large', watched: number, better: number): string {
  const gain = Math.round(100 * better) - Math.round(100 * watched);
  const picture = kind === 'no-delay' ? 'A picture without delay' : 'A display twice as large';
  return gain > 0 ? `${picture}: ${of100(better)}, ${gain} more.` : `${picture} gains nothing here.`;
}

/** Why watching gains nothing in beats that allow no soft moment. */
export function toleratedText(frames: number, captureFps: number): string {
  return `A span that allows no soft moment is lost at its first soft frame. A correction takes ${frames} frames, ${formatTime(frames / captureFps)}.`;
}
