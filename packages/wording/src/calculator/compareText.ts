import {
  type ComparedSetup,
  formatGap,
  type HeldEqual,
  type LensSetup,
  type UnitSystem,
  pictureSize,
  matchFormat,
  fNumberOf,
  stopOfFNumber,
  formatStop,
} from '@still-heron/core';
import type { SentencePart } from '../sentence.js';

/** Ratio from which two zones, or two windows, count as different. */
const ALIKE = 1.08;

/** Which set-up has the deeper zone, and which the wider ring window. What is held equal comes first. */
export function compareSentence(
  setups: readonly LensSetup[],
  compared: readonly ComparedSetup[],
  held: HeldEqual,
  units: UnitSystem,
): SentencePart[] {
  const first: SentencePart = { tone: 'plain', text: held === 'framing' ? 'At the same framing' : 'At the same distance' };
  const reached = compared.flatMap(({ at }, index) => (at ? [{ at, name: setupName(setups[index]!) }] : []));
  if (reached.length < 2)
    return [first, { tone: 'soft', text: 'only one of them can focus there, so there is nothing to compare.' }];
  const byZone = [...reached].sort((a, b) => b.at.zone.totalMm - a.at.zone.totalMm);
  const byWindow = [...reached].sort((a, b) => b.at.windowDeg - a.at.windowDeg);
  return [
    first,
    { tone: 'sharp', text: zoneText(byZone[0]!, byZone[byZone.length - 1]!, units) },
    { tone: 'plain', text: windowText(byWindow[0]!, byWindow[byWindow.length - 1]!) },
  ];
}

interface Reached {
  readonly at: NonNullable<ComparedSetup['at']>;
  readonly name: string;
}

function zoneText(deepest: Reached, thinnest: Reached, units: UnitSystem): string {
  const [deep, thin] = [deepest.at.zone.totalMm, thinnest.at.zone.totalMm];
  if (thin === Infinity) return 'both zones extend to infinity.';
  if (deep < ALIKE * thin) return `their zones are alike, about ${formatGap(thin, units)} deep.`;
  return `${deepest.name} has the deepest zone: ${deep === Infinity ? 'to infinity' : formatGap(deep, units)} against ${formatGap(thin, units)}.`;
}

function windowText(easiest: Reached, hardest: Reached): string {
  const [wide, narrow] = [easiest.at.windowDeg, hardest.at.windowDeg];
  if (wide < ALIKE * narrow) return `For the hand they are alike: about ${narrow.toFixed(1)}° of the ring.`;
  return `For the hand ${easiest.name} is easiest: ${wide.toFixed(1)}° of the ring against ${narrow.toFixed(1)}°.`;
}

/** "50 mm T2.8 at T4": the name of a lens without its own stop, and the stop in use. */
function setupName({ lens, stop }: LensSetup): string {
  return `${lens.name.replace(/ (T|f\/)[\d.]+$/, '')} at ${lens.stopScale === 'T' ? 'T' : 'f/'}${Number(stop.toFixed(1))}`;
}

/** Focal length and stop that give the first set-up's picture on another format, by the ratio of the diagonals. */
export function formatMatchText(first: LensSetup, other: LensSetup): string | null {
  const [from, to] = [pictureSize(first.camera), pictureSize(other.camera)];
  const match = matchFormat({ focalLengthMm: first.focalLengthMm, fNumber: fNumberOf(first.lens, first.stop) }, from, to);
  if (Math.abs(match.ratio - 1) < 0.005) return null;
  const stop = stopOfFNumber(other.lens, match.fNumber);
  return `Framing of the first set-up: ${match.focalLengthMm.toFixed(0)} mm at ${formatStop(stop, other.lens.stopScale)} (× ${match.ratio.toFixed(2)}, by the picture diagonals).`;
}
