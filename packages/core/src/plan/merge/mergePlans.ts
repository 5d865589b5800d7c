import { isDeepEqual } from '../../deepEqual.js';
import type { FloorPlan } from '../../floor/index.js';
import { checkPlan } from '../checkPlan.js';
import type { ShotPlan } from '../shotPlan.js';
import { mergeItems } from './mergeItems.js';
import { type ClashRule, isOneSided, mergeValue, partOf, type Sides } from './mergeValue.js';

/** A part of a plan that is kept of one side as a whole: its fields mean something only together. */
interface Part {
  readonly of: (plan: ShotPlan) => unknown;
  /** The plan with this part of another */
  readonly put: (plan: ShotPlan, from: ShotPlan) => ShotPlan;
}

const field = (key: keyof ShotPlan): Part => ({
  of: (plan) => plan[key],
  put: (plan, from) => ({ ...plan, [key]: from[key] }),
});

const optics = (plan: ShotPlan, changes: Partial<ShotPlan['optics']>): ShotPlan => ({
  ...plan,
  optics: { ...plan.optics, ...changes },
});

const kit = (plan: ShotPlan, changes: Partial<ShotPlan['kit']>): ShotPlan => ({ ...plan, kit: { ...plan.kit, ...changes } });

const PARTS: readonly Part[] = [
  ...(
    [
      'durationS',
      'captureFps',
      'deliveryFps',
      'exposure',
      'maxHandDegPerS',
      'hand',
      'cameraErrors',
      'goals',
      'schedule',
      'notes',
      'areHandsNeeded',
      'watching',
    ] as const
  ).map(field),
  {
    of: ({ method, laterMethods }) => [method, laterMethods],
    put: (plan, { method, laterMethods }) => ({ ...plan, method, laterMethods }),
  },
  {
    of: (plan) => [plan.optics.camera, plan.kit.camera],
    put: (plan, from) => kit(optics(plan, { camera: from.optics.camera }), { camera: from.kit.camera }),
  },
  {
    of: ({ optics: { lens, focalLengthMm, zooms }, kit: { lensId } }) => [lens, focalLengthMm, zooms, lensId],
    put: (plan, { optics: { lens, focalLengthMm, zooms }, kit: { lensId } }) =>
      kit(optics(plan, { lens, focalLengthMm, zooms }), { lensId }),
  },
  {
    of: ({ optics: { stop, irisPulls } }) => [stop, irisPulls],
    put: (plan, { optics: { stop, irisPulls } }) => optics(plan, { stop, irisPulls }),
  },
  {
    of: ({ optics: { sharpness, enlargedPercent, frameAspect } }) => [sharpness, enlargedPercent, frameAspect],
    put: (plan, { optics: { sharpness, enlargedPercent, frameAspect } }) =>
      optics(plan, { sharpness, enlargedPercent, frameAspect }),
  },
  {
    of: (plan) => [plan.wheel, plan.wheelElsewhere, plan.kit.wheelId],
    put: (plan, { wheel, wheelElsewhere, kit: { wheelId } }) => kit({ ...plan, wheel, wheelElsewhere }, { wheelId }),
  },
  {
    of: (plan) => [plan.rig, plan.kit.rigId],
    put: (plan, from) => kit({ ...plan, rig: from.rig }, { rigId: from.kit.rigId }),
  },
];

/**
 * Puts together what two people have changed in the same plan at the same time. Subjects, marks, beats and pulls are merged one by one, gear and
 * settings part by part.
 *
 * @param sides - the plan that both have changed, and what each has made of it
 * @param rule - whose change stays where both have changed the same
 * @returns null if the two can't be put together: both have added something under one id, or the result would be no valid plan
 */
export function mergePlans(sides: Sides<ShotPlan>, rule: ClashRule): ShotPlan | null {
  const { base, mine, theirs } = sides;
  if (isOneSided(sides)) return mergeValue(sides, rule);
  // played backwards, all times mean another moment
  if (mine.isReversed !== base.isReversed || theirs.isReversed !== base.isReversed) return null;
  const subjects = mergeItems(partOf(sides, 'subjects'), rule);
  const marks = mergeItems(partOf(sides, 'marks'), rule);
  const beats = mergeItems(partOf(sides, 'beats'), rule);
  const rehearsals = mergeItems(partOf(sides, 'rehearsals'), rule);
  const tracks = mergeTracks(sides, rule);
  const floor = mergeFloors(partOf(sides, 'floor'), rule);
  if (!subjects || !marks || !beats || !rehearsals || !tracks || floor === undefined) return null;
  const gear = PARTS.reduce((plan, part) => {
    const values = { base: part.of(base), mine: part.of(mine), theirs: part.of(theirs) };
    return mergeValue(values, rule) === values.mine ? plan : part.put(plan, theirs);
  }, mine);
  const merged: ShotPlan = { ...gear, subjects, marks, beats, rehearsals, floor, ...tracks };
  return checkPlan(merged).length === 0 ? merged : null;
}

type Tracks = Pick<ShotPlan, 'focusTrack' | 'alternates'>;

/** Pulls one by one, as long as it is clear which alternate they belong to. */
function mergeTracks(sides: Sides<Tracks>, rule: ClashRule): Tracks | null {
  const { base, mine, theirs } = sides;
  const haveSameAlternates = [mine, theirs].every(({ alternates }) => isDeepEqual(alternates, base.alternates));
  // else a track may belong to the other alternate: then one side stays as a whole
  if (!haveSameAlternates) return mergeValue({ base: tracksOf(base), mine: tracksOf(mine), theirs: tracksOf(theirs) }, rule);
  const tracks = partOf(sides, 'focusTrack');
  const pulls = mergeItems(partOf(tracks, 'pulls'), rule);
  if (!pulls) return null;
  const inOrder = [...pulls].sort((a, b) => a.startS - b.startS);
  const start = mergeValue(partOf(tracks, 'start'), rule);
  return { focusTrack: { start, pulls: inOrder }, alternates: mine.alternates };
}

function tracksOf({ focusTrack, alternates }: Tracks): Tracks {
  return { focusTrack, alternates };
}

/** @returns undefined if the landmarks can't be put together */
function mergeFloors({ base, mine, theirs }: Sides<FloorPlan | null>, rule: ClashRule): FloorPlan | null | undefined {
  if (!base || !mine || !theirs) return mergeValue({ base, mine, theirs }, rule);
  const floors = { base, mine, theirs };
  const landmarks = mergeItems(partOf(floors, 'landmarks'), rule);
  if (!landmarks) return undefined;
  const one = <K extends keyof FloorPlan>(key: K): FloorPlan[K] => mergeValue(partOf(floors, key), rule);
  return { camera: one('camera'), lensHeightMm: one('lensHeightMm'), aims: one('aims'), picture: one('picture'), landmarks };
}
