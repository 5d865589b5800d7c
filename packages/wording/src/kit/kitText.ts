import {
  type Aid,
  type HoldTest,
  isZoom,
  type KitItems,
  type KitKind,
  type Lens,
  type LensAutofocus,
  type Puller,
  type RingResponse,
  type Support,
  type TestAnswer,
} from '@still-heron/core';
import { counted } from '../figure.js';

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
    empty: 'Describe the lens you use most. Both ends of the ring and a few taped distances are enough.',
  },
  cameras: {
    one: 'camera',
    many: 'Cameras',
    empty: 'Describe a camera by its recording modes. Then test which focus aids work in each of them.',
  },
  wheels: {
    one: 'wheel',
    many: 'Wheels',
    empty: 'Describe a hand wheel or a motor by its gear. Marks are then shown in degrees of the wheel.',
  },
  rigs: {
    one: 'rig',
    many: 'Rigs',
    empty: 'Describe what the camera stands on, who pulls focus, and which parts that needs.',
  },
};

export const AID_WORDS: Readonly<Record<Aid, { readonly short: string; readonly ask: string }>> = {
  magnify: { short: 'Magnify', ask: 'Can the picture be magnified to judge focus?' },
  outlines: { short: 'Peaking', ask: 'Can the camera outline sharp edges (peaking)?' },
  'focus-while-rolling': { short: 'Focus while rolling', ask: 'While it rolls: does turning the ring change focus?' },
  'magnify-while-rolling': {
    short: 'Magnify while rolling',
    ask: 'While it rolls: can the picture be magnified?',
  },
  unsqueeze: { short: 'Unsqueeze', ask: 'Can a squeezed picture be shown at its full width?' },
  monochrome: { short: 'Monochrome', ask: 'Can the picture be shown without colour, so that peaking stands out?' },
  'distance-shown': { short: 'Focus distance', ask: 'Does the camera show the focus distance of the lens?' },
  'automatic-rolling': { short: 'Autofocus, rolling', ask: 'While it rolls: does autofocus keep a walking person sharp?' },
  'automatic-stills': { short: 'Autofocus, stills', ask: 'For stills: does autofocus work?' },
};

export const RESPONSE_WORDS: Readonly<Record<RingResponse, { readonly short: string; readonly means: string }>> = {
  angle: { short: 'by angle', means: 'The same ring angle is always the same distance: marks on the ring hold.' },
  speed: {
    short: 'by speed of turning',
    means: 'A fast turn changes focus more than a slow one: no mark on the ring and no hard stop holds.',
  },
  steps: { short: 'in steps', means: 'Each press moves focus one step: a mark is a number of presses.' },
};

export const HOLD_WORDS: Readonly<Record<HoldTest, string>> = {
  untested: 'not tested',
  holds: 'holds focus',
  drifts: 'loses focus',
};

export const TEST_WORDS: Readonly<Record<TestAnswer, string>> = { untested: 'not tested', yes: 'works', no: 'fails' };

/** Whether autofocus works with a lens. */
export const LENS_AUTOFOCUS_WORDS: Readonly<Record<LensAutofocus, string>> = {
  untested: 'not tested',
  'no-motor': 'no motor in the lens',
  works: 'works, tested',
  fails: 'fails, tested',
};

export const SUPPORT_WORDS: Readonly<Record<Support, string>> = {
  legs: 'tripod',
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
  puller: 'a focus puller at the camera',
  remote: 'a focus puller by remote',
};

const figure = (value: number) => String(Number(value.toFixed(2)));

/** A lens in one line: focal lengths, stops and ring. */
export function lensLine(lens: Lens): string {
  const focal = isZoom(lens) ? `${figure(lens.focalLengthMm)}–${figure(lens.longestMm)} mm` : `${figure(lens.focalLengthMm)} mm`;
  const scale = lens.stopScale === 'T' ? 'T' : 'f/';
  return `${focal} · ${scale}${figure(lens.widestStop)} to ${figure(lens.narrowestStop)} · ${ringLine(lens)}`;
}

function ringLine({ ring }: Lens): string {
  if (ring.kind === 'helicoid') return `throw ${figure(ring.focusThrowDeg)}°`;
  return ring.kind === 'table' ? `${ring.points.length} scale points` : `scale of ${ring.points.length} readings`;
}

/** Second line of an item in the list. */
export function itemLine<K extends KitKind>(kind: K, item: KitItems[K]): string {
  const any = { [kind]: item } as Partial<KitItems>;
  if (any.lenses) return lensLine(any.lenses.lens);
  if (any.cameras) return `${counted(any.cameras.modes.length, 'mode')} · software ${any.cameras.software || 'unknown'}`;
  if (any.wheels) return `${any.wheels.kind} · ${figure(any.wheels.wheelPerRing)} × the ring`;
  return `${SUPPORT_WORDS[any.rigs!.support]} · ${PULLER_WORDS[any.rigs!.puller]}`;
}

/** What happens to scale points if the figures of their lens are changed. */
export function scaleOfAnotherLens(name: string, points: number): string {
  return `The ring has the ${counted(points, 'scale point')} of ${name}. With another focal length or close focus they are dropped.`;
}
