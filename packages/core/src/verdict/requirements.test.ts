import { twoPeople } from '../../test/plans';
import {
  addBeat,
  addPull,
  addSubject,
  changeBeat,
  changePull,
  checkPlan,
  joinAlternates,
  newPlan,
  setDuration,
  setHandLimit,
  setTrackStart,
  sharpBeatsAt,
  type ShotPlan,
  showAlternate,
  splitAlternates,
} from '../plan/index';
import { solveTrack } from '../track/index';
import { evaluatePull } from './evaluatePull';
import type { CompleteVerdict } from './pullVerdict';

const judged = (plan: ShotPlan): CompleteVerdict => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('not judged');
  return verdict;
};

describe('soft on purpose', () => {
  /** Ines must be soft until the pull to her. */
  const reveal = (blurPercent: number): ShotPlan =>
    changeBeat(addBeat(changeBeat(twoPeople(), 'beat-2', { fromS: 6 }), 'subject-2', 0), 'beat-3', {
      requirement: 'soft',
      toS: 3,
      blurPercent,
    });

  test('is kept where the blur reaches the requirement, and does not count as sharp', () => {
    const verdict = judged(reveal(0.5));
    expect(verdict.beats.every(({ kept }) => kept)).toBe(true);
    expect(verdict.beats.find(({ beatId }) => beatId === 'beat-3')).toMatchObject({
      kind: 'soft',
      share: 1,
      kept: true,
      frames: 72,
    });
    expect(verdict.requiredFrames).toBe(judged(changeBeat(twoPeople(), 'beat-2', { fromS: 6 })).requiredFrames);
    expect(verdict.tooSharpSpans).toEqual([]);
  });

  test('reports from when the blur is too small, how large it is, and what is required', () => {
    const verdict = judged(reveal(6));
    expect(verdict.outcome).toBe('soft');
    const [span] = verdict.tooSharpSpans;
    expect(span).toMatchObject({ beatId: 'beat-3', fromS: 0, toS: 3, requiredPercent: 6 });
    // the same figure by the blur of the frames
    const { blurCircles } = verdict.subjects.find(({ subjectId }) => subjectId === 'subject-2')!;
    const width = twoPeople().optics.camera.sensorWidthMm;
    expect(span!.blurPercent).toBeCloseTo((100 * blurCircles[0]! * verdict.circleOfConfusionMm) / width, 9);
  });

  test('the pulls are worked out around it, on the side with less turn', () => {
    const plan = reveal(0.93);
    expect(judged(plan).tooSharpSpans).toHaveLength(1);
    for (const way of ['fewest-holds', 'follow'] as const) expect(judged(solveTrack(plan, way)!.plan).tooSharpSpans).toEqual([]);
    const alone = { ...plan, beats: plan.beats.filter(({ id }) => id === 'beat-3') };
    const laid = solveTrack(alone, 'fewest-holds')!;
    expect(judged(laid.plan).tooSharpSpans).toEqual([]);
    expect(judged(laid.plan).requiredFrames).toBe(0);
  });
});

test('a subject that may be soft requires nothing, and a shot without any other beat is not judged', () => {
  const drifting = changeBeat(twoPeople(), 'beat-2', { requirement: 'none' });
  expect(judged(drifting).beats[1]).toMatchObject({ kind: 'none', kept: true });
  expect(judged(drifting).softSpans.every(({ beatId }) => beatId === 'beat-1')).toBe(true);
  expect(evaluatePull(changeBeat(drifting, 'beat-1', { requirement: 'none' }))).toEqual({
    status: 'incomplete',
    missing: ['beat'],
  });
});

describe('the key moment', () => {
  const keyed = (keyMomentS: number) =>
    changeBeat(changeBeat(twoPeople(), 'beat-2', { fromS: 4.5, requiredShare: 0.5 }), 'beat-2', { keyMomentS });

  test('counts whatever the share: half of the beat is enough, and it is not', () => {
    expect(judged(keyed(8)).beats[1]).toMatchObject({ isKeyMomentKept: true, kept: true });
    const missed = judged(keyed(4.5));
    expect(missed.beats[1]).toMatchObject({ isKeyMomentKept: false, kept: false });
    expect(missed.beats[1]!.share).toBeGreaterThan(0.5);
    expect(missed.outcome).toBe('soft');
  });

  test('one setting keeps it before it keeps anything else', () => {
    const laid = solveTrack(changeBeat(keyed(9.9), 'beat-2', { fromS: 9.8 }), 'fixed')!;
    expect(judged(laid.plan).beats[1]!.isKeyMomentKept).toBe(true);
  });

  test('stays within its beat, and goes along with it', () => {
    expect(changeBeat(keyed(8), 'beat-2', { toS: 7 }).beats[1]!.keyMomentS).toBeCloseTo(7 - 1 / 24, 9);
    const moved = changeBeat(changeBeat(keyed(6), 'beat-2', { toS: 8 }), 'beat-2', { fromS: 5.5, toS: 9 });
    expect(moved.beats[1]!.keyMomentS).toBe(7);
    expect(checkPlan({ ...moved, beats: [{ ...moved.beats[1]!, keyMomentS: 2 }] }).map(({ code }) => code)).toEqual([
      'outside-beat',
    ]);
  });
});

describe('two alternates for separate takes', () => {
  test('each alternate has its track and its own requirements; common ones stay', () => {
    const both = splitAlternates(twoPeople());
    const listener = showAlternate(both, 'B');
    const asked = changeBeat(addBeat(listener, 'subject-2', 0), 'beat-3', { toS: 3 });
    expect(asked.beats[2]!.alternate).toBe('B');
    const inB = setTrackStart(asked, { kind: 'mark', markId: 'mark-2' });
    expect(judged(inB).beats).toHaveLength(3);
    const inA = showAlternate(inB, 'A');
    expect(judged(inA).beats).toHaveLength(2);
    expect(inA.focusTrack.start).toEqual({ kind: 'mark', markId: 'mark-1' });
    expect(showAlternate(inA, 'B').focusTrack).toEqual(inB.focusTrack);
    expect(checkPlan(inB)).toEqual([]);
    expect(joinAlternates(inA)).toMatchObject({ alternates: null, focusTrack: inA.focusTrack });
    expect(joinAlternates(inA).beats).toHaveLength(2);
  });

  test('a pull of one alternate does not shorten common beats, and the shot is as long as the longer track', () => {
    const inB = showAlternate(splitAlternates(twoPeople()), 'B');
    const pulled = addPull({ ...inB, focusTrack: { ...inB.focusTrack, pulls: [] } }, 'mark-1', 8);
    expect(pulled.beats[1]!.toS).toBe(10);
    expect(setDuration(showAlternate(pulled, 'A'), 1).durationS).toBeGreaterThan(8);
  });
});

test('a hand that is not willing to turn so fast: said with both figures', () => {
  const slow = setHandLimit(changePull(changeBeat(twoPeople(), 'beat-2', { fromS: 6 }), 'pull-1', { durationS: 1.5 }), 20);
  const { outcome, fastest, pulls } = judged(slow);
  expect(outcome).toBe('too-hard');
  expect(fastest.limitDegPerS).toBe(20);
  expect(fastest.maxHandDegPerS).toBeCloseTo(pulls[0]!.peakDegPerS, 9);
});

test('both landing orders: the room where it lands, and where it would the other way round', () => {
  const [pull] = judged(twoPeople()).pulls;
  expect(pull!.oppositeLanding.nearRoomMm).toBeGreaterThan(pull!.nearRoomMm);
  const back = setTrackStart(changePull(twoPeople(), 'pull-1', { target: { kind: 'mark', markId: 'mark-1' } }), {
    kind: 'mark',
    markId: 'mark-2',
  });
  const [other] = judged(back).pulls;
  expect(other!.windowDeg).toBeCloseTo(pull!.oppositeLanding.windowDeg, 9);
  expect(other!.neededS).toBeCloseTo(pull!.oppositeLanding.neededS, 9);
});

test('subjects that must be sharp at a time exclude those that may be soft, must be soft, or belong to the other alternate', () => {
  const plan = twoPeople();
  const idsAt = (one: ShotPlan, timeS: number) => sharpBeatsAt(one, timeS).map(({ id }) => id);
  expect([idsAt(plan, 0), idsAt(plan, 4), idsAt(plan, 9)]).toEqual([['beat-1'], [], ['beat-2']]);
  for (const kind of ['soft', 'none'] as const) expect(idsAt(changeBeat(plan, 'beat-1', { requirement: kind }), 0)).toEqual([]);
  const onlyInB = changeBeat(splitAlternates(plan), 'beat-1', { alternate: 'B' });
  expect([idsAt(onlyInB, 0), idsAt(showAlternate(onlyInB, 'B'), 0)]).toEqual([[], ['beat-1']]);
});

test('each beat names its worst frame', () => {
  const soft = judged(changePull(twoPeople(), 'pull-1', { startS: 3 }));
  const { worstFrame } = soft.beats[0]!;
  const { blurCircles } = soft.subjects[0]!;
  expect(blurCircles[worstFrame!]).toBe(Math.max(...blurCircles.slice(0, 96)));
  expect(judged(addSubject(newPlan(), { name: 'Ines', distanceMm: 3000 })).beats[0]!.worstFrame).toBe(0);
});
