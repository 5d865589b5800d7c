import type { Aid, HoldTest, KitItems, KitKind, Lens, Puller, RingResponse, Support } from '@still-heron/core';
import { isZoom } from '@still-heron/core';

interface KindWords {
  readonly one: string;
  readonly many: string;
  /** What to do while the list is empty */
  readonly empty: string;
}

export const KIND_WORDS: Readonly<Record<KitKind, KindWords>> = {
  lenses: {
    one: 'lens',
    many: 'Lenses',
    empty: 'Describe the lens you pull on most: two ends and a few taped distances make its ring.',
  },
  cameras: {
    one: 'camera',
    many: 'Cameras',
    empty: 'Describe a camera by its recording modes, then try out which focus aids work where.',
  },
  wheels: {
    one: 'wheel',
    many: 'Wheels',
    empty: 'A hand wheel or a motor, by its gear: marks are then shown in the degrees the hand feels.',
  },
  rigs: { one: 'rig', many: 'Rigs', empty: 'How the camera is carried, who pulls, and which parts that takes.' },
};

export const AID_WORDS: Readonly<Record<Aid, { readonly short: string; readonly ask: string }>> = {
  magnify: { short: 'Magnify', ask: 'Can the picture be magnified to judge focus?' },
  outlines: { short: 'Outlines', ask: 'Can sharp edges be outlined?' },
  'focus-while-rolling': { short: 'Focus while rolling', ask: 'While it rolls: does turning the ring change focus?' },
  'magnify-while-rolling': {
    short: 'Magnify while rolling',
    ask: 'While it rolls: does the picture stay magnified, or magnify?',
  },
  unsqueeze: { short: 'Unsqueeze', ask: 'Can a squeezed picture be shown at its full width?' },
  monochrome: { short: 'Monochrome', ask: 'Can the picture be shown without colour, so that outlines stand out?' },
  'distance-shown': { short: 'Distance shown', ask: 'Does it show the distance the lens is focused at?' },
  'automatic-rolling': { short: 'Automatic, rolling', ask: 'While it rolls: does automatic focus keep someone who walks sharp?' },
  'automatic-stills': { short: 'Automatic, stills', ask: 'For single pictures: does automatic focus work?' },
};

export const RESPONSE_WORDS: Readonly<Record<RingResponse, { readonly short: string; readonly means: string }>> = {
  angle: { short: 'by angle', means: 'the same place is always the same distance: marks hold' },
  speed: {
    short: 'by speed of turning',
    means: 'a fast turn goes farther than a slow one: no ring mark and no end stop holds',
  },
  steps: { short: 'in steps', means: 'each press is a step: marks are counts of presses' },
};

export const HOLD_WORDS: Readonly<Record<HoldTest, string>> = {
  untested: 'not tested',
  holds: 'holds its focus',
  drifts: 'loses its focus',
};

export const SUPPORT_WORDS: Readonly<Record<Support, string>> = {
  legs: 'legs',
  slider: 'slider',
  dolly: 'dolly',
  shoulder: 'shoulder',
  handheld: 'handheld',
  'palm-and-fingers': 'palm and fingers',
  stabiliser: 'stabiliser',
  crane: 'crane',
  vehicle: 'vehicle',
  cable: 'cable rig',
};

export const PULLER_WORDS: Readonly<Record<Puller, string>> = {
  alone: 'the operator, alone',
  puller: 'a puller at the camera',
  remote: 'a puller by remote',
};

const figure = (value: number) => String(Number(value.toFixed(2)));

/** A lens in one line: focal lengths, stops and ring. */
export function lensLine(lens: Lens): string {
  const focal = isZoom(lens) ? `${figure(lens.focalLengthMm)}–${figure(lens.longestMm)} mm` : `${figure(lens.focalLengthMm)} mm`;
  const scale = lens.stopScale === 'T' ? 'T' : 'f/';
  const ring =
    lens.ring.kind === 'table' ? `${lens.ring.points.length} scale points` : `throw ${figure(lens.ring.focusThrowDeg)}°`;
  return `${focal} · ${scale}${figure(lens.widestStop)} to ${figure(lens.narrowestStop)} · ${ring}`;
}

/** Second line of an item in the list. */
export function lineOf<K extends KitKind>(kind: K, item: KitItems[K]): string {
  const any = { [kind]: item } as Partial<KitItems>;
  if (any.lenses) return lensLine(any.lenses.lens);
  if (any.cameras)
    return `${any.cameras.modes.length} ${any.cameras.modes.length === 1 ? 'mode' : 'modes'} · software ${any.cameras.software || 'not said'}`;
  if (any.wheels) return `${any.wheels.kind} · ${figure(any.wheels.wheelPerRing)} × the ring`;
  return `${SUPPORT_WORDS[any.rigs!.support]} · ${PULLER_WORDS[any.rigs!.puller]}`;
}
