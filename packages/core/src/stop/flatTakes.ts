import { EASINGS } from '../pull/index.js';
import type { PreparedBeat, PreparedTakes } from './prepareTakes.js';

/**
 * A prepared plan as columns of numbers, with room for what one take draws. A take has a few microseconds: what its loops read lies in typed arrays, side by side where it is read together. A column of settings
 * has the pull that leads to each in the same place.
 */
export interface FlatTakes {
  readonly captureFps: number;
  readonly frameCount: number;
  readonly subjectCount: number;
  readonly settingCount: number;
  readonly beatCount: number;
  readonly lowDeg: number;
  readonly highDeg: number;
  /** 0 for a ring that stands anywhere */
  readonly stepDeg: number;
  readonly anglesPerPerMm: number;
  readonly angleDegs: Float64Array;
  readonly draws: Float64Array;
  // by subject
  readonly subjectDrawsAt: Int32Array;
  readonly markSigmaMm: Float64Array;
  readonly timingSigmaFrames: Float64Array;
  /** Of each, one after the other, frame by frame */
  readonly distancesMm: Float64Array;
  // by setting
  readonly settingDrawsAt: Int32Array;
  readonly plannedDeg: Float64Array;
  readonly settingMm: Float64Array;
  readonly measureSigmaMm: Float64Array;
  readonly landSigmaDeg: Float64Array;
  readonly lagSigmaFrames: Float64Array;
  /** Where in `goesOnDeg` the angles of one that goes on begin; -1 where it stays */
  readonly goesOnAt: Int32Array;
  readonly goesOnDeg: Float64Array;
  readonly plannedStartS: Float64Array;
  readonly durationS: Float64Array;
  readonly cueSigmaS: Float64Array;
  /** By its place among `EASINGS` */
  readonly easing: Int32Array;
  // by beat
  readonly beatSubject: Int32Array;
  readonly beatFrom: Int32Array;
  readonly beatTo: Int32Array;
  readonly beatMayLose: Int32Array;
  readonly beatKey: Int32Array;
  readonly beatIsSoft: Int32Array;
  /** Whether neither its subject nor the lens changes */
  readonly beatIsStill: Int32Array;
  /** Whether its subject stands */
  readonly beatStands: Int32Array;
  /** Where in `zones` its tables begin, and in `tableAt` which of them holds by frame; -1 where the first always does */
  readonly beatZoneAt: Int32Array;
  readonly beatTablesAt: Int32Array;
  readonly tableAt: Uint16Array;
  readonly zones: Float64Array;
  readonly tableLowDeg: number;
  readonly tablePerDeg: number;
  /** By frame, 1 where someone must be sharp; and in which take it was lost last */
  readonly required: Uint8Array;
  readonly lostIn: Int32Array;
  // what a take has drawn
  readonly missMm: Float64Array;
  readonly lateFrames: Float64Array;
  readonly offDeg: Float64Array;
  readonly stillDeg: Float64Array;
  readonly lagFrames: Int32Array;
  readonly startS: Float64Array;
  readonly startFrame: Int32Array;
  readonly endFrame: Int32Array;
  readonly fromDeg: Float64Array;
}

/** Of a prepared plan its columns: made once, and used again by every run. */
const known = new WeakMap<PreparedTakes, FlatTakes>();

/** The columns of a prepared plan. No take is lost in them yet. */
export function flattened(prepared: PreparedTakes): FlatTakes {
  let flat = known.get(prepared);
  if (!flat) known.set(prepared, (flat = columnsOf(prepared)));
  flat.lostIn.fill(-1);
  return flat;
}

function columnsOf(prepared: PreparedTakes): FlatTakes {
  const { captureFps, frameCount, drawCount, angles, lowDeg, highDeg, stepDeg, settings, moves, subjects, beats } = prepared;
  const numbers = <T>(items: readonly T[], of: (item: T) => number) => Float64Array.from(items, of);
  const whole = <T>(items: readonly T[], of: (item: T) => number) => Int32Array.from(items, of);
  // the line's start has no pull that leads to it
  const led = [null, ...moves];
  const goingOn = settings.flatMap(({ degs }) => (degs ? [degs] : []));
  const required = new Uint8Array(frameCount);
  for (const { isSoft, fromFrame, toFrame } of beats) if (!isSoft) required.fill(1, fromFrame, toFrame);
  const turned = beats.flatMap(({ tableAt }) => (tableAt ? [tableAt] : []));
  const table = beats[0]?.tables[0];
  return {
    captureFps,
    frameCount,
    subjectCount: subjects.length,
    settingCount: settings.length,
    beatCount: beats.length,
    lowDeg,
    highDeg,
    stepDeg: stepDeg ?? 0,
    anglesPerPerMm: angles.perPerMm,
    angleDegs: angles.degs,
    draws: new Float64Array(drawCount),
    subjectDrawsAt: whole(subjects, (one) => one.drawsAt),
    markSigmaMm: numbers(subjects, (one) => one.markSigmaMm),
    timingSigmaFrames: numbers(subjects, (one) => one.timingSigmaS * captureFps),
    distancesMm: joined(subjects.map((one) => one.distancesMm)),
    settingDrawsAt: whole(settings, (one) => one.drawsAt),
    plannedDeg: numbers(settings, (one) => one.stillDeg),
    settingMm: numbers(settings, (one) => one.mm),
    measureSigmaMm: numbers(settings, (one) => one.measureSigmaMm),
    landSigmaDeg: Float64Array.from(settings, (one, k) => Math.max(led[k]?.ringSigmaDeg ?? 0, one.followSigmaDeg)),
    lagSigmaFrames: numbers(settings, (one) => one.lagSigmaFrames),
    goesOnAt: whole(settings, ({ degs }) => (degs ? goingOn.indexOf(degs) * frameCount : -1)),
    goesOnDeg: joined(goingOn),
    plannedStartS: numbers(led, (move) => (move ? move.startS + move.reactionS : 0)),
    durationS: numbers(led, (move) => move?.durationS ?? 0),
    cueSigmaS: numbers(led, (move) => move?.cueSigmaS ?? 0),
    easing: whole(led, (move) => (move ? EASINGS.indexOf(move.easing) : 0)),
    beatSubject: whole(beats, (beat) => beat.subject),
    beatFrom: whole(beats, (beat) => beat.fromFrame),
    beatTo: whole(beats, (beat) => beat.toFrame),
    beatMayLose: whole(beats, (beat) => beat.mayLose),
    beatKey: whole(beats, (beat) => beat.keyFrame),
    beatIsSoft: whole(beats, (beat) => Number(beat.isSoft)),
    beatIsStill: whole(beats, (beat) => Number(beat.isStill && beat.tableAt === null)),
    beatStands: whole(beats, (beat) => Number(beat.isStill)),
    ...zonesOf(beats),
    beatTablesAt: whole(beats, ({ tableAt }) => (tableAt ? turned.indexOf(tableAt) * frameCount : -1)),
    tableAt: Uint16Array.from(turned.flatMap((by) => [...by])),
    tableLowDeg: table?.lowDeg ?? 0,
    tablePerDeg: table?.perDeg ?? 0,
    required,
    lostIn: new Int32Array(frameCount),
    missMm: new Float64Array(subjects.length),
    lateFrames: new Float64Array(subjects.length),
    offDeg: new Float64Array(settings.length),
    stillDeg: new Float64Array(settings.length),
    lagFrames: new Int32Array(settings.length),
    startS: new Float64Array(settings.length),
    startFrame: new Int32Array(settings.length),
    endFrame: new Int32Array(settings.length),
    fromDeg: new Float64Array(settings.length),
  };
}

/** The tables of all beats one after the other, each once, near and far limits side by side. */
function zonesOf(beats: readonly PreparedBeat[]): Pick<FlatTakes, 'zones' | 'beatZoneAt'> {
  const lists = [...new Set(beats.map(({ tables }) => tables))];
  const startOf = new Map<PreparedBeat['tables'], number>();
  const parts: Float64Array[] = [];
  let at = 0;
  for (const tables of lists) {
    startOf.set(tables, at);
    for (const { near, far } of tables) {
      parts.push(Float64Array.from({ length: 2 * near.length }, (_, k) => (k % 2 === 0 ? near[k / 2]! : far[(k - 1) / 2]!)));
      at += 2 * near.length;
    }
  }
  return { zones: joined(parts), beatZoneAt: Int32Array.from(beats, ({ tables }) => startOf.get(tables)!) };
}

function joined(parts: readonly Float64Array[]): Float64Array {
  const whole = new Float64Array(parts.reduce((length, part) => length + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
