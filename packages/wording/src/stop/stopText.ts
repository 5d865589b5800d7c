import { formatStop, formatStops, type HowWide, type LightBalance, type ShotPlan } from '@still-heron/core';
import { counted, stopOnRing } from '../figure.js';
import type { SentencePart } from '../sentence.js';
import { takesOf100 } from '../share.js';

/** Answers how wide the shot can be, in a sentence. */
export function howWideText({ keeps, isSure, softest, answer, best }: HowWide, { goals, optics }: ShotPlan): SentencePart[] {
  const target = takesOf100(goals.targetKeepRate);
  const print = (stop: number) => formatStop(stop, optics.lens.stopScale);
  const onRing = (stop: number) => stopOnRing(stop, optics.lens);
  const about = isSure ? '' : 'about ';
  const blur = `${goals.blurPercent} %`;
  const behind = goals.background.name || 'the background';
  switch (answer) {
    case 'open':
      return [{ tone: 'sharp', text: `${print(keeps!.stop)}, the widest stop, keeps ${target}.` }];
    case 'from':
      return [{ tone: 'sharp', text: `${onRing(keeps!.stop)} is ${about}the widest stop that keeps ${target}.` }];
    case 'between': {
      const span = softest!.stop === keeps!.stop ? print(keeps!.stop) : `${print(keeps!.stop)} to ${print(softest!.stop)}`;
      return [{ tone: 'sharp', text: `${span} keeps ${target}, with ${behind} at ${blur} blur or more.` }];
    }
    case 'apart':
      return [
        { tone: 'edge', text: `${onRing(keeps!.stop)} keeps ${target},` },
        {
          tone: 'soft',
          text: softest
            ? `and ${behind} has ${blur} blur only up to ${print(softest.stop)}.`
            : `and at no stop has ${behind} ${blur} blur.`,
        },
      ];
    case 'never':
      return [
        { tone: 'soft', text: `No stop keeps ${target}.` },
        { tone: 'plain', text: `${onRing(best.stop)} keeps the most: ${takesOf100(best.keepRate)}.` },
      ];
  }
}

/** Light lost or gained from one stop to another. */
export function lightText(fromStop: number, toStop: number): string {
  const stops = 2 * Math.log2(toStop / fromStop);
  if (Math.abs(stops) < 1 / 6) return 'the same light';
  return `${formatStops(stops)} ${stops > 0 ? 'less' : 'more'} light`;
}

/** Changed settings of a light balance with their new values. */
export function balanceText({ iso, ndStops, shutterAngleDeg, lampFactor }: LightBalance, { exposure }: ShotPlan): string {
  const parts: string[] = [];
  if (Math.abs(ndStops - exposure.ndStops) > 0.02)
    parts.push(ndStops < 0.05 ? 'no ND' : `ND ${counted(Number(ndStops.toFixed(1)), 'stop')}`);
  if (Math.abs(lampFactor - 1) > 0.01) parts.push(`lamps ×${lampFactor < 1 ? lampFactor.toFixed(2) : lampFactor.toFixed(1)}`);
  if (Math.abs(shutterAngleDeg - exposure.shutterAngleDeg) > 0.05) parts.push(`shutter ${shutterAngleDeg.toFixed(1)}°`);
  if (Math.abs(Math.log2(iso / exposure.iso)) > 0.02) parts.push(`ISO ${Math.round(iso)}`);
  return parts.join(' + ');
}
