import { isDeepEqual } from '../../deepEqual.js';
import { cameraInMode, type KitCamera, type KitItems, type Lens, type Rig, type Wheel } from '../../kit/index.js';
import { type KitSources, type ShotPlan, type WheelJob, wheelJob, wheelOf } from '../shotPlan.js';
import { setCamera, setLens } from './optics.js';
import { withRingDegs } from './readings.js';

/** Uses a camera from the kit, in a recording mode and at a level of steadying. */
export function chooseCamera(plan: ShotPlan, source: NonNullable<KitSources['camera']>, camera: KitCamera): ShotPlan {
  return setCamera({ ...plan, kit: { ...plan.kit, camera: source } }, cameraInMode(camera, source.modeId, source.steadyingId));
}

/** Uses a lens from the kit. A different lens makes measured distances stale. */
export function chooseLens(plan: ShotPlan, lensId: string, lens: Lens): ShotPlan {
  // reset both ends of the range first: this lens replaces the old one, it does not correct it
  return setLens({ ...plan, kit: { ...plan.kit, lensId } }, lens, lensId === plan.kit.lensId);
}

/** Uses a wheel or motor from the kit, for what the wheel of the shot turns; null for none. */
export function chooseWheel(plan: ShotPlan, wheelId: string | null, wheel: Wheel | null): ShotPlan {
  const kit = { ...plan.kit, wheelId };
  const { wheelElsewhere } = plan;
  if (wheelElsewhere) return { ...plan, kit, wheelElsewhere: wheel && { ...wheelElsewhere, wheel } };
  return { ...withWheel(plan, wheel), kit };
}

/** Sets what the wheel of the shot turns. Away from focus, a hand is at the focus ring. */
export function setWheelJob(plan: ShotPlan, turns: WheelJob): ShotPlan {
  const wheel = wheelOf(plan);
  if (wheel === null || turns === wheelJob(plan)) return plan;
  if (turns === 'focus') return withWheel({ ...plan, wheelElsewhere: null }, wheel);
  return { ...withWheel(plan, null), wheelElsewhere: { turns, wheel } };
}

function withWheel(plan: ShotPlan, wheel: Wheel | null): ShotPlan {
  return isDeepEqual(wheel, plan.wheel) ? plan : withRingDegs(plan, wheel);
}

/** Uses a rig from the kit; null for none. */
export function chooseRig(plan: ShotPlan, rigId: string | null, rig: Rig | null): ShotPlan {
  return { ...plan, rig, kit: { ...plan.kit, rigId } };
}

/** Keeps the shot's copy of the gear but drops its link to the kit, so that later kit changes are not reported. */
export function detachFromKit(plan: ShotPlan, part: GearPart): ShotPlan {
  const key = part === 'camera' ? 'camera' : (`${part}Id` as const);
  return { ...plan, kit: { ...plan.kit, [key]: null } };
}

export type GearPart = 'camera' | 'lens' | 'wheel' | 'rig';

/** Current kit items that this shot was made from; missing if they are no longer in the kit. */
export interface KitNow {
  readonly camera?: KitCamera;
  readonly lens?: KitItems['lenses'];
  readonly wheel?: Wheel;
  readonly rig?: Rig;
}

/** A part of the shot's gear that differs from the kit. */
export interface GearChange {
  readonly part: GearPart;
  /** The plan with the kit's current item; null if the kit no longer has it */
  readonly updatedPlan: ShotPlan | null;
}

/** Gear of the shot that differs from the kit. Gear with figures of its own is not compared. */
export function gearChanges(plan: ShotPlan, now: KitNow): GearChange[] {
  const { kit } = plan;
  const changes: GearChange[] = [];
  const compare = (part: GearPart, isTaken: boolean, updatedPlan: () => ShotPlan | null) => {
    if (!isTaken) return;
    const next = updatedPlan();
    if (next === null || !isSameGear(next, plan, part)) changes.push({ part, updatedPlan: next });
  };
  compare('camera', kit.camera !== null, () => (now.camera ? chooseCamera(plan, kit.camera!, now.camera) : null));
  compare('lens', kit.lensId !== null, () => (now.lens ? chooseLens(plan, kit.lensId!, now.lens.lens) : null));
  compare('wheel', kit.wheelId !== null, () => (now.wheel ? chooseWheel(plan, kit.wheelId, now.wheel) : null));
  compare('rig', kit.rigId !== null, () => (now.rig ? chooseRig(plan, kit.rigId, now.rig) : null));
  return changes;
}

function isSameGear(a: ShotPlan, b: ShotPlan, part: GearPart): boolean {
  const partOf = (plan: ShotPlan) =>
    ({ camera: plan.optics.camera, lens: plan.optics.lens, wheel: wheelOf(plan), rig: plan.rig })[part];
  return isDeepEqual(partOf(a), partOf(b));
}
