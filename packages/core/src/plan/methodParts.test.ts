import {
  addMethodPart,
  autofocusRisk,
  automaticFrames,
  changeMethodPart,
  evaluatePull,
  findFixes,
  handSpans,
  isAllAutomatic,
  keepRate,
  methodAt,
  methodOffers,
  methodParts,
  ofPart,
  partFigures,
  planNotes,
  removeMethodPart,
  reversed,
  setDuration,
  setMethod,
  setUpSteps,
  type ShotPlan,
  splitShot,
  tubeOf,
} from '../index';
import { asRolled } from '../roll/asRolled';
import { twoPeople } from '../../test/plans';

/** Old Tam must be sharp until the pull at 4 s, then Ines; from 7 s on the camera focuses. 10 s at 24 fps. */
const mixed = addMethodPart(twoPeople(), 7, 'automatic');

/** Ines is missed by half a metre from 5 s on: nobody has pulled to her. */
const missed: ShotPlan = { ...mixed, focusTrack: { ...mixed.focusTrack, pulls: [] } };

const judgedOf = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(verdict.status);
  return verdict;
};

test('the parts of a shot are the whole shot, and each time has one method', () => {
  expect(methodParts(mixed)).toEqual([
    { id: null, method: 'rack', fromS: 0, toS: 7 },
    { id: 'part-1', method: 'automatic', fromS: 7, toS: 10 },
  ]);
  expect([0, 6.99, 7, 9].map((timeS) => methodAt(mixed, timeS))).toEqual(['rack', 'rack', 'automatic', 'automatic']);
  expect(isAllAutomatic(mixed)).toBe(false);
  expect(isAllAutomatic(setMethod(mixed, null, 'automatic'))).toBe(true);
});

test('a part is moved between its neighbours, changed and removed; two do not begin together', () => {
  const three = addMethodPart(mixed, 2, 'follow');
  expect(three.laterMethods.map(({ fromS }) => fromS)).toEqual([2, 7]);
  expect(addMethodPart(three, 7.1, 'fixed')).toBe(three);
  expect(methodParts(changeMethodPart(three, 'part-2', 20))[1]!.fromS).toBe(6.8);
  expect(setMethod(three, 'part-1', 'fixed').laterMethods[1]!.method).toBe('fixed');
  expect(removeMethodPart(three, 'part-1').laterMethods).toHaveLength(1);
  expect(setDuration(three, 6.5).laterMethods).toHaveLength(1);
});

test('what is left to autofocus counts neither as sharp nor as soft', () => {
  const whole = judgedOf({ ...missed, laterMethods: [] });
  const hand = judgedOf(missed);
  const frames = (plan: ReturnType<typeof judgedOf>) => [plan.requiredFrames, plan.requiredFrames - plan.sharpFrames];
  const [required, soft] = frames(whole);
  // 3 s at 24 fps are left to the camera, and she is soft in all of them
  expect(frames(hand)).toEqual([required! - 72, soft! - 72]);
  expect(hand.softSpans.every(({ toFrame }) => toFrame <= 168)).toBe(true);
  expect(automaticFrames(missed)!.reduce((sum, one) => sum + one, 0)).toBe(72);
  expect(
    tubeOf(missed)
      .required.slice(168)
      .some((one) => one === 1),
  ).toBe(false);
});

test('a shot whose requirements all lie with autofocus asks nothing of the plan', () => {
  const late: ShotPlan = { ...mixed, beats: mixed.beats.map((beat) => ({ ...beat, fromS: 8, toS: 10, keyMomentS: 9 })) };
  expect(evaluatePull(late)).toEqual({ status: 'incomplete', missing: ['beat'] });
});

test('a key moment in such a part is none for the plan, and takes are kept without it', () => {
  const [beat] = mixed.beats.filter(({ toS }) => toS === 10);
  const keyed: ShotPlan = { ...missed, beats: [{ ...beat!, fromS: 6, toS: 10, keyMomentS: 9, requiredShare: 0.01 }] };
  expect(judgedOf(keyed).beats[0]!.isKeyMomentKept).toBeNull();
  const alone: ShotPlan = { ...mixed, beats: [{ ...beat!, fromS: 6, toS: 10, keyMomentS: null }] };
  const [whole, hand] = [{ ...alone, laterMethods: [] }, alone].map((plan) => keepRate(plan, { takes: 2000, seed: 4 }));
  // the same second is judged in both, but three seconds less can be lost
  expect(hand!.keepRate).toBeGreaterThanOrEqual(whole!.keepRate);
  expect(Number.isNaN(hand!.frames[200]!)).toBe(true);
});

test('parts are judged one by one', () => {
  const figures = partFigures(mixed);
  expect(figures.map(({ part, sharpS }) => [part.method, sharpS === null])).toEqual([
    ['rack', false],
    ['automatic', true],
  ]);
  const verdict = judgedOf(mixed);
  expect(figures[0]!.requiredS).toBeCloseTo(verdict.requiredFrames / 24, 6);
  expect(figures[1]!.requiredS).toBeCloseTo(3, 6);
  expect(figures[1]!.autofocus!.atRiskS).toBe(0);
  // both parts together require what the whole does
  const all = judgedOf({ ...mixed, laterMethods: [] });
  expect(figures[0]!.requiredS + figures[1]!.requiredS).toBeCloseTo(all.requiredFrames / 24, 6);
  expect(ofPart(mixed, { fromS: 7, toS: 10 }).beats.every(({ fromS }) => fromS >= 7)).toBe(true);
});

test('risks of autofocus are those of its parts', () => {
  const noMotor: ShotPlan = { ...mixed, optics: { ...mixed.optics, lens: { ...mixed.optics.lens, autofocus: 'no-motor' } } };
  expect(partFigures(noMotor)[1]!.autofocus!.refusal).toBe('no-motor');
  expect(autofocusRisk(mixed).requiredS).toBeCloseTo(3, 6);
  expect(autofocusRisk({ ...mixed, laterMethods: [] }).requiredS).toBeGreaterThan(8);
});

test('nobody makes a pull that starts while autofocus works, and hands are free then', () => {
  const early = setMethod(addMethodPart(twoPeople(), 3, 'automatic'), null, 'fixed');
  expect(asRolled(early).focusTrack.pulls).toEqual([]);
  expect(asRolled(mixed).focusTrack.pulls).toHaveLength(1);
  expect(handSpans(early).some(({ task }) => task === 'focus')).toBe(false);
  expect(planNotes(early, { shutterAngleDeg: 180 })).toContainEqual(
    expect.objectContaining({ code: 'pulls-unused', pulls: 1, method: 'automatic' }),
  );
});

test('fixes are looked for in the parts by hand; each method is offered for the whole shot', () => {
  expect(findFixes(missed).length).toBeGreaterThan(0);
  const offers = methodOffers(mixed);
  expect(offers.map(({ method }) => method)).toContain('automatic');
  expect(offers.flatMap(({ plan }) => plan?.laterMethods ?? [])).toEqual([]);
});

test('its steps are those of each method once, and the change is practised', () => {
  const codes = setUpSteps(mixed).map(({ code }) => code);
  expect(codes).toEqual(expect.arrayContaining(['manual-focus', 'autofocus-on', 'test-take']));
  expect(codes.at(-1)).toBe('practise-the-change');
  expect(new Set(codes).size).toBe(codes.length);
});

test('played backwards, and cut in two, each part keeps its method', () => {
  expect(methodParts(reversed(mixed)).map(({ method, fromS }) => [method, fromS])).toEqual([
    ['automatic', 0],
    ['rack', 3],
  ]);
  expect(reversed(reversed(mixed)).laterMethods).toEqual(mixed.laterMethods);
  const [before, after] = splitShot(mixed, 8)!;
  expect([before.method, before.laterMethods.length]).toEqual(['rack', 1]);
  expect([after.method, after.laterMethods.length]).toEqual(['automatic', 0]);
});
