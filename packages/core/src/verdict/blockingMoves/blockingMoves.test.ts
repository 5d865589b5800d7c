import fc from 'fast-check';
import { twoPeople } from '../../../test/plans';
import { presetRig } from '../../kit/index';
import {
  cameraErrorsOf,
  changeStay,
  checkPlan,
  chooseRig,
  newPlan,
  planDistances,
  setDuration,
  setLensHeight,
  setStop,
  type ShotPlan,
  startFloor,
  STEADY_CAMERA,
  walkTo,
} from '../../plan/index';
import { markReading } from '../../track/index';
import { keepRate } from '../../trials/index';
import { applyBlockingMove, BLOCKING_MOVES, defaultValues } from './blockingMoves';
import type { BlockingMove, BlockingMoveFigure, BlockingMoveFigureCode } from './blockingMove';
import { evaluatePull } from '../evaluatePull';
import { zoneSpans } from '../zoneSpans';
import { caseCount } from '../../../test/caseCount';

const at0 = { subjectId: 'subject-1', atS: 0 };
const alone = (stop = 3.2): ShotPlan => setStop(setLensHeight(startFloor(twoPeople()), 1620), stop);
const quiet = (): ShotPlan => ({ ...alone(), focusTrack: { start: { kind: 'mark', markId: 'mark-1' }, pulls: [] } });
const named = (id: string): BlockingMove => BLOCKING_MOVES.find((blockingMove) => blockingMove.id === id)!;
const value = (figures: readonly BlockingMoveFigure[], code: BlockingMoveFigureCode, markId?: string): number =>
  figures.find((item) => item.code === code && item.markId === markId)!.value;
const answers = (figures: readonly BlockingMoveFigure[], code: BlockingMoveFigureCode): string | undefined =>
  figures.find((item) => item.code === code)?.answer;

describe.each(BLOCKING_MOVES.map((blockingMove) => [blockingMove.id, blockingMove] as const))('%s', (_, blockingMove) => {
  test.each([
    ['someone who is there', alone(), { subjectId: 'subject-2', atS: 2 }],
    ['someone new, in an empty shot', newPlan(), { subjectId: null, atS: 0 }],
    ['someone who is only taped', twoPeople(), { subjectId: 'subject-1', atS: 3 }],
  ])('lays a plan that can be saved, and says figures, for %s', (_who, plan, at) => {
    const laid = applyBlockingMove(blockingMove, plan, at);
    expect(checkPlan(laid.plan)).toEqual([]);
    expect(laid.plan).not.toBe(plan);
    expect(laid.figures.length).toBeGreaterThan(2);
    for (const { value: found, answer } of laid.figures) expect(Number.isNaN(found)).toBe(answer !== undefined);
    const focus = planDistances(laid.plan);
    const subject = laid.plan.subjects.find(({ id }) => id === laid.subjectId)!;
    for (let timeS = 0; timeS <= laid.plan.durationS; timeS += 0.25) expect(focus.focusMmAt(subject, timeS)).toBeGreaterThan(0);
  });

  test('whatever is chosen within its range, the plan can be saved and no figure is missing', () => {
    const base = alone();
    const params = blockingMove.params(base, at0);
    const chosen = fc.record(
      Object.fromEntries(
        params.map(({ key, min, max, choices }) => [
          key,
          choices ? fc.constantFrom(...choices) : fc.double({ min, max: Math.min(max, min + 8000), noNaN: true }),
        ]),
      ),
    );
    fc.assert(
      fc.property(chosen, fc.double({ min: 0, max: 9, noNaN: true }), (values, atS) => {
        const laid = applyBlockingMove(blockingMove, base, { subjectId: 'subject-1', atS }, values);
        expect(checkPlan(laid.plan)).toEqual([]);
        for (const { value: found, answer } of laid.figures) expect(Number.isNaN(found)).toBe(answer !== undefined);
      }),
      { seed: 71, numRuns: caseCount(25) },
    );
  });

  test('its usual figures lie within what may be chosen', () => {
    const values = defaultValues(blockingMove, setDuration(newPlan(), 0.5), { subjectId: null, atS: 0.4 });
    for (const { key, min, max } of blockingMove.params(setDuration(newPlan(), 0.5), { subjectId: null, atS: 0.4 })) {
      expect(values[key]).toBeGreaterThanOrEqual(min);
      expect(values[key]).toBeLessThanOrEqual(max);
    }
  });
});

test('keeping the distance: it stays to the millimetre, and the room is the zone’s', () => {
  const { plan, figures } = applyBlockingMove(named('constant-distance'), quiet(), at0, { way: -1, walkMm: 5000, lastsS: 5 });
  expect(value(figures, 'drift')).toBeLessThan(1);
  expect(value(figures, 'mean-speed')).toBe(1000);
  expect(value(figures, 'camera-path')).toBeCloseTo(5000, 6);
  const { fartherMm } = markReading(plan, plan.marks[0]!);
  expect(value(figures, 'farther-room')).toBeCloseTo(fartherMm, 9);
  // at 0.9 of the pace they are a tenth of a metre farther every second
  expect(value(figures, 'slow-pace-lasts')).toBeCloseTo(fartherMm / 100, 9);
});

test('walking into focus: the zone is entered and left where its limits are', () => {
  const values = { focusMm: 2000, endMm: 1000, lastsS: 4 };
  const { plan, figures } = applyBlockingMove(named('walk-in'), quiet(), at0, values);
  const waiting = markReading(
    plan,
    plan.marks.find(({ subjectId }) => subjectId === 'subject-1' && plan.focusTrack.start !== null)!,
  );
  expect(waiting.beyond).toBeNull();
  const plane = plan.marks.find(({ id }) => plan.focusTrack.start?.kind === 'mark' && plan.focusTrack.start.markId === id)!;
  const { nearMm, farMm } = markReading(plan, plane);
  const distances = planDistances(plan);
  const tam = plan.subjects[0]!;
  const frame = 1 / plan.captureFps;
  const enters = value(figures, 'enters-zone');
  const leaves = value(figures, 'leaves-zone');
  expect(distances.focusMmAt(tam, enters - frame)).toBeGreaterThan(farMm);
  expect(distances.focusMmAt(tam, enters)).toBeLessThanOrEqual(farMm * (1 + 1e-9));
  expect(distances.focusMmAt(tam, leaves)).toBeLessThan(nearMm);
  expect(value(figures, 'sharp-for')).toBeCloseTo(leaves - enters, 9);
  expect(answers(applyBlockingMove(named('walk-in'), quiet(), at0, { ...values, endMm: 2000 }).figures, 'leaves-zone')).toBe(
    'not-in-this-shot',
  );
});

test('pushing in: the camera comes up to the distance that focus stays at', () => {
  const { plan, figures } = applyBlockingMove(named('push-in'), quiet(), at0, { focusMm: 1500, endMm: 1500, lastsS: 3 });
  expect(planDistances(plan).sightingAt(plan.subjects[0]!, 4)!.tapeMm).toBeCloseTo(1500, 6);
  expect(value(figures, 'camera-path')).toBeCloseTo(1400, 6);
  expect(zoneSpans(plan, plan.subjects[0]!)[0]!.fromS).toBe(value(figures, 'enters-zone'));
});

test('circling: half way round is twice a quarter, and the drawn way keeps the radius', () => {
  const quarter = applyBlockingMove(named('arc'), quiet(), at0, { arcDeg: 90, lastsS: 6, side: -1, offMm: 10 }).figures;
  const half = applyBlockingMove(named('arc'), quiet(), at0, { arcDeg: 180, lastsS: 6, side: 1, offMm: 4000 }).figures;
  expect(value(quarter, 'camera-path')).toBeCloseTo((2900 * Math.PI) / 2, 3);
  expect(value(half, 'camera-path')).toBeCloseTo(2900 * Math.PI, 3);
  expect(value(half, 'drift')).toBeLessThan(2900 * 0.0015);
  expect([answers(quarter, 'off-centre'), answers(half, 'off-centre')]).toEqual(['stays-sharp', 'goes-soft']);
});

test('a circle that may be off centre, and a pace that may be too slow, make the camera drift by that much', () => {
  const circled = applyBlockingMove(named('arc'), quiet(), at0, { arcDeg: 90, lastsS: 6, side: 1, offMm: 100 }).plan;
  expect(cameraErrorsOf(circled)).toMatchObject({ driftSigmaMm: 100, driftTimeS: 6 });
  const one: ShotPlan = { ...quiet(), beats: quiet().beats.filter(({ subjectId }) => subjectId === 'subject-1') };
  const walked = applyBlockingMove(named('constant-distance'), one, at0, { way: 1, walkMm: 4000, lastsS: 4 }).plan;
  // a tenth of 4 m is 40 cm at the end, and 23 cm on average over the walk
  expect(cameraErrorsOf(walked).driftSigmaMm).toBeCloseTo(400 / Math.sqrt(3), 6);
  const rate = (plan: ShotPlan) => keepRate(plan, { takes: 500, seed: 1 }).keepRate;
  expect(rate(walked)).toBeLessThan(rate({ ...walked, cameraErrors: STEADY_CAMERA }) - 0.2);
  // an operator who walks drifts more than that anyway
  const handheld = chooseRig(quiet(), null, presetRig('In the hands', 'handheld', 'puller'));
  const carried = applyBlockingMove(named('arc'), handheld, at0, { arcDeg: 90, lastsS: 6, side: 1, offMm: 100 }).plan;
  expect([carried.cameraErrors, cameraErrorsOf(carried).driftSigmaMm]).toEqual([null, 150]);
});

test('sliding out: behind the foreground at first, clear of it once the line of sight passes its edge', () => {
  const base = { side: 1, closeMm: 700, wideMm: 500, slideMm: 700, lastsS: 3 };
  const { plan, figures } = applyBlockingMove(named('slide-out'), quiet(), at0, base);
  const clearS = value(figures, 'clear-from');
  // the line from the camera at y to someone at 2.9 m leaves the back edge at 0.75 m when y · (2150 / 2900) is 250
  const camera = plan.floor!.camera;
  const yMm = 250 / (2150 / 2900);
  const share = (clearS - camera[0]!.timeS) / 3;
  const slidMm = 700 * (10 * share ** 3 - 15 * share ** 4 + 6 * share ** 5);
  // the camera slides 18 mm a frame there
  expect(slidMm).toBeGreaterThan(yMm);
  expect(slidMm).toBeLessThan(yMm + 19);
  // the sentence says the same
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(verdict.status);
  expect(verdict.hiddenSpans).toMatchObject([{ by: { kind: 'landmark' }, fromS: 0, toS: clearS }]);
  expect(answers(applyBlockingMove(named('slide-out'), quiet(), at0, { ...base, slideMm: 60 }).figures, 'clear-from')).toBe(
    'never-clear',
  );
  expect(value(figures, 'foreground-blur')).toBeGreaterThan(3);
});

test('a whip turns the camera and the ring over together, and lands sharp', () => {
  const apart = walkTo(alone(), 'subject-2', { xMm: 1500, yMm: 1500 }, 1);
  const plan = changeStay(apart, 'subject-2', 'stay-1', { untilS: 0 });
  const { figures, plan: whipped } = applyBlockingMove(
    named('whip'),
    { ...plan, focusTrack: quiet().focusTrack },
    { subjectId: 'subject-2', atS: 5 },
    { panS: 0.4 },
  );
  expect(value(figures, 'camera-turn')).toBeCloseTo(45, 6);
  expect(value(figures, 'peak-speed')).toBeCloseTo((45 / 0.4) * 1.875, 6);
  expect(whipped.focusTrack.pulls).toHaveLength(1);
  expect(answers(figures, 'on-landing')).toBe('is-sharp');
});

test('an iris pull on someone nearer than the lens focuses tells the zone where the ring stops', () => {
  const near = { ...quiet(), marks: quiet().marks.map((mark) => (mark.id === 'mark-1' ? { ...mark, distanceMm: 100 } : mark)) };
  const blockingMove = named('iris-pull');
  const { figures } = applyBlockingMove(blockingMove, near, at0, defaultValues(blockingMove, near, at0));
  const atCloseFocus = { ...near, marks: near.marks.map((mark) => ({ ...mark, distanceMm: near.optics.lens.closeFocusMm })) };
  const closest = applyBlockingMove(blockingMove, atCloseFocus, at0, defaultValues(blockingMove, atCloseFocus, at0)).figures;
  for (const code of ['zone-before', 'zone-after'] as const) expect(value(figures, code)).toBeCloseTo(value(closest, code), 6);
});

test('waiting at likely places: three marks that are nobody’s, and a turn to each', () => {
  const { plan, figures } = applyBlockingMove(named('waiting-marks'), quiet(), at0, {
    firstMm: 4000,
    secondMm: 3000,
    thirdMm: 2000,
    waitS: 2,
  });
  const waits = plan.marks.slice(-3);
  expect(waits.map(({ subjectId, distanceMm }) => [subjectId, Math.round(distanceMm!)])).toEqual([
    [null, 4000],
    [null, 3000],
    [null, 2000],
  ]);
  expect(plan.focusTrack.pulls.map(({ startS }) => startS)).toEqual([2, 4]);
  expect(value(figures, 'holds-from', waits[0]!.id)).toBeLessThan(4000);
  expect(value(figures, 'turn-to', waits[2]!.id)).toBeGreaterThan(value(figures, 'turn-to', waits[1]!.id));
});

test('a sway stays inside by what the zone has over, or leaves it, and a stop is named that holds it', () => {
  const { figures, plan } = applyBlockingMove(named('sway'), quiet(), at0, { swayMm: 40, periodS: 2, lastsS: 6 });
  const { nearerMm } = markReading(plan, plan.marks[0]!);
  expect(value(figures, 'inside-by')).toBeCloseTo(nearerMm - 40, 6);
  expect(value(figures, 'sharp-share')).toBe(100);
  const wide = applyBlockingMove(named('sway'), quiet(), at0, { swayMm: 400, periodS: 2, lastsS: 6 });
  expect(value(wide.figures, 'outside-by')).toBeGreaterThan(0);
  const stop = value(wide.figures, 'holding-stop');
  expect(
    value(
      applyBlockingMove(named('sway'), setStop(quiet(), stop), at0, { swayMm: 400, periodS: 2, lastsS: 6 }).figures,
      'inside-by',
    ),
  ).toBeGreaterThanOrEqual(0);
});

test('a lean comes back to where it was, and the turn that matches it is the ring’s', () => {
  const { plan, figures } = applyBlockingMove(named('lean'), quiet(), at0, { way: 1, leanMm: 150, lastsS: 2 });
  const tam = plan.subjects[0]!;
  const { focusMmAt } = planDistances(plan);
  expect([focusMmAt(tam, 0), focusMmAt(tam, 1), focusMmAt(tam, 2)].map(Math.round)).toEqual([2900, 2750, 2900]);
  expect(value(figures, 'ring-turn')).toBeGreaterThan(2);
});

test('pulling the iris open thins the zone and gains light', () => {
  const { figures } = applyBlockingMove(named('iris-pull'), setStop(quiet(), 6.3), at0, { stop: 3.2, lastsS: 2 });
  expect(value(figures, 'zone-after')).toBeLessThan(value(figures, 'zone-before'));
  expect(value(figures, 'light-gained')).toBeCloseTo(2 * Math.log2(6.3 / 3.2), 9);
});
