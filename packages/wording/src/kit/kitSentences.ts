import {
  aidMatrix,
  fitHelicoid,
  focusShiftPerDegMm,
  formatDistance,
  formatGap,
  type KitCamera,
  type Lens,
  missingParts,
  type Rig,
  ringOf,
  type RingPoint,
  type UnitSystem,
  type WheelTurn,
} from '@still-heron/core';
import { counted, listed } from '../figure.js';
import type { SentencePart } from '../sentence.js';

/** How many aids of a camera are tested, and how many tests are outdated. */
export function cameraSentence(camera: KitCamera, today: string): SentencePart[] {
  const cells = aidMatrix(camera, today);
  if (cells.length === 0) return [{ tone: 'plain', text: 'No display yet. Add a display, then test its focus aids.' }];
  const untested = cells.filter(({ answer }) => answer === 'untested').length;
  const again = cells.filter(({ retest }) => retest !== null);
  const software = again.filter(({ retest }) => retest === 'other-software').length;
  const tested: SentencePart = {
    tone: untested === cells.length ? 'edge' : 'sharp',
    text: `${cells.length - untested} of ${cells.length} tested.`,
  };
  if (again.length > 0) {
    const why = software > 0 ? `${software} with other software` : `older than ${camera.retestAfterDays} days`;
    return [tested, { tone: 'edge', text: `${again.length} to test again: ${why}.` }];
  }
  return [tested, { tone: 'plain', text: untested > 0 ? 'Untested aids may fail on the day.' : 'All tests are current.' }];
}

/**
 * The ring of a lens, and the effect of a small turn at a distance. Problems of its scale come first.
 *
 * @param points - readings of the scale
 */
export function lensSentence(lens: Lens, points: readonly RingPoint[], atMm: number, units: UnitSystem): SentencePart[] {
  if (lens.response === 'speed')
    return [
      { tone: 'soft', text: 'No mark on this ring holds.' },
      {
        tone: 'plain',
        text: 'It answers to the speed of turning, so one place on it is not always the same distance. Set it to answer by angle in the camera, or focus by eye.',
      },
    ];
  const off = fitHelicoid(points, lens.focalLengthMm, lens.principalSeparationMm)?.points.filter(({ standsOut }) => standsOut);
  if (off && off.length > 0) {
    const names = listed(off.map(({ index }) => formatDistance(points[index]!.distanceMm ?? Infinity, units)));
    const isOne = off.length === 1;
    return [
      { tone: 'soft', text: `${names} ${isOne ? 'does' : 'do'} not fit the other points:` },
      {
        tone: 'plain',
        text: `${Math.abs(off[0]!.residualDeg).toFixed(1)}° off. Read ${isOne ? 'it' : 'them'} again before you use the lens.`,
      },
    ];
  }
  const ring = ringOf(lens);
  const far = ring.farthestMm === Infinity ? 'infinity' : formatDistance(ring.farthestMm, units);
  const shift =
    atMm === Infinity
      ? 'Turn it off infinity to see the effect of a degree.'
      : `Near ${formatDistance(atMm, units)} one degree moves focus by ${formatGap(focusShiftPerDegMm(lens, atMm), units)}.`;
  const steps = lens.response === 'steps' ? ` ${lens.stepCount} presses from end to end.` : '';
  return [
    { tone: 'sharp', text: `${Math.round(ring.throwDeg)}° from ${far} to ${formatDistance(ring.closeFocusMm, units)}.` },
    { tone: 'plain', text: `${shift}${steps}` },
  ];
}

/** Whether a rig is complete, and which parts are missing. */
export function rigSentence(rig: Rig): SentencePart[] {
  const missing = missingParts(rig);
  if (rig.parts.length === 0) return [{ tone: 'plain', text: 'No parts listed yet. Add the usual ones for this support below.' }];
  if (missing.length === 0) return [{ tone: 'sharp', text: `Complete: all ${rig.parts.length} parts are here.` }];
  return [
    { tone: 'edge', text: `${missing.length} of ${rig.parts.length} parts missing:` },
    { tone: 'plain', text: `${missing.join(', ')}.` },
  ];
}

interface WheelPull {
  readonly turn: WheelTurn;
  readonly fromMm: number;
  readonly toMm: number;
  readonly lens: Lens;
  readonly nearerTurns: Lens['nearerTurns'];
}

/** What a pull needs at a wheel: its landing window on the disc, its least time, and how often the hand must regrip. */
export function wheelSentence({ turn, fromMm, toMm, lens, nearerTurns }: WheelPull, units: UnitSystem): SentencePart[] {
  const way = `from ${formatDistance(fromMm, units)} to ${formatDistance(toMm, units)} on the ${lens.name} at its widest stop`;
  const regrips = turn.regrips > 0 ? `, with ${counted(turn.regrips, 'regrip')}` : '';
  return [
    { tone: 'sharp', text: `${turn.windowOnDiscMm.toFixed(1)} mm landing window on the disc,` },
    {
      tone: 'plain',
      text: `and ${turn.minTimeS.toFixed(2)} s at least, ${way}${regrips}. Nearer turns it ${nearerTurns}.`,
    },
  ];
}
