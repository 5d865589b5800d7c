import { formatStop, formatStops, type HowWide, type ShotPlan } from '@still-heron/core';

/** A share of takes: 8 of 10; of a hundred where tenths are too coarse. */
export function ofTakes(share: number): string {
  const tenths = Math.round(share * 10);
  const isInside = tenths > 0 && tenths < 10;
  if (Math.abs(share * 10 - tenths) < (isInside ? NEARLY : 1e-9)) return `${tenths} of 10`;
  // rounding must not claim all or none
  return `${Math.min(Math.max(Math.round(share * 100), 1), 99)} of 100`;
}

/** Distance from a whole number of ten within which it may be used. */
const NEARLY = 0.1;

/** Part of a sentence with its tone. */
export interface SaidPart {
  readonly tone: 'plain' | 'sharp' | 'soft' | 'edge';
  readonly text: string;
}

/** Answers how wide the shot can be, in a sentence. */
export function howWideWords({ keeps, isSure, softest, answer, best }: HowWide, { goals, optics }: ShotPlan): SaidPart[] {
  const asked = ofTakes(goals.targetKeepRate);
  const scale = optics.lens.stopScale;
  const say = (stop: number) => formatStop(stop, scale);
  const about = isSure ? '' : 'about ';
  const blur = `${goals.blurPercent} %`;
  const behind = goals.background.name || 'the background';
  switch (answer) {
    case 'open':
      return [{ tone: 'sharp', text: `${say(keeps!.stop)}, as wide as it goes, keeps ${asked} takes.` }];
    case 'from':
      return [{ tone: 'sharp', text: `${say(keeps!.stop)} is ${about}the widest stop that keeps ${asked} takes.` }];
    case 'between': {
      const span = softest!.stop === keeps!.stop ? say(keeps!.stop) : `${say(keeps!.stop)} to ${say(softest!.stop)}`;
      return [{ tone: 'sharp', text: `${span} keeps ${asked} takes, and ${behind} at ${blur} or softer.` }];
    }
    case 'apart':
      return [
        { tone: 'edge', text: `${say(keeps!.stop)} keeps ${asked} takes,` },
        {
          tone: 'soft',
          text: softest
            ? `and ${behind} is ${blur} soft only up to ${say(softest.stop)}.`
            : `and at no stop is ${behind} ${blur} soft.`,
        },
      ];
    case 'never':
      return [
        { tone: 'soft', text: `No stop keeps ${asked} takes.` },
        { tone: 'plain', text: `${say(best.stop)} keeps the most: ${ofTakes(best.keepRate)}.` },
      ];
  }
}

/** Light lost or gained from one stop to another. */
export function lightWords(fromStop: number, toStop: number): string {
  const stops = 2 * Math.log2(toStop / fromStop);
  if (Math.abs(stops) < 1 / 6) return 'the same light';
  return `${formatStops(stops)} ${stops > 0 ? 'less' : 'more'} light`;
}
