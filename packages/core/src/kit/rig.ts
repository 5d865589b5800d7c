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

/** Camera support, who pulls focus, and the display used to judge it. */
export interface Rig {
  readonly name: string;
  readonly support: Support;
  readonly puller: Puller;
  /** Display used to judge focus; empty if unknown */
  readonly display: string;
  /** Diagonal of that display in inches; null if unknown */
  readonly displayInches: number | null;
  readonly displayIsCabled: boolean;
  /** Total weight; null if not weighed */
  readonly weightKg: number | null;
  readonly parts: readonly RigPart[];
  readonly notes: string;
}

/** Parts that a support commonly needs: the initial parts list. */
const DEFAULT_PARTS: Readonly<Record<Support, readonly string[]>> = {
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

/** Further parts, by who turns the ring. */
const PULLER_PARTS: Readonly<Record<Puller, readonly string[]>> = {
  alone: [],
  puller: ['wheel', 'marking disc', 'gear ring on the lens'],
  remote: ['motor for the ring', 'hand unit', 'gear ring on the lens', 'batteries'],
};

/** Supports on which nobody can reach the ring while rolling. */
export const UNREACHABLE_SUPPORTS: readonly Support[] = ['crane', 'vehicle', 'cable'];

/** Supports that the operator carries or steadies all the time, and may walk with. */
export const CARRIED_SUPPORTS: readonly Support[] = ['handheld', 'shoulder', 'palm-and-fingers', 'stabiliser'];

/** A rig for a support and a puller, with its common parts, all of them missing. */
export function presetRig(name: string, support: Support, puller: Puller): Rig {
  const names = [...new Set([...DEFAULT_PARTS[support], ...PULLER_PARTS[puller]])];
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

/** The rig on another support. Missing parts that only the old support needs leave the list; parts that are there stay. */
export function withSupport(rig: Rig, support: Support): Rig {
  const needed = presetRig('', support, rig.puller).parts.map(({ name }) => name);
  const old = DEFAULT_PARTS[rig.support].filter((name) => !needed.includes(name));
  return { ...rig, support, parts: rig.parts.filter(({ name, isThere }) => isThere || !old.includes(name)) };
}

export function missingParts(rig: Rig): readonly string[] {
  return rig.parts.filter((part) => !part.isThere).map(({ name }) => name);
}
