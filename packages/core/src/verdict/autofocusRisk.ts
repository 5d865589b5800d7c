import { isDeepEqual } from '../deepEqual.js';
import type { FloorDistances, Hider, Landmark, Sighting, Subject } from '../floor/index.js';
import { depthOfField } from '../optics/index.js';
import { pictureSize, ringOf } from '../kit/index.js';
import {
  activeBeats,
  automaticFrames,
  beatFrames,
  focalLengthAt,
  hiddenRunsOf,
  planDistances,
  type ShotPlan,
  zoneLensAt,
} from '../plan/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { sightingsOf } from './thingsInArea.js';

/** Why autofocus can't be used: the lens has no motor, or a test of this lens or recording mode failed. */
export type AutofocusRefusal = 'no-motor' | 'lens-fails' | 'mode-fails';

/** What puts autofocus at risk in a frame. */
export type AutofocusReason =
  /** Something stands before the subject */
  | { readonly kind: 'hidden'; readonly by: Hider }
  | { readonly kind: 'out-of-picture' }
  | { readonly kind: 'outside-area' }
  | { readonly kind: 'too-near' }
  /** Another subject must be sharp at the same time, and one zone does not hold both */
  | { readonly kind: 'several-at-once'; readonly otherId: string }
  /** Another subject is nearer in the area, and the zone round it leaves this one out */
  | { readonly kind: 'nearer-in-area'; readonly otherId: string }
  /** A thing on the set is nearer in the area, and the zone round it leaves the subject out */
  | { readonly kind: 'thing-in-area'; readonly landmarkId: string };

/** An unbroken run of frames in which a subject must be sharp and autofocus is at risk for one reason. */
export interface AutofocusSpan {
  readonly subjectId: string;
  readonly reason: AutofocusReason;
  readonly fromS: number;
  readonly toS: number;
}

/** What is known of autofocus in a shot. How it searches can't be computed: only test takes show that. */
export interface AutofocusRisk {
  /** null if nothing that is known rules it out */
  readonly refusal: AutofocusRefusal | null;
  readonly isLensTested: boolean;
  readonly isModeTested: boolean;
  /** null if unknown: then the whole picture counts */
  readonly areaPercent: number | null;
  /** Whether it is known where subjects are in the picture: on a floor plan */
  readonly isPlaced: boolean;
  /** Seconds in which something must be sharp, and those of them in which a reason is known that it may not be */
  readonly requiredS: number;
  readonly atRiskS: number;
  /** In order of time */
  readonly spans: readonly AutofocusSpan[];
}

/** Assesses autofocus frame by frame, of a shot in parts in those that are left to it, else as if all were: the place of each subject that must be sharp, in the autofocus area and among the others. */
export function autofocusRisk(plan: ShotPlan): AutofocusRisk {
  const { camera, lens } = plan.optics;
  const required = requiredColumns(plan);
  const { spans, riskFrames } = risksIn(plan, required);
  const columns = [...required.values()];
  return {
    refusal: refusalOf(plan),
    isLensTested: lens.autofocus !== 'untested',
    isModeTested: camera.autofocusRolling !== 'untested',
    areaPercent: camera.autofocusAreaPercent,
    isPlaced: plan.floor !== null,
    requiredS: (columns[0] ?? []).filter((_, frame) => columns.some((column) => column[frame] === 1)).length / plan.captureFps,
    atRiskS: riskFrames / plan.captureFps,
    spans,
  };
}

function risksIn(plan: ShotPlan, required: ReadonlyMap<string, readonly number[]>) {
  const scene = sceneOf(plan);
  const { captureFps } = plan;
  const spans: AutofocusSpan[] = [];
  const atRisk = new Set<number>();
  for (const [subjectId, column] of required) {
    for (let frame = 0; frame < column.length; frame++) {
      if (column[frame] === 0) continue;
      const together = [...required.keys()].filter((id) => required.get(id)![frame] === 1);
      const reason = reasonAt(scene, subjectId, frame, together);
      if (reason === null) continue;
      atRisk.add(frame);
      const [fromS, toS] = [frame / captureFps, (frame + 1) / captureFps];
      const last = spans.at(-1);
      if (last?.subjectId === subjectId && last.toS === fromS && isDeepEqual(last.reason, reason))
        spans[spans.length - 1] = { ...last, toS };
      else spans.push({ subjectId, reason, fromS, toS });
    }
  }
  return { spans: spans.sort((a, b) => a.fromS - b.fromS), riskFrames: atRisk.size };
}

function refusalOf({ optics: { camera, lens } }: ShotPlan): AutofocusRefusal | null {
  if (lens.autofocus === 'no-motor') return 'no-motor';
  if (lens.autofocus === 'fails') return 'lens-fails';
  return camera.autofocusRolling === 'no' ? 'mode-fails' : null;
}

/** By subject id, 1 in frames that are left to autofocus and in which it must be sharp. Who stands nowhere is not there. */
function requiredColumns(plan: ShotPlan): ReadonlyMap<string, readonly number[]> {
  const frames = countFrames(plan.durationS, plan.captureFps);
  const automatic = automaticFrames(plan);
  const standing = new Set(plan.subjects.filter(({ stays }) => stays.length > 0).map(({ id }) => id));
  const columns = new Map<string, number[]>();
  for (const beat of activeBeats(plan)) {
    if (beat.requirement !== 'sharp' || !standing.has(beat.subjectId)) continue;
    const column = columns.get(beat.subjectId) ?? new Array<number>(frames).fill(0);
    const { fromFrame, toFrame } = beatFrames(beat, plan.captureFps, frames);
    for (let frame = fromFrame; frame < toFrame; frame++) if (automatic === null || automatic[frame] === 1) column[frame] = 1;
    columns.set(beat.subjectId, column);
  }
  return columns;
}

/** What a frame is looked at with. */
interface AutofocusScene {
  readonly plan: ShotPlan;
  readonly distances: FloorDistances;
  readonly subjectOf: ReadonlyMap<string, Subject>;
  readonly closeFocusMm: number;
}

function sceneOf(plan: ShotPlan): AutofocusScene {
  return {
    plan,
    distances: planDistances(plan),
    subjectOf: new Map(plan.subjects.map((subject) => [subject.id, subject])),
    closeFocusMm: ringOf(plan.optics.lens).closeFocusMm,
  };
}

/** @param together - ids of all subjects that must be sharp in this frame */
function reasonAt(scene: AutofocusScene, id: string, frame: number, together: readonly string[]): AutofocusReason | null {
  const { plan, distances, subjectOf, closeFocusMm } = scene;
  const subject = subjectOf.get(id)!;
  const timeS = frame / plan.captureFps;
  const run = hiddenRunsOf(plan, id).find(({ fromFrame, toFrame }) => frame >= fromFrame && frame < toFrame);
  if (run) return { kind: 'hidden', by: run.by };
  const sight = distances.sightingAt(subject, timeS);
  if (sight) {
    const reach = reachIn(plan, sight, timeS);
    if (!(reach <= 1)) return { kind: 'out-of-picture' };
    if (reach > areaShare(plan)) return { kind: 'outside-area' };
  }
  const focusMm = distances.focusMmAt(subject, timeS);
  if (focusMm < closeFocusMm) return { kind: 'too-near' };
  const rival = together.find((otherId) => otherId !== id && !areSharpTogether(scene, id, otherId, timeS));
  if (rival !== undefined) return { kind: 'several-at-once', otherId: rival };
  const nearer = plan.subjects.find((other) => {
    if (other.id === id || other.stays.length === 0 || together.includes(other.id) || hiddenAt(plan, other.id, frame))
      return false;
    const theirs = distances.sightingAt(other, timeS);
    if (!theirs || !(reachIn(plan, theirs, timeS) <= areaShare(plan))) return false;
    return distances.focusMmAt(other, timeS) < focusMm && !zoneHolds(scene, distances.focusMmAt(other, timeS), focusMm, timeS);
  });
  if (nearer) return { kind: 'nearer-in-area', otherId: nearer.id };
  const thing = nearerThing(scene, focusMm, timeS);
  return thing ? { kind: 'thing-in-area', landmarkId: thing.id } : null;
}

/** A thing on the set that is nearer than a distance, in the autofocus area, with the distance outside the zone round it. */
function nearerThing(scene: AutofocusScene, focusMm: number, timeS: number): Landmark | undefined {
  const { plan, distances } = scene;
  const pose = distances.cameraAt(timeS);
  if (pose === null) return undefined;
  return plan.floor?.landmarks.find((thing) => {
    if (thing.tallMm <= 0) return false;
    return sightingsOf(thing, pose).some(
      (sight) =>
        sight.depthMm < focusMm &&
        reachIn(plan, sight, timeS) <= areaShare(plan) &&
        !zoneHolds(scene, sight.depthMm, focusMm, timeS),
    );
  });
}

function hiddenAt(plan: ShotPlan, id: string, frame: number): boolean {
  return hiddenRunsOf(plan, id).some(({ fromFrame, toFrame }) => frame >= fromFrame && frame < toFrame);
}

/** The area as a share of the picture; all of it if nobody has said. */
function areaShare({ optics }: ShotPlan): number {
  return (optics.camera.autofocusAreaPercent ?? 100) / 100;
}

/**
 * How far from the middle of the picture a place is: 1 at its edge. The autofocus area is as high in proportion as it is wide: assumed. NaN or
 * more than 1 for what is not in the picture.
 */
function reachIn({ optics }: ShotPlan, { depthMm, offAxisDeg, aboveMm }: Sighting, timeS: number): number {
  if (depthMm <= 0) return NaN;
  const { sensorWidthMm, sensorHeightMm } = pictureSize(optics.camera);
  const focalMm = focalLengthAt(optics, timeS);
  const across = (Math.abs(Math.tan((offAxisDeg * Math.PI) / 180)) * focalMm) / ((sensorWidthMm * optics.lens.squeeze) / 2);
  const up = ((Math.abs(aboveMm) / depthMm) * focalMm) / (sensorHeightMm / 2);
  return Math.max(across, up);
}

/** Whether focus on either of two subjects keeps the other sharp. */
function areSharpTogether(scene: AutofocusScene, id: string, otherId: string, timeS: number): boolean {
  const [a, b] = [id, otherId].map((one) => scene.distances.focusMmAt(scene.subjectOf.get(one)!, timeS));
  return zoneHolds(scene, a!, b!, timeS) && zoneHolds(scene, b!, a!, timeS);
}

function zoneHolds({ plan, closeFocusMm }: AutofocusScene, focusMm: number, atMm: number, timeS: number): boolean {
  const focusDistanceMm = Math.max(focusMm, closeFocusMm);
  const { nearMm, farMm } = depthOfField({ ...zoneLensAt(plan.optics, timeS), focusDistanceMm });
  return atMm >= nearMm && atMm <= farMm;
}
