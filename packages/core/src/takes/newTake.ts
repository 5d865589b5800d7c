import { type ShotPlan, stopAt } from '../plan/index.js';
import type { Take } from './take.js';
import { shallowestZoneMm } from './zoneDepth.js';

/** A new take of a plan, with nothing logged yet. */
export function newTake(plan: ShotPlan, planVersion: number): Take {
  const { optics, rig, wheel, method, laterMethods, captureFps, isReversed } = plan;
  return {
    durationS: plan.durationS,
    isCutShort: false,
    planVersion,
    gear: {
      camera: optics.camera.name,
      lens: optics.lens.name,
      focalLengthMm: optics.focalLengthMm,
      stop: stopAt(optics, 0),
      captureFps,
      method,
      laterMethods: laterMethods.map((part) => part.method),
      rig: rig?.name ?? '',
      wheel: wheel?.name ?? '',
      puller: '',
      isReversed,
    },
    predictedKeepRate: null,
    zoneDepthMm: shallowestZoneMm(plan),
    alternate: plan.alternates?.shown ?? null,
    ringFrom: 'unseen',
    startTimecode: '',
    timecodeFrom: 'unknown',
    clip: '',
    cues: [],
    markMisses: [],
    hits: [],
    findings: [],
    measured: null,
    focus: null,
    performance: null,
    isCircled: false,
    isNoGood: false,
    whyKept: '',
    checkedOn: '',
    checkMagnification: null,
    checkConfidence: null,
    earlierLooks: [],
    recoveries: [],
    focusChecks: [],
    usable: null,
    repairs: [],
    note: '',
    track: null,
  };
}
