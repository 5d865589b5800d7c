import { evaluatePull, focusTrack, ringOf, zoneLensAt } from '@still-heron/core';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { longShot } from './evaluate.mjs';

/** The machine's speed varies: both run alternately, and the fastest of each counts. */
const TURNS = 6;
const ROUNDS = 40;
const IN_ROUND = 50;
/** Frames whose values are added up to compare the two. */
const EVERY = 97;

/** The core's verdict of a minute against the same in C at -O3: equal figures, and ratio of times. Reports a missing compiler. */
export function benchVerdict() {
  const what = 'verdict of a one-minute plan, 24 fps, 4 subjects, 6 pulls, against the same in C at -O3';
  const aim = 'the same figures, at most twice as long';
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-bench-'));
  try {
    execFileSync('cc', ['-O3', '-o', join(folder, 'verdict'), join(import.meta.dirname, 'verdict.c'), '-lm'], {
      stdio: 'ignore',
    });
    const plan = longShot();
    writeFileSync(join(folder, 'plan'), new Uint8Array(Float64Array.from(valuesOf(plan)).buffer));
    let [bestMs, bestInC, differs] = [Infinity, Infinity, false];
    for (let turn = 0; turn < TURNS; turn++) {
      const printed = execFileSync(join(folder, 'verdict'), [join(folder, 'plan')], { encoding: 'utf8' })
        .split(' ')
        .map(Number);
      bestInC = Math.min(bestInC, printed.pop());
      differs ||= figuresOf(evaluatePull(plan)).some((value, index) => !isSame(value, printed[index]));
      for (let round = 0; round < ROUNDS; round++) {
        const startedMs = performance.now();
        // a new object, as after an edit, so that no cache applies
        for (let k = 0; k < IN_ROUND; k++) evaluatePull({ ...plan, marks: [...plan.marks] });
        bestMs = Math.min(bestMs, (performance.now() - startedMs) / IN_ROUND);
      }
    }
    const ratio = bestMs / bestInC;
    const figure = `${differs ? 'other figures' : 'the same figures'}, ${ratio.toFixed(2)} times as long (${bestMs.toFixed(3)} ms against ${bestInC.toFixed(3)})`;
    return { what, figure, aim, shareOfAim: differs ? Infinity : ratio / 2 };
  } catch (error) {
    return { what, figure: `not compared: ${error.message.split('\n')[0]}`, aim, shareOfAim: Infinity };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function isSame(a, b) {
  return a === b || Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b));
}

/** What both must agree in, in the order in which the C program prints it. */
function figuresOf({ requiredFrames, sharpFrames, softSpans, fastest, tightest, subjects, track, pulls }) {
  const sum = (values) => values.reduce((total, value, frame) => (frame % EVERY === 0 ? total + value : total), 0);
  const overSubjects = (column) => subjects.reduce((total, subject) => total + sum(subject[column]), 0);
  const neededS = pulls.reduce((total, pull) => total + pull.neededS + pull.oppositeLanding.neededS, 0);
  return [
    ...[requiredFrames, sharpFrames, softSpans.length, fastest.maxHandDegPerS, tightest.marginMm],
    ...[overSubjects('blurCircles'), overSubjects('marginMm'), sum(track.ringDeg), neededS],
  ];
}

/** The plan in the order in which the C program reads it. */
function valuesOf(plan) {
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  const { focalLengthMm, fNumber, circleOfConfusionMm, principalSeparationMm = 0 } = zoneLensAt(plan.optics, 0);
  const { frameCount, subjects } = evaluatePull(plan);
  const frameOf = (timeS) => Math.min(Math.max(0, Math.ceil(timeS * plan.captureFps - 1e-6)), frameCount);
  const closest = ring.closeFocusMm - principalSeparationMm;
  const objectMm = (closest + Math.sqrt(closest * (closest - 4 * focalLengthMm))) / 2;
  const degPerMm = ring.throwDeg / (focalLengthMm ** 2 / (objectMm - focalLengthMm));
  const beats = plan.beats.filter(({ requirement }) => requirement === 'sharp');
  return [
    ...[ROUNDS, IN_ROUND, frameCount, plan.captureFps, focalLengthMm, fNumber, circleOfConfusionMm, principalSeparationMm],
    ...[degPerMm, track.start.ringDeg, plan.maxHandDegPerS, plan.hand.reactionS, plan.hand.perBitS],
    ...[track.pulls.length, subjects.length, beats.length],
    ...track.pulls.flatMap(({ startS, endS, from, to }) => [
      ...[startS, endS, from.ringDeg, to.ringDeg],
      ...[from.distanceMm, to.distanceMm],
    ]),
    ...subjects.map(({ distanceMm }) => distanceMm[0]),
    ...beats.flatMap(({ subjectId, fromS, toS }) => [
      ...[subjects.findIndex((subject) => subject.subjectId === subjectId), frameOf(fromS), frameOf(toS)],
    ]),
  ];
}
