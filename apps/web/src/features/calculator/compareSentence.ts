import {
  type LensSetup,
  type ComparedSetup,
  formatGap,
  type HeldEqual,
  type SentencePart,
  type UnitSystem,
} from '@still-heron/core';

/** Ratio from which two zones, or two windows, count as different. */
const ALIKE = 1.08;

/** Says which set-up has the deeper zone and which the wider ring window. What is held equal comes first. */
export function compareSentence(
  setups: readonly LensSetup[],
  compared: readonly ComparedSetup[],
  held: HeldEqual,
  units: UnitSystem,
): SentencePart[] {
  const first: SentencePart = { tone: 'plain', text: held === 'framing' ? 'At the same framing' : 'At the same distance' };
  const reached = compared.flatMap(({ at }, index) => (at ? [{ at, name: nameOf(setups[index]!) }] : []));
  if (reached.length < 2) return [first, { tone: 'soft', text: 'only one of them can focus there: nothing to hold against it.' }];
  const byZone = [...reached].sort((a, b) => b.at.zone.totalMm - a.at.zone.totalMm);
  const byHand = [...reached].sort((a, b) => b.at.windowDeg - a.at.windowDeg);
  const [wide, thin] = [byZone[0]!, byZone[byZone.length - 1]!];
  const [easy, hard] = [byHand[0]!, byHand[byHand.length - 1]!];
  const parts: SentencePart[] = [first];
  if (wide.at.zone.totalMm === Infinity && thin.at.zone.totalMm === Infinity)
    parts.push({ tone: 'sharp', text: 'both zones go on to infinity.' });
  else if (wide.at.zone.totalMm < ALIKE * thin.at.zone.totalMm)
    parts.push({ tone: 'sharp', text: `their zones are alike, about ${formatGap(thin.at.zone.totalMm, units)} deep.` });
  else
    parts.push({
      tone: 'sharp',
      text: `${wide.name} forgives a subject most: ${wide.at.zone.totalMm === Infinity ? 'to infinity' : formatGap(wide.at.zone.totalMm, units)} against ${formatGap(thin.at.zone.totalMm, units)}.`,
    });
  parts.push({
    tone: 'plain',
    text:
      easy.at.windowDeg < ALIKE * hard.at.windowDeg
        ? `For the hand they are alike: about ${hard.at.windowDeg.toFixed(1)}° of the ring.`
        : `For the hand ${easy.name} is easiest: ${easy.at.windowDeg.toFixed(1)}° of the ring against ${hard.at.windowDeg.toFixed(1)}°.`,
  });
  return parts;
}

function nameOf({ lens, stop }: LensSetup): string {
  return `${lens.name.replace(/ (T|f\/)[\d.]+$/, '')} at ${lens.stopScale === 'T' ? 'T' : 'f/'}${Number(stop.toFixed(1))}`;
}
