import { tStopOf } from '../../kit/index.js';
import { lightSpans, meteredStopAt } from '../lightAlong.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { type LightReading, type OpticsChange, pullEndS, type ShotExposure, type ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';
import { setIrisPulls } from './optics.js';

/** Changes exposure settings apart from the stop. */
export function setExposure(plan: ShotPlan, changes: Partial<ShotExposure>): ShotPlan {
  return { ...plan, exposure: { ...plan.exposure, ...changes } };
}

/**
 * Changes settings so that the meter shows another stop at the start. Readings along the way were taken for the settings before: they change by as
 * many stops.
 */
export function rebalance(
  plan: ShotPlan,
  settings: Partial<Pick<ShotExposure, 'iso' | 'shutterAngleDeg' | 'ndStops'>>,
  meteredStop: number,
): ShotPlan {
  const { exposure } = plan;
  const factor = meteredStop / (exposure.meteredStop ?? meteredStop);
  const lightReadings = exposure.lightReadings.map((reading) => ({
    ...reading,
    meteredStop: clamp(reading.meteredStop * factor, PLAN_LIMITS.stop.min, PLAN_LIMITS.stop.max),
  }));
  return setExposure(plan, { ...settings, meteredStop, lightReadings });
}

/** Adds a meter reading along the way. @returns the same plan if there is no room for another */
export function addLightReading(plan: ShotPlan, at: LightReading['at'], meteredStop: number): ShotPlan {
  const { lightReadings } = plan.exposure;
  if (lightReadings.length >= PLAN_LIMITS.lightReadings.max) return plan;
  const reading = { id: nextId('light', lightReadings), at: within(plan, at), meteredStop };
  return setExposure(plan, { lightReadings: [...lightReadings, reading] });
}

/** Changes a meter reading along the way. A time stays within the shot. */
export function changeLightReading(plan: ShotPlan, id: string, changes: Partial<Omit<LightReading, 'id'>>): ShotPlan {
  const lightReadings = withItem(plan.exposure.lightReadings, id, (reading) => {
    const changed = { ...reading, ...changes };
    return { ...changed, at: within(plan, changed.at) };
  });
  return setExposure(plan, { lightReadings });
}

export function removeLightReading(plan: ShotPlan, id: string): ShotPlan {
  return setExposure(plan, { lightReadings: without(plan.exposure.lightReadings, id) });
}

function within({ durationS }: ShotPlan, at: LightReading['at']): LightReading['at'] {
  return at.kind === 'time' ? { kind: 'time', timeS: clamp(at.timeS, 0, durationS) } : at;
}

/**
 * Replaces the iris pulls by those that follow the light along the way, as few as keep the exposure within its tolerance. The stop at the start
 * stays, and the light is followed from there. An iris pull starts and ends gently and light changes evenly: where there is room, it begins a
 * quarter of its time before the light does and ends as much after it.
 *
 * @returns the same plan if the light does not change along the way; no stop beyond what the lens has
 */
export function followLight(plan: ShotPlan): ShotPlan {
  const ramps = rampsOf(plan);
  if (ramps.length === 0) return plan;
  const { optics, exposure } = plan;
  const startStop = tStopOf(optics.lens, optics.stop);
  const engravedFor = (tStop: number) => (optics.stop * tStop) / startStop;
  const base = meteredStopAt(lightSpans(plan), 0)!;
  // the picture keeps the brightness that it has at the start
  const stopFor = (metered: number) => engravedFor((startStop * metered) / base);
  const pulls: OpticsChange[] = [];
  for (const [index, ramp] of ramps.entries()) {
    const [before, after] = [ramps[index - 1], ramps[index + 1]];
    const roomS = Math.min(
      (ramp.fromS - (before?.toS ?? -ramp.fromS)) / 2,
      ((after?.fromS ?? 2 * plan.durationS - ramp.toS) - ramp.toS) / 2,
    );
    for (const part of partsOf(ramp, roomS, exposure.toleranceStops)) {
      const id = nextId('iris', pulls);
      pulls.push({ id, startS: part.fromS, durationS: part.toS - part.fromS, to: stopFor(part.toStop) });
    }
  }
  return setIrisPulls(plan, inRoom(pulls, plan.durationS).slice(0, PLAN_LIMITS.opticsChanges.max));
}

/** A span in which the light changes evenly in stops. */
interface Ramp {
  readonly fromS: number;
  readonly toS: number;
  readonly fromStop: number;
  readonly toStop: number;
}

function rampsOf(plan: ShotPlan): Ramp[] {
  const spans = lightSpans(plan);
  const times = [...new Set([0, ...spans.flatMap(({ fromS, untilS }) => [fromS, untilS]), plan.durationS])].sort((a, b) => a - b);
  return times.slice(1).flatMap((toS, index): Ramp[] => {
    const fromS = times[index]!;
    const [fromStop, toStop] = [meteredStopAt(spans, fromS), meteredStopAt(spans, toS)];
    if (fromStop === null || toStop === null || Math.abs(Math.log2(toStop / fromStop)) < LEAST_CHANGE_STOPS / 2) return [];
    return [{ fromS, toS, fromStop, toStop }];
  });
}

/** Smaller changes of light are not followed. */
const LEAST_CHANGE_STOPS = 0.02;

/** Largest distance of an eased way from an even one, as a share of the way: |10τ³ − 15τ⁴ + 6τ⁵ − τ| at τ = 0.24. */
const EASED_ERROR = 0.1467;
/** The same for an eased way that is half as long again and begins a quarter of the even one earlier. */
const STRETCHED_ERROR = 0.04;

/** The iris pulls of a ramp: one that is longer than the light's change if there is room, else as many as keep the tolerance. */
function partsOf(ramp: Ramp, roomS: number, toleranceStops: number): Ramp[] {
  const [lastsS, stops] = [ramp.toS - ramp.fromS, Math.abs(2 * Math.log2(ramp.toStop / ramp.fromStop))];
  const stretchS = lastsS / 4;
  if (roomS >= stretchS && stops * STRETCHED_ERROR <= toleranceStops)
    return [{ ...ramp, fromS: ramp.fromS - stretchS, toS: ramp.toS + stretchS }];
  const most = Math.max(Math.floor(lastsS / SHORTEST_TURN_S), 1);
  const count = Math.min(Math.max(Math.ceil((stops * EASED_ERROR) / toleranceStops), 1), most);
  return Array.from({ length: count }, (_, k) => ({
    fromS: ramp.fromS + (lastsS * k) / count,
    toS: ramp.fromS + (lastsS * (k + 1)) / count,
    fromStop: ramp.fromStop * (ramp.toStop / ramp.fromStop) ** (k / count),
    toStop: ramp.fromStop * (ramp.toStop / ramp.fromStop) ** ((k + 1) / count),
  }));
}

/** A hand that turns the iris in several steps needs this long for each. Assumed. */
const SHORTEST_TURN_S = 0.5;

/** Pulls that begin after the one before, within the shot, and no shorter than a pull may be. */
function inRoom(pulls: readonly OpticsChange[], durationS: number): OpticsChange[] {
  const shortestS = PLAN_LIMITS.pullS.min;
  const placed: OpticsChange[] = [];
  for (const pull of pulls) {
    const last = placed.at(-1);
    const startS = Math.max(Math.min(pull.startS, durationS - shortestS), last ? pullEndS(last) : 0);
    const endS = Math.min(Math.max(pullEndS(pull), startS + shortestS), durationS);
    if (endS - startS >= shortestS * (1 - 1e-9)) placed.push({ ...pull, startS, durationS: endS - startS });
  }
  return placed;
}
