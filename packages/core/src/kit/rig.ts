/** What carries the camera. */
export const SUPPORTS = [
  'legs',
  'slider',
  'dolly',
  'shoulder',
  'handheld',
  'palm-and-fingers',
  'stabiliser',
  'crane',
  'vehicle',
  'cable',
] as const;
export type Support = (typeof SUPPORTS)[number];

/** Who turns the ring, and from where. */
export const PULLERS = ['alone', 'puller', 'remote'] as const;
export type Puller = (typeof PULLERS)[number];

export interface RigPart {
  readonly id: string;
  readonly name: string;
  readonly isThere: boolean;
}

/** How the camera is carried, who pulls, and what focus is judged on. */
export interface Rig {
  readonly name: string;
  readonly support: Support;
  readonly puller: Puller;
  /** What focus is judged on; empty when not said */
  readonly display: string;
  /** Diagonal of that display in inches; null when not known */
  readonly displayInches: number | null;
  readonly displayIsCabled: boolean;
  /** With everything on it; null when not weighed */
  readonly weightKg: number | null;
  readonly parts: readonly RigPart[];
  readonly notes: string;
}

/** The parts that a support usually needs, to start a list from. */
const USUAL_PARTS: Readonly<Record<Support, readonly string[]>> = {
  legs: ['head', 'plate', 'leg locks'],
  slider: ['rails', 'head', 'end blocks'],
  dolly: ['track', 'wedges', 'head', 'brake'],
  shoulder: ['shoulder pad', 'grips', 'rods'],
  handheld: ['top handle', 'strap'],
  'palm-and-fingers': ['strap', 'grip ring on the lens'],
  stabiliser: ['balance plate', 'motor for the ring', 'strap'],
  crane: ['remote head', 'motor for the ring', 'counterweights', 'tethers'],
  vehicle: ['mount', 'motor for the ring', 'tethers'],
  cable: ['carriage', 'motor for the ring', 'tethers'],
};

/** Parts for the way the ring is turned. */
const PULLER_PARTS: Readonly<Record<Puller, readonly string[]>> = {
  alone: [],
  puller: ['wheel', 'marking disc', 'gear ring on the lens'],
  remote: ['motor for the ring', 'hand unit', 'gear ring on the lens', 'batteries'],
};

/** Supports on which a hand at the ring is no choice while rolling. */
export const OUT_OF_REACH: readonly Support[] = ['crane', 'vehicle', 'cable'];

/** A rig of a support and a way to pull, with the parts that it usually needs, none of them there yet. */
export function presetRig(name: string, support: Support, puller: Puller): Rig {
  const names = [...new Set([...USUAL_PARTS[support], ...PULLER_PARTS[puller]])];
  return {
    name,
    support,
    puller,
    display: '',
    displayInches: null,
    displayIsCabled: false,
    weightKg: null,
    parts: names.map((part, index) => ({ id: `part-${index + 1}`, name: part, isThere: false })),
    notes: '',
  };
}

export function missingParts(rig: Rig): readonly string[] {
  return rig.parts.filter((part) => !part.isThere).map(({ name }) => name);
}
