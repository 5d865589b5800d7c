import { chooseRig, moveCameraTo, prepareTrials, presetRig, runTrials, setAim, setStop, startFloor } from '@still-heron/core';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { shortShot } from './evaluate.mjs';

const TAKES = 10_000;
const SEED = 1;
/** Columns of the camera's misses are in mm for a draw of one: the C program scales them by this. */
const MISS_IN_MM = 1;
/** Their square roots are the steps of the sequence of set-ups. */
const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53];
/** The machine's speed varies: both run alternately, and the fastest of each counts. */
const TURNS = 8;
const ROUNDS = 8;

/** The core's trials against the same loop in C at -O3: equal counts, and ratio of times. Reports a missing compiler. */
export function benchKeepRate() {
  const what = 'keep rate, 10,000 takes of 12 s on a dolly, against the same takes in C at -O3';
  const aim = 'as many kept, at most 1.3 times as long';
  const prepared = prepareTrials(dollyShot());
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-bench-'));
  try {
    execFileSync('cc', ['-O3', '-o', join(folder, 'takes'), join(import.meta.dirname, 'keepRate.c'), '-lm'], { stdio: 'ignore' });
    writeFileSync(join(folder, 'prepared'), new Uint8Array(Float64Array.from(valuesOf(prepared)).buffer));
    let [kept, bestMs, keptInC, bestInC] = [0, Infinity, 0, Infinity];
    for (let turn = 0; turn < TURNS; turn++) {
      const printed = execFileSync(join(folder, 'takes'), [join(folder, 'prepared')], { encoding: 'utf8' });
      const [counted, ms] = printed.split(' ').map(Number);
      keptInC = counted;
      bestInC = Math.min(bestInC, ms);
      for (let round = 0; round < ROUNDS; round++) {
        const startedMs = performance.now();
        ({ kept } = runTrials(prepared, SEED, { first: 0, count: TAKES }, true));
        bestMs = Math.min(bestMs, performance.now() - startedMs);
      }
    }
    const ratio = bestMs / bestInC;
    const figure = `${kept} kept here, ${keptInC} there; ${ratio.toFixed(2)} times as long (${bestMs.toFixed(1)} ms against ${bestInC.toFixed(1)})`;
    return { what, figure, aim, shareOfAim: kept === keptInC ? ratio / 1.3 : Infinity };
  } catch (error) {
    return { what, figure: `not compared: ${error.message.split('\n')[0]}`, aim, shareOfAim: Infinity };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The short shot on a dolly that follows the walk: people and camera err in the scene. */
function dollyShot() {
  const shot = setStop(chooseRig(startFloor(shortShot()), null, presetRig('Dolly', 'dolly', 'puller')), 5.6);
  const aimed = setAim(shot, { kind: 'subject', subjectId: 'subject-2' });
  return moveCameraTo(moveCameraTo(aimed, { xMm: 0, yMm: 0 }, 3), { xMm: 150, yMm: 50 }, 7);
}

/** Prepared values in the order in which the C program reads them. */
function valuesOf({ captureFps, frameCount, angles, lowDeg, highDeg, holds, pulls, subjects, beats, scene, ...prepared }) {
  const [{ zone }] = beats;
  const { camera } = scene;
  const { cameraErrors: errors, setupDrawCount, drawCount, cameraDrawsAt } = prepared;
  const columns = ['xMm', 'yMm', 'zMm', 'missX', 'missY', 'forwardX', 'forwardY', 'forwardZ', 'aimedAt'];
  const driftKept = Math.exp(-1 / (errors.driftTimeS * captureFps));
  return [
    ...[SEED, TAKES, ROUNDS, captureFps, frameCount, lowDeg, highDeg],
    ...[holds.length, subjects.length, beats.length, setupDrawCount, drawCount],
    ...PRIMES.slice(0, setupDrawCount).map(Math.sqrt),
    ...columns.flatMap((name) => [...camera[name]]),
    ...[errors.timingSigmaS, MISS_IN_MM, errors.driftSigmaMm, driftKept, cameraDrawsAt],
    ...holds.flatMap((hold) => [hold.stillDeg, hold.mm, hold.measureSigmaMm, hold.setupMark, hold.drawsAt]),
    ...pulls.flatMap((pull) => [pull.startS, pull.durationS, pull.reactionS, pull.cueSigmaS, pull.ringSigmaDeg]),
    ...subjects.flatMap(({ markSigmaMm, timingSigmaS, drawsAt }, index) => {
      const { zMm, xMm, yMm, shiftMm, focusMm, hasPlace } = scene.places[index];
      return [markSigmaMm, timingSigmaS, drawsAt, zMm, ...xMm, ...yMm, ...shiftMm, ...focusMm, ...hasPlace];
    }),
    ...beats.flatMap((beat) => [
      ...[beat.subject, beat.isSoft, beat.fromFrame, beat.toFrame, beat.allowedLostFrames, beat.keyFrame, beat.isStill].map(
        Number,
      ),
    ]),
    ...[angles.perPerMm, ...angles.degs],
    ...[zone.lowDeg, zone.perDeg, ...zone.near, ...zone.far],
  ];
}
