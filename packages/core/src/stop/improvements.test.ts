import { twoPeople } from '../../test/plans';
import { RANDOM_PLANS } from '../../test/randomPlans';
import {
  addPull,
  addStay,
  addSubject,
  addSubjectAt,
  changeBeat,
  changeMark,
  changePull,
  changeSubject,
  checkPlan,
  DEFAULT_SCHEDULE,
  moveCameraTo,
  newPlan,
  removeBeat,
  setDuration,
  setGoals,
  setHand,
  setStop,
  setTrackStart,
  type ShotPlan,
  startFloor,
} from '../plan/index';
import { solveTrack } from '../track/index';
import { evaluatePull } from '../verdict/index';
import { drawLayoutOf, errorSources, keepRate, prepareTrials, runTrials, type TakesOptions } from '../trials/index';
import { ATTENTION, attentionOf, difficultyOf, limitingMoment, shotTime } from './shotTime';
import { type Improvement, rankImprovements, suggestImprovements } from './improvements';
import { howKnown } from './methods/actionFacts';
import { methodOffers } from './methods/methodOffers';

/** Two people and a pull that is a little late, at a stop that forgives little. */
const tight = changeBeat(changePull(setStop(twoPeople(), 2.2), 'pull-1', { durationS: 1.2 }), 'beat-2', { fromS: 5.3 });

function kept(plan: ShotPlan, options: TakesOptions = {}, takes = 3000): number {
  const prepared = prepareTrials(plan, options);
  if ('missing' in prepared) throw new Error('nothing to judge');
  return runTrials(prepared, 1, { first: 0, count: takes }, true).kept / takes;
}

describe('errors', () => {
  test('each is told with its size, and whether it is assumed', () => {
    const errors = errorSources(tight);
    expect(errors.map(({ source }) => source.kind)).toEqual(['marks', 'marks', 'measuring', 'measuring', 'cue', 'landing']);
    expect(errors.every(({ isAssumed }) => isAssumed)).toBe(true);
    const known = changeMark(changeSubject(setHand(tight, { steadyDeg: 0.1 }), 'subject-1', { markSigmaMm: 7 }), 'mark-2', {
      uncertaintyMm: 3,
    });
    const assumed = errorSources(known).filter(({ isAssumed }) => isAssumed);
    expect(assumed.map(({ source }) => source.kind)).toEqual(['marks', 'measuring', 'cue']);
    // one who walks can be late, a line that goes with someone is off by its hand
    const walking = setTrackStart(addStay(tight, 'subject-2', { distanceMm: 1500, fromS: 8 }), {
      kind: 'subject',
      subjectId: 'subject-1',
      leadS: 0,
    });
    expect(errorSources(walking).map(({ source }) => source.kind)).toEqual(expect.arrayContaining(['timing', 'following']));
    expect(errorSources(newPlan())).toEqual([]);
    // who may drift errs as they like
    expect(errorSources(changeBeat(tight, 'beat-1', { requirement: 'none' }))[0]!.source).toEqual({
      kind: 'marks',
      subjectId: 'subject-2',
    });
  });

  test('taken away one by one none makes it worse, and taken away where there are no others nothing is lost', () => {
    // of a plan that is sharp as planned: one that is not is now and then saved by an error
    const sharp = RANDOM_PLANS.filter((plan) => {
      const verdict = evaluatePull(plan);
      return verdict.status === 'judged' && verdict.beats.every(({ kept: isKept }) => isKept);
    });
    expect(sharp.length).toBeGreaterThan(8);
    for (const plan of sharp.slice(0, 8)) {
      const order = drawLayoutOf(plan);
      const now = kept(plan, { order }, 600);
      for (const { source } of errorSources(plan))
        expect(kept(plan, { order, without: source }, 600)).toBeGreaterThanOrEqual(now - 0.03);
    }
    const only = changeSubject(
      setHand({ ...tight, marks: tight.marks.map((mark) => ({ ...mark, uncertaintyMm: 0 })) }, { steadyDeg: 0, reactionS: 0 }),
      'subject-2',
      { markSigmaMm: 0 },
    );
    const errs = changeSubject(
      changePull(changePull(only, 'pull-1', { cueSigmaS: 0 }), 'pull-1', { durationS: 1.3, startS: 3.9 }),
      'subject-1',
      { markSigmaMm: 90 },
    );
    expect(kept(errs)).toBeLessThan(0.9);
    expect(kept(errs, { without: { kind: 'marks', subjectId: 'subject-1' } })).toBeGreaterThan(kept(errs));
  });

  test('a subject draws the same numbers in two plans, whichever other subjects are added or removed', () => {
    const order = drawLayoutOf(tight);
    const more = addSubject(tight, { name: 'Maren', distanceMm: 5000 });
    const unasked = more.beats
      .filter(({ subjectId }) => subjectId === 'subject-3')
      .reduce((plan, { id }) => removeBeat(plan, id), more);
    expect(kept(unasked, { order })).toBe(kept(tight, { order }));
    // drawn in its own order it is another sample of the same
    expect(kept(unasked)).not.toBe(kept(tight, { order }));
    const later = addPull(tight, 'mark-1', 9);
    const first = changeBeat(changeBeat(later, 'beat-2', { toS: 8.5 }), 'beat-1', { fromS: 0 });
    expect(kept(first, { order })).toBe(kept(changeBeat(tight, 'beat-2', { toS: 8.5 }), { order }));
  });

  test('a hand that goes with someone is beside and behind them; one without errors is not', () => {
    const walking = addStay(changeSubject(newWalk(), 'subject-1', { markSigmaMm: 0, timingSigmaS: 0 }), 'subject-1', {
      distanceMm: 1500,
      fromS: 7,
    });
    const follow = setStop(setTrackStart(walking, { kind: 'subject', subjectId: 'subject-1', leadS: 0 }), 2.2);
    expect(kept(follow)).toBeLessThan(0.9);
    expect(kept(setHand(follow, { steadyDeg: 0, reactionS: 0 }))).toBe(1);
    expect(kept(follow, { without: { kind: 'following', pullId: null } })).toBe(1);
    expect(kept(setHand(follow, { reactionS: 0.6 }))).toBeLessThan(kept(follow));
  });
});

function newWalk(): ShotPlan {
  return addSubject(newPlan(), { name: 'Ines', distanceMm: 5000 });
}

describe('what would help', () => {
  const improvements = suggestImprovements(tight);
  const rates = improvements.map(({ plan, without }) =>
    kept(plan, { order: drawLayoutOf(tight), without: without ?? undefined }, 1500),
  );
  const now = kept(tight, { order: drawLayoutOf(tight) }, 1500);

  test('errors, changes of the plan and narrower stops are all tried', () => {
    const kinds = new Set(improvements.map(({ change }) => change.kind));
    expect([...kinds].sort()).toEqual(['fix', 'stop', 'without']);
    for (const { change } of improvements) if (change.kind === 'stop') expect(change.stop).toBeGreaterThan(2.2);
    expect(improvements.every(({ minutes }) => minutes > 0)).toBe(true);
    expect(suggestImprovements(newPlan()).filter(({ change }) => change.kind !== 'stop')).toEqual([]);
  });

  test('what helps is sorted by what it gains for a minute; one of each kind, and none that gains nothing', () => {
    const ranked = rankImprovements(improvements, rates, { keepRate: now, targetKeepRate: 0.8 });
    expect(ranked.length).toBeGreaterThan(3);
    const worths = ranked.map(({ gain, minutes }) => gain / minutes);
    expect(worths).toEqual([...worths].sort((a, b) => b - a));
    expect(ranked.every(({ gain, keepRate: rate }) => gain >= 0.015 && Math.abs(rate - now - gain) < 1e-9)).toBe(true);
    expect(ranked.filter(({ change }) => change.kind === 'stop')).toHaveLength(1);
    // the pull begun sooner is what this shot lacks most
    const most = ranked.reduce((best, one) => (one.gain > best.gain && one.change.kind !== 'stop' ? one : best));
    expect([most.change.kind, ranked.some(({ change }) => change.kind === 'fix')]).toEqual([expect.any(String), true]);
  });

  test('a camera that moves may stand still, and the plan it makes can be stored', () => {
    const moving = moveCameraTo(moveCameraTo(startFloor(tight), { xMm: 0, yMm: 0 }, 0), { xMm: 900, yMm: 0 }, 6);
    const still = suggestImprovements(moving).find(({ change }) => change.kind === 'still-camera')!;
    expect(still.plan.floor!.camera).toHaveLength(1);
    expect(checkPlan(still.plan)).toEqual([]);
    expect(improvements.some(({ change }) => change.kind === 'still-camera')).toBe(false);
  });

  test('of several sizes the smallest that is enough counts; where none is, the one that gains most', () => {
    const stop = (to: number, minutes: number): Improvement => ({
      change: { kind: 'stop', stop: to, stopsLost: minutes },
      plan: tight,
      without: null,
      minutes,
    });
    const sizes = [stop(2.8, 1), stop(4, 2), stop(5.6, 3)];
    const picked = (given: readonly (number | null)[], targetKeepRate: number) =>
      rankImprovements(sizes, given, { keepRate: 0.5, targetKeepRate }).map(({ change }) =>
        change.kind === 'stop' ? change.stop : 0,
      );
    expect(picked([0.7, 0.85, 0.95], 0.8)).toEqual([4]);
    expect(picked([0.7, 0.85, 0.95], 0.99)).toEqual([5.6]);
    expect(picked([0.505, null, 0.4], 0.8)).toEqual([]);
  });
});

describe('ways to keep it sharp', () => {
  test('all eight stand side by side, each with its arguments', () => {
    const offers = methodOffers(tight);
    expect(offers.map(({ method }) => method)).toHaveLength(8);
    const of = (method: string) => offers.find((offer) => offer.method === method)!;
    expect(of('automatic')).toMatchObject({ plan: null, chosen: null });
    expect(of('automatic').contra).toContainEqual({ code: 'place-unknown' });
    expect(of('rack').chosen).toMatchObject({ method: 'rack', focusTrack: tight.focusTrack });
    expect(of('fixed').chosen!.focusTrack.pulls).toEqual([]);
    expect(of('acquire-then-lock').plan!.focusTrack).toEqual({ start: { kind: 'distance', distanceMm: 2900 }, pulls: [] });
    expect(of('constant-distance').plan).toBeNull();
    expect(of('walk-in').contra).toEqual([{ code: 'nobody-walks-to-a-mark' }]);
    expect(methodOffers(newPlan())).toEqual([]);
  });

  test('what becomes of the pulls is said before a method is chosen', () => {
    const fateOf = (plan: ShotPlan) => Object.fromEntries(methodOffers(plan).map(({ method, pulls }) => [method, pulls]));
    const count = tight.focusTrack.pulls.length;
    expect(fateOf(tight)).toMatchObject({
      rack: { fate: 'kept', before: count, after: count },
      fixed: { fate: 'removed', before: count, after: 0 },
      automatic: { fate: 'unused', before: count, after: count },
    });
    const still = { ...tight, focusTrack: { ...tight.focusTrack, pulls: [] } };
    expect(fateOf(still)).toMatchObject({ fixed: null, automatic: null, rack: { fate: 'added', before: 0 } });
  });

  test('autofocus is held against the place in the picture, the kit, and hands that are needed', () => {
    const plan = addSubjectAt(startFloor(setDuration(newPlan(), 8)), 'Ines', { xMm: 4000, yMm: 500 });
    const { camera, lens } = plan.optics;
    const small: ShotPlan = {
      ...plan,
      areHandsNeeded: true,
      optics: { ...plan.optics, camera: { ...camera, autofocusAreaPercent: 50, autofocusRolling: 'yes' } },
    };
    const of = (one: ShotPlan) => methodOffers(one).find(({ method }) => method === 'automatic')!;
    expect(of(small).isRefused).toBe(false);
    expect(of(small).pro).toContainEqual({ code: 'hands-needed' });
    const codes = of(small).contra.map(({ code }) => code);
    expect(codes).toEqual(['at-risk', 'autofocus-risk', 'lens-untested', 'no-lens-data', 'not-computable']);
    expect(of(small).contra[0]).toMatchObject({ forS: 8, ofS: 8 });
    const bare = of({ ...small, optics: { ...small.optics, lens: { ...lens, autofocus: 'no-motor' } } });
    expect(bare).toMatchObject({ isRefused: true, pro: [], contra: [{ code: 'no-motor' }] });
    const rack = methodOffers(small).find(({ method }) => method === 'rack')!;
    expect(rack.contra).toContainEqual({ code: 'hands-needed' });
  });

  test('one who walks: let come, gone with, or gone along with; what they keep can be drawn', () => {
    const walking = addStay(newWalk(), 'subject-1', { distanceMm: 2000, fromS: 6 });
    const offers = methodOffers(walking);
    const plans = offers.filter(({ plan }) => plan !== null);
    expect(plans.map(({ method }) => method)).toEqual([
      'fixed',
      'constant-distance',
      'walk-in',
      'follow',
      'rack',
      'acquire-then-lock',
    ]);
    const shareOf = (method: string) =>
      keepRate(offers.find((one) => one.method === method)!.plan!, { takes: 400, seed: 1 }).sharpShare;
    expect(shareOf('constant-distance')).toBeGreaterThan(shareOf('walk-in'));
    expect(shareOf('walk-in')).toBeLessThan(0.9);
    // the line that is chosen for it leaves the action as it is
    expect(offers[1]!.chosen!.subjects).toBe(walking.subjects);
    expect(offers[2]!.chosen!.focusTrack.start).toEqual({ kind: 'mark', markId: 'mark-2' });
  });

  test('how well a move is known', () => {
    expect(howKnown(tight)).toBe('known');
    const walking = addStay(newWalk(), 'subject-1', { distanceMm: 2000, fromS: 6 });
    expect(howKnown(walking)).toBe('partly');
    expect(howKnown(changeMark(walking, 'mark-2', { method: 'eye' }))).toBe('unknown');
    expect(howKnown({ ...walking, rehearsals: [{ id: 'run-1', taps: [] }] })).toBe('known');
    const laid = solveTrack(walking, 'follow')!.plan;
    expect(methodOffers(laid).map(({ method }) => method)).toHaveLength(8);
  });
});

describe('time', () => {
  const rate = { keepRate: 0.5, takesForNineOfTen: 4, setupsKept: [] };

  test('takes as chance asks for, or as planned; once for what happens once', () => {
    const schedule = { ...DEFAULT_SCHEDULE, setUpMin: 30, betweenTakesS: 60 };
    const plan = { ...tight, schedule, durationS: 15 };
    expect(shotTime(plan, rate)).toEqual({ takes: 4, chance: 1 - 0.5 ** 4, minutes: 30 + (4 * 15 + 3 * 60) / 60 });
    expect(shotTime({ ...plan, schedule: { ...schedule, takes: 2 } }, rate)).toMatchObject({ takes: 2, chance: 0.75 });
    expect(shotTime(setGoals(plan, { isOneChance: true }), rate)).toEqual({ takes: 1, chance: 0.5, minutes: 30.25 });
    expect(shotTime(plan, { keepRate: 0, takesForNineOfTen: Infinity, setupsKept: [] })).toEqual({
      takes: null,
      chance: 0,
      minutes: null,
    });
  });

  test('the moment that decides is the frame that is soft most often, and whose it is', () => {
    const known = keepRate(tight, { takes: 1000, seed: 1 });
    const moment = limitingMoment(known, tight)!;
    expect(moment.sharpShare).toBe(Math.min(...known.frames.filter((share) => !Number.isNaN(share))));
    expect(moment.subjectIds).toEqual(['subject-2']);
    expect(moment.timeS).toBeGreaterThanOrEqual(5.2);
    expect(limitingMoment({ frames: Float64Array.of(1, NaN, 1), beats: [] }, tight)).toBeNull();
  });

  test('a guard who must be soft then is not among those who must be sharp', () => {
    const guarded: ShotPlan = {
      ...tight,
      beats: [...tight.beats, { ...tight.beats[0]!, id: 'beat-9', fromS: 0, toS: 10, requirement: 'soft', blurPercent: 0.5 }],
    };
    const moment = limitingMoment(keepRate(guarded, { takes: 500, seed: 1 }), guarded)!;
    expect(moment.subjectIds).toEqual(['subject-2']);
  });

  test('how hard it is, and what needs attention: the worst first', () => {
    expect([0.95, 0.8, 0.5, 0.1].map(difficultyOf)).toEqual(['easy', 'fair', 'hard', 'very hard']);
    const once = setGoals(tight, { isOneChance: true });
    expect(once.goals.targetKeepRate).toBe(0.95);
    expect(setGoals(once, { isOneChance: false }).goals.targetKeepRate).toBe(0.8);
    expect(attentionOf(tight, null, null)).toBe('incomplete');
    expect(attentionOf(once, 'sharp', 0.9)).toBe('one-chance');
    expect(attentionOf(tight, 'sharp', 0.9)).toBe('ready');
    expect(attentionOf(tight, 'tight', 0.5)).toBe('low-keep-rate');
    expect(attentionOf(tight, 'soft', 0.9)).toBe('soft');
    expect(ATTENTION.indexOf('one-chance')).toBeLessThan(ATTENTION.indexOf('ready'));
  });
});
