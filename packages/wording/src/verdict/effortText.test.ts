import {
  addPull,
  addSubject,
  changePull,
  chooseWheel,
  evaluatePull,
  newPlan,
  setHand,
  type ShotPlan,
  type Wheel,
} from '@still-heron/core';
import { breathingLines, landingLines, neededTimeLines, peakSpeedLines, roomText, turnLines } from './effortText';

/** A pull of one second from 2.90 m to 2.05 m. */
function plan(): ShotPlan {
  let made = addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 });
  made = addSubject(made, { name: 'Ines', distanceMm: 2050 });
  return changePull(addPull(made, 'mark-2', 4), 'pull-1', { startS: 4, durationS: 1 });
}

function pullOf(made: ShotPlan) {
  const verdict = evaluatePull(made);
  if (verdict.status !== 'judged') throw new Error('not judged');
  return verdict.pulls[0]!;
}

const wheel: Wheel = {
  name: 'Hand wheel',
  kind: 'wheel',
  wheelPerRing: 2,
  turns: 'same',
  discDiameterMm: 60,
  comfortableDeg: 20,
  fastestDegPerS: null,
  hasEndStops: false,
  notes: '',
};

test('at the ring, the turn is one line; at a wheel of 2 × it tells the gear, the disc and the grips', () => {
  expect(turnLines(pullOf(plan()), plan())).toEqual([expect.stringMatching(/^the ring from \d+\.\d° to \d+\.\d°$/)]);
  const geared = chooseWheel(plan(), 'wheel-1', wheel);
  const pull = pullOf(geared);
  const [, gear, grips] = turnLines(pull, geared);
  expect(gear).toBe(`the wheel turns 2 × as far; it must land within ${pull.wheel!.windowOnDiscMm.toFixed(1)} mm on its disc`);
  expect(pull.wheel!.regrips).toBe(Math.ceil((2 * pull.travelDeg) / 20) - 1);
  expect(grips).toBe(`the hand has to regrip ${pull.wheel!.regrips} times`);
});

test('an eased pull peaks at 1.875 times its mean speed', () => {
  const [computed, limit] = peakSpeedLines(pullOf(plan()), 720);
  expect(computed).toMatch(/^1\.875 × \d+\.\d° \/ 1\.00 s of the ring$/);
  expect(limit).toBe('the limit is 720°/s: yours, under “Hand and shot”');
});

test('the needed time names its bits, unless the pull lands against a hard stop', () => {
  const pull = pullOf(plan());
  expect(neededTimeLines(pull, plan())[0]).toMatch(/^0\.15 s \+ 0\.22 s × \d\.\d\d bits of difficulty$/);
  expect(neededTimeLines(pull, plan())[1]).toBe(
    `bits = log₂(${pull.travelDeg.toFixed(1)}° / ${pull.windowDeg.toFixed(2)}° + 1): turn over landing window`,
  );
  const stopped = { ...pullOf(chooseWheel(plan(), 'wheel-1', { ...wheel, hasEndStops: true })), isAgainstHardStop: true };
  expect(neededTimeLines(stopped, plan())).toEqual(['the pull lands against a hard stop: it needs no aim, only time to turn']);
});

test('the needed time goes by the hand of the plan, and names a second job', () => {
  const own = setHand(plan(), { perBitS: 0.3 });
  const lines = neededTimeLines({ ...pullOf(own), secondJob: 'framing' }, own);
  expect(lines[0]).toMatch(/^0\.15 s \+ 0\.3 s × /);
  expect(lines[1]).toBe('all of it × 1.5, because the same person frames');
  expect(lines.at(-1)).toBe('with your own hand, as typed or measured');
});

test('the room is told on the ring and on the floor, in the units of the reader; without limit it is ∞', () => {
  const [ring, floor, other] = landingLines(pullOf(plan()), 'imperial');
  expect(ring).toMatch(/^ring: \d+\.\d\d° on the near side, \d+\.\d\d° on the far side$/);
  expect(floor).toMatch(/^on the floor: .*" nearer, .*" farther$/);
  expect(other).toMatch(/^in the opposite direction the window is .* s$/);
  expect(roomText(Infinity, 'metric')).toBe('∞');
});

test('breathing is the lens’s own figure', () => {
  const breathing = { ...plan(), optics: { ...plan().optics, lens: { ...plan().optics.lens, breathingPercent: 3 } } };
  expect(breathingLines(breathing)[0]).toBe('breathing of the lens: 3 % from infinity to close focus');
});
