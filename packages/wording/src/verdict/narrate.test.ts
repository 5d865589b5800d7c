import {
  addBeat,
  addLandmark,
  addOpticsChange,
  addPull,
  addStay,
  addSubject,
  changeBeat,
  changeMark,
  changePull,
  changeStay,
  defaultWheel,
  evaluatePull,
  moveCameraTo,
  newPlan,
  setAim,
  setHandLimit,
  setStop,
  setTrackStart,
  type ShotPlan,
  solveTrack,
  startFloor,
  addSubjectAt,
  changeSubject,
  hiddenRunsOf,
  methodOffers,
  planNotes,
  setDuration,
  walkTo,
  withoutHeight,
  withUsualHeights,
} from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { RANDOM_PLANS } from '../../../core/test/randomPlans';
import { floorSentence } from '../floor/floorSentence';
import { unknownHeightsText } from '../floor/floorText';
import { noteText } from '../plan/noteText';
import { textOf } from '../sentence';
import { methodArgumentText } from '../stop/methodArgumentText';
import { narrate } from './narrate';

const said = (plan: ShotPlan) => narrate(evaluatePull(plan), plan, 'metric').text;

/** Ines must be sharp from 6 s on, when the pull to her has landed. */
const fine = changeBeat(twoPeople(), 'beat-2', { fromS: 6 });
const alone = addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 });
const walking = changeStay(addStay(alone, 'subject-1', { distanceMm: 2000, fromS: 8 }), 'subject-1', 'stay-1', { untilS: 4 });
const followed = (leadS: number) => setTrackStart(walking, { kind: 'subject', subjectId: 'subject-1', leadS });

const dollyIn = (): ShotPlan => {
  const drawn = setAim(startFloor(alone), { kind: 'subject', subjectId: 'subject-1' });
  return moveCameraTo(drawn, { xMm: 1800, yMm: 0 }, 8);
};

/** The plan with a lens that was read from 0.65 m to 2 m only. */
const endsAtTwoMetres = (plan: ShotPlan): ShotPlan => {
  const points = [
    { distanceMm: 650, ringDeg: 280 },
    { distanceMm: 1000, ringDeg: 150 },
    { distanceMm: 2000, ringDeg: 0 },
  ];
  return { ...plan, optics: { ...plan.optics, lens: { ...plan.optics.lens, ring: { kind: 'table', points } } } };
};

/** Shots of every kind, each with its verdict as a colleague would give it. */
const SHOTS: readonly (readonly [what: string, plan: ShotPlan])[] = [
  ['nothing yet', newPlan()],
  ['nothing required', { ...alone, beats: [] }],
  ['one who stands', alone],
  ['two and a pull', changePull(fine, 'pull-1', { durationS: 1.6 })],
  ['a tight pull', changePull(fine, 'pull-1', { durationS: 0.9 })],
  ['a pull too hard for any hand', changePull(fine, 'pull-1', { durationS: 0.3 })],
  ['a pull under way', changeBeat(changePull(fine, 'pull-1', { startS: 5.4, durationS: 1.2 }), 'beat-2', {})],
  ['a pull too late', changePull(fine, 'pull-1', { startS: 7, durationS: 1.6 })],
  ['a pull too soon', changePull(fine, 'pull-1', { startS: 2.5, durationS: 1.6 })],
  ['no pull', { ...fine, focusTrack: { ...fine.focusTrack, pulls: [] } }],
  ['a walk nobody follows', walking],
  ['a follow', followed(0)],
  ['a follow that lags', followed(-0.3)],
  ['a follow that leads', followed(0.4)],
  ['a dolly nobody follows', dollyIn()],
  ['too near for the ring', changeMark(alone, 'mark-1', { distanceMm: 500 })],
  ['beyond a scale that ends', changeMark(endsAtTwoMetres(alone), 'mark-1', { distanceMm: 9000 })],
  [
    'opened up on the way',
    addOpticsChange(setStop(setTrackStart(alone, { kind: 'distance', distanceMm: 4200 }), 11), 'irisPulls', 4, 2.2),
  ],
  [
    'a key moment missed',
    changeBeat(changeBeat(fine, 'beat-2', { fromS: 4.6, requiredShare: 0.5 }), 'beat-2', { keyMomentS: 4.7 }),
  ],
  ['not soft enough', changeBeat(addBeat(fine, 'subject-2', 0), 'beat-3', { requirement: 'soft', toS: 3, blurPercent: 4 })],
  ['soft on purpose', changeBeat(addBeat(fine, 'subject-2', 0), 'beat-3', { requirement: 'soft', toS: 3, blurPercent: 0.5 })],
  ['as much as is required', changeBeat(changeBeat(fine, 'beat-2', { fromS: 4.6 }), 'beat-2', { requiredShare: 0.5 })],
  ['two soft spans', addPull(changePull(fine, 'pull-1', { startS: 3.2, durationS: 1.6 }), 'mark-1', 8)],
  [
    'four soft spans',
    {
      ...fine,
      beats: [1, 3, 6, 8].map((fromS, k) => ({ ...fine.beats[1]!, id: `beat-${k + 1}`, fromS, toS: fromS + 0.5 })),
      focusTrack: { ...fine.focusTrack, pulls: [] },
    },
  ],
  ['a slow hand', setHandLimit(changePull(fine, 'pull-1', { durationS: 1.8 }), 24)],
  ['a slow hand on a follow', setHandLimit(followed(0), 15)],
  [
    'between hard stops',
    {
      ...changePull(fine, 'pull-1', { durationS: 0.45 }),
      wheel: defaultWheel({ name: 'Wheel', hasEndStops: true }),
      marks: fine.marks.map((mark) => ({ ...mark, hasHardStop: true })),
    },
  ],
  ['as still as it goes', solveTrack(fine, 'follow', { roomShare: 0.3 })!.plan],
  [
    'at infinity',
    changePull(addPull(addSubject(alone, { name: 'River ferry', distanceMm: null }), 'mark-2', 6), 'pull-1', { durationS: 2.5 }),
  ],
];

test('a verdict reads as a colleague would give it', () => {
  expect(SHOTS.map(([what, plan]) => `${what}: ${said(plan)}`).join('\n')).toMatchInlineSnapshot(`
    "nothing yet: No distance yet: tape to the first subject and type it.
    nothing required: Nothing has to be sharp yet: choose a subject, and when.
    one who stands: Sharp for all 10.0 s. Tightest at 0.0 s: Ines has 19 cm of room.
    two and a pull: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 4.9 cm of room.
    a tight pull: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 4.9 cm of room. Tight: the pull to B has 0.90 s, and a hand needs 0.76 s.
    a pull too hard for any hand: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 4.9 cm of room. Too hard: the pull to B has 0.30 s, and a hand needs 0.76 s.
    a pull under way: Sharp 7.7 of the 8.0 s that must be. Soft from 6.0 s: Ines is up to 28 cm in front of the zone while the pull to B is under way.
    a pull too late: Sharp 5.8 of the 8.0 s that must be. Soft from 6.0 s: Ines is up to 75 cm in front of the zone, because the pull to B starts only at 7.0 s.
    a pull too soon: Sharp 6.9 of the 8.0 s that must be. Soft from 2.9 s: Old Tam is up to 79 cm behind the zone, because the pull to B leaves at 2.5 s.
    no pull: Sharp 4.0 of the 8.0 s that must be. Soft from 6.0 s: Ines is up to 75 cm in front of the zone, and no pull goes there.
    a walk nobody follows: Sharp 4.8 of 10.0 s. Soft from 4.8 s: Ines is up to 1.81 m in front of the zone while walking, and no pull follows.
    a follow: Sharp for all 10.0 s. Tightest at 8.0 s: Ines has 4.7 cm of room.
    a follow that lags: Sharp 7.1 of 10.0 s. Soft from 5.0 s: Ines is up to 12 cm in front of the zone, because the follow runs 0.3 s behind.
    a follow that leads: Sharp 6.9 of 10.0 s. Soft from 4.5 s: Ines is up to 20 cm behind the zone, because the follow runs 0.4 s ahead.
    a dolly nobody follows: Sharp 1.3 of 10.0 s. Soft from 1.3 s: Ines is up to 1.61 m in front of the zone while the camera moves and no pull follows.
    too near for the ring: Soft for all 10.0 s. Ines is up to 15 cm in front of the zone, outside the range of the ring (0.650 m to ∞).
    beyond a scale that ends: Soft for all 10.0 s. Ines is up to 6.95 m behind the zone, outside the range of the ring (0.650 m to 2.00 m).
    opened up on the way: Sharp 5.4 of 10.0 s. Soft from 5.4 s: Ines is up to 5.2 cm in front of the zone, because opening the stop makes the zone too thin.
    a key moment missed: Sharp 9.2 of the 9.4 s that must be. The key moment at 4.7 s is missed. Soft from 4.6 s: Ines is up to 12 cm in front of the zone while the pull to B is under way.
    not soft enough: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 4.9 cm of room. Too sharp from 0.0 s: Ines blurs to 0.9 % of the picture's width, and 4 % is required. Tight: the pull to B has 1.00 s, and a hand needs 0.76 s.
    soft on purpose: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 4.9 cm of room. Tight: the pull to B has 1.00 s, and a hand needs 0.76 s.
    as much as is required: Sharp 9.2 of the 9.4 s that must be, as much as is required. Soft from 4.6 s: Ines is up to 12 cm in front of the zone while the pull to B is under way.
    two soft spans: Sharp 6.4 of the 6.8 s that must be. Soft from 3.6 s: Old Tam is up to 39 cm behind the zone, because the pull to B leaves at 3.2 s.
    four soft spans: Soft for all 2.0 s that must be sharp. Soft from 1.0 s: Ines is up to 75 cm in front of the zone, and no pull goes there. Soft again 3 times from 3.0 s.
    a slow hand: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 4.9 cm of room. Tight: the pull to B has 1.80 s, and a hand needs 1.79 s.
    a slow hand on a follow: Sharp for all 10.0 s. Tightest at 8.0 s: Ines has 4.7 cm of room. Too hard: at 7.2 s the hand would turn 20°/s, and its limit is 15°/s.
    between hard stops: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 4.9 cm of room.
    as still as it goes: Sharp for all 8.0 s that must be. Tightest at 6.0 s: Ines has 1.5 cm of room.
    at infinity: Sharp 8.0 of the 8.3 s that must be. Soft from 7.7 s: River ferry is at infinity, behind the zone while the pull to B is under way."
  `);
});

test('any plan has a verdict without gaps, in either unit', () => {
  for (const plan of RANDOM_PLANS)
    for (const units of ['metric', 'imperial'] as const)
      expect(narrate(evaluatePull(plan), plan, units).text).not.toMatch(/NaN|undefined|Infinity/);
});

test('a plan that is sharp and seldom kept says both in one sentence, and is not in green', () => {
  const plan = changePull(fine, 'pull-1', { durationS: 1.6 });
  const first = (keepRate: number | null, one = plan) => narrate(evaluatePull(one), one, 'metric', keepRate).parts[0];
  expect(first(0.02)).toEqual({
    tone: 'edge',
    text: 'Sharp for all 8.0 s that must be, if all goes as planned: 2 of 100 takes are kept.',
  });
  expect(first(0.01)!.text).toContain('1 of 100 takes is kept.');
  expect(first(plan.goals.targetKeepRate)).toEqual({ tone: 'sharp', text: 'Sharp for all 8.0 s that must be.' });
  expect(first(null)).toEqual(first(0.99));
  const late = changePull(fine, 'pull-1', { startS: 7, durationS: 1.6 });
  expect(first(0, late)!.text).toMatch(/^Sharp .* that must be, if all goes as planned: 0 of 100 takes are kept\.$/);
});

describe('somebody stands before her', () => {
  const ines = addSubjectAt(setDuration(newPlan(), 8), 'Ines', { xMm: 4000, yMm: 0 });
  const carter = addSubjectAt(ines, 'the carter', { xMm: 2200, yMm: -900 });
  const crossing = walkTo(carter, 'subject-2', { xMm: 2200, yMm: 900 }, 6);
  const walled = addLandmark(ines, 'post', 'the bell frame', { xMm: 2000, yMm: 0 });

  test('the sentence says by whom and when', () => {
    expect(said(crossing)).toMatch(/^Sharp for all 7\.9 s that must be\. Ines is hidden by the carter from 5\.0 to 5\.1 s\./);
    const there = walkTo(crossing, 'subject-2', { xMm: 2200, yMm: -900 }, 8);
    expect(said(there)).toMatch(/Ines is hidden by the carter from 5\.0 to 5\.1 s\. Somebody is hidden once more\./);
  });

  test('of somebody who is never seen, too', () => {
    expect(said(walled)).toMatch(/Ines is never seen, but hidden by the bell frame from 0\.0 to 8\.0 s\./);
  });

  test('the floor, the method and the notes say so as well', () => {
    const [run] = hiddenRunsOf(crossing, 'subject-1');
    const timeS = run!.fromFrame / crossing.captureFps;
    const verdict = evaluatePull(crossing);
    if (verdict.status !== 'judged') throw new Error(verdict.status);
    const at = { timeS, units: 'metric' } as const;
    expect(textOf(floorSentence(crossing, verdict, crossing.subjects[0]!, at))).toMatch(
      /^Ines is hidden by the carter at 5\.0 s\./,
    );
    const automatic = methodOffers(crossing).find(({ method }) => method === 'automatic')!;
    expect(automatic.contra.map((one) => methodArgumentText(one, crossing))).toContainEqual(
      expect.stringMatching(/^Ines is hidden, and autofocus may jump to the carter, for 0\.1 s from 5\.0 s$/),
    );
    const inside = addLandmark(ines, 'wall', 'the wall', { xMm: 4000, yMm: 0 });
    expect(planNotes(inside, { shutterAngleDeg: 180 }).map(noteText)).toContain(
      'Mark A lies inside the wall: nobody there can be seen. Move one of them.',
    );
    expect(planNotes(crossing, { shutterAngleDeg: 180 }).map(({ code }) => code)).not.toContain('stands-inside');
  });

  test('of unknown height they hide nobody, and that is said', () => {
    const flat = changeSubject(crossing, 'subject-2', { tallMm: 0 });
    expect(said(flat)).not.toMatch(/hidden/);
    expect(unknownHeightsText(withoutHeight(flat).map(({ name }) => name))).toBe(
      'Nobody is hidden by the carter: the height is not known.',
    );
    expect(said(withUsualHeights(flat))).toMatch(/hidden by the carter/);
    expect(withoutHeight(withUsualHeights(flat))).toEqual([]);
  });
});

describe('a shot that is left to autofocus', () => {
  const left = (yMm: number, changes: Partial<ShotPlan['optics']['camera']> = {}): ShotPlan => {
    const plan = addSubjectAt(startFloor(setDuration(newPlan(), 8)), 'Ines', { xMm: 4000, yMm });
    return { ...plan, method: 'automatic', optics: { ...plan.optics, camera: { ...plan.optics.camera, ...changes } } };
  };
  const said = (plan: ShotPlan) => narrate(evaluatePull(plan), plan, 'metric').text;

  test('says what is at risk and why, never that it is sharp', () => {
    expect(said(left(500, { autofocusAreaPercent: 50 }))).toBe(
      'Left to autofocus: at risk for all the 8.0 s that must be sharp. From 0.0 to 8.0 s Ines is outside the autofocus area.',
    );
    expect(said(left(0, { autofocusAreaPercent: 50 }))).toBe(
      'Left to autofocus, and no risk is known. Only test takes show how it searches.',
    );
    expect(said(left(0))).toContain('The autofocus area is not known.');
  });

  test('on the floor, a subject that is left to autofocus is never called sharp', () => {
    const at = { timeS: 1, units: 'metric' } as const;
    const told = (plan: ShotPlan) => textOf(floorSentence(plan, null, plan.subjects[0]!, at));
    expect(told(left(500, { autofocusAreaPercent: 50 }))).toContain('Autofocus is at risk: Ines is outside the autofocus area.');
    expect(told(left(0))).toContain('Left to autofocus, and no risk is known for Ines now.');
    expect(told({ ...left(0), beats: [] })).toContain('Ines need not be sharp now.');
  });

  test('says that it can’t be used, or that nothing is drawn', () => {
    expect(said(left(0, { autofocusRolling: 'no' }))).toBe(
      'Autofocus can’t be used: it failed in this recording mode in your tests. Choose another method on Stop.',
    );
    const taped: ShotPlan = { ...addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 }), method: 'automatic' };
    expect(said(taped)).toContain('Draw the subjects on Floor');
  });
});
