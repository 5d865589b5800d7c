import { isDeepEqual } from '../../deepEqual.js';
import { type ShotPlan, wheelOf } from '../shotPlan.js';
import { type BeatDifference, beatDifferences } from './beatDifferences.js';
import { type MarkDifference, markDifferences } from './markDifferences.js';
import { type PullDifference, trackDifferences } from './pullDifferences.js';
import { type SubjectDifference, subjectDifferences } from './subjectDifferences.js';

/** Value of each part of a plan that is compared as a whole. */
const PARTS = {
  length: ({ durationS }: ShotPlan) => durationS,
  'capture-fps': ({ captureFps }: ShotPlan) => captureFps,
  'delivery-fps': ({ deliveryFps }: ShotPlan) => deliveryFps,
  method: ({ method }: ShotPlan) => method,
  'later-methods': ({ laterMethods }: ShotPlan) => laterMethods,
  camera: ({ optics: { camera } }: ShotPlan) => [camera.name, camera.mode],
  'camera-figures': ({ optics }: ShotPlan) => optics.camera,
  lens: ({ optics }: ShotPlan) => optics.lens.name,
  'lens-figures': ({ optics }: ShotPlan) => optics.lens,
  'focal-length': ({ optics }: ShotPlan) => optics.focalLengthMm,
  stop: ({ optics }: ShotPlan) => optics.stop,
  zooms: ({ optics }: ShotPlan) => optics.zooms,
  'iris-pulls': ({ optics }: ShotPlan) => optics.irisPulls,
  sharpness: ({ optics }: ShotPlan) => optics.sharpness,
  enlarged: ({ optics }: ShotPlan) => optics.enlargedPercent,
  frame: ({ optics }: ShotPlan) => optics.frameAspect,
  exposure: ({ exposure }: ShotPlan) => exposure,
  wheel: (plan: ShotPlan) => wheelOf(plan)?.name ?? null,
  'wheel-turns': ({ wheelElsewhere }: ShotPlan) => wheelElsewhere && [wheelElsewhere.turns],
  'wheel-figures': wheelOf,
  rig: ({ rig }: ShotPlan) => rig?.name ?? null,
  'rig-figures': ({ rig }: ShotPlan) => rig,
  kit: ({ kit }: ShotPlan) => kit,
  floor: ({ floor }: ShotPlan) => floor,
  'hand-speed': ({ maxHandDegPerS }: ShotPlan) => maxHandDegPerS,
  hand: ({ hand }: ShotPlan) => hand,
  watching: ({ watching }: ShotPlan) => watching,
  'camera-errors': ({ cameraErrors }: ShotPlan) => cameraErrors,
  reversed: ({ isReversed }: ShotPlan) => isReversed,
  'hands-needed': ({ areHandsNeeded }: ShotPlan) => areHandsNeeded,
  alternates: ({ alternates }: ShotPlan) => alternates,
  rehearsals: ({ rehearsals }: ShotPlan) => rehearsals,
  goals: ({ goals }: ShotPlan) => goals,
  schedule: ({ schedule }: ShotPlan) => schedule,
  notes: ({ notes }: ShotPlan) => notes,
} as const;

export type PlanPart = keyof typeof PARTS;

/** One difference between two plans: a part, or an item and what changed on it. The values are in the plans. */
export type PlanDifference =
  | { readonly kind: 'part'; readonly part: PlanPart }
  | SubjectDifference
  | MarkDifference
  | BeatDifference
  | { readonly kind: 'track-start' }
  | PullDifference;

/** Other gear with another name differs in its figures too: only the name is listed. */
const NAME_OF_FIGURES: Readonly<Partial<Record<PlanPart, PlanPart>>> = {
  'camera-figures': 'camera',
  'lens-figures': 'lens',
  'wheel-figures': 'wheel',
  'rig-figures': 'rig',
};

/** Differences between two versions of a plan, in the order in which a shot is planned. Empty for equal plans. */
export function planDifferences(before: ShotPlan, after: ShotPlan): PlanDifference[] {
  const isChanged = (part: PlanPart) => !isDeepEqual(PARTS[part](before), PARTS[part](after));
  const changed = (Object.keys(PARTS) as PlanPart[]).filter((part) => {
    const name = NAME_OF_FIGURES[part];
    return isChanged(part) && !(name && isChanged(name));
  });
  const parts = changed.map((part): PlanDifference => ({ kind: 'part', part }));
  const first = changed.findIndex((part) => ORDER_AFTER_TRACK.has(part));
  const split = first < 0 ? parts.length : first;
  return [
    ...parts.slice(0, split),
    ...subjectDifferences(before, after),
    ...markDifferences(before, after),
    ...beatDifferences(before, after),
    ...trackDifferences(before, after),
    ...parts.slice(split),
  ];
}

/** Parts that are planned after the focus track. */
const ORDER_AFTER_TRACK: ReadonlySet<PlanPart> = new Set<PlanPart>([
  'hand-speed',
  'hand',
  'camera-errors',
  'reversed',
  'alternates',
  'rehearsals',
  'goals',
  'schedule',
  'notes',
]);
