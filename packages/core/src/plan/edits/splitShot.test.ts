import {
  addPull,
  addStay,
  addSubject,
  addSubjectAt,
  changeBeat,
  changePull,
  changeStay,
  checkPlan,
  evaluatePull,
  moveCameraTo,
  newPlan,
  setDuration,
  type ShotPlan,
  solveTrack,
  splitObstacle,
  splitShot,
  splitTimes,
  startFloor,
  walkTo,
} from '../../index';
import { twoPeople } from '../../../test/plans';
import { RANDOM_PLANS } from '../../../test/randomPlans';

const judged = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(verdict.status);
  return verdict;
};
/** By subject: the distance and whether it is sharp, of each frame. */
const framesOf = (plan: ShotPlan) =>
  judged(plan).subjects.map(({ distanceMm, sharp }) => ({ distanceMm: [...distanceMm], sharp: [...sharp] }));

describe('two people and a pull between them', () => {
  // the pull to B runs from 3.8 to 5.0 s
  const plan = twoPeople();
  const [pull] = plan.focusTrack.pulls;

  test('each half has its beats and pulls, numbered from its own start', () => {
    const cutS = pull!.startS + pull!.durationS + 1;
    const [first, second] = splitShot(plan, cutS)!;
    expect([first.durationS, second.durationS]).toEqual([cutS, plan.durationS - cutS]);
    expect(first.focusTrack).toEqual(plan.focusTrack);
    expect(second.focusTrack).toEqual({ start: pull!.target, pulls: [] });
    expect(second.marks).toEqual(plan.marks);
    expect(second.beats.every(({ fromS, toS }) => fromS >= 0 && toS <= second.durationS)).toBe(true);
    for (const half of [first, second]) expect(checkPlan(half)).toEqual([]);
  });

  test('a cut in a pull, a walk or a move is refused by its name, and one too near to an end', () => {
    expect(splitObstacle(plan, pull!.startS + 0.1)).toEqual({ kind: 'pull' });
    expect(splitShot(plan, pull!.startS + 0.1)).toBeNull();
    expect(splitObstacle(plan, pull!.startS)).toBeNull();
    expect(splitObstacle(plan, 0.2)).toEqual({ kind: 'too-short', minS: 0.5 });
    expect(splitObstacle(plan, plan.durationS - 0.2)).toMatchObject({ kind: 'too-short' });
    const walking = changeStay(
      addStay(addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 }), 'subject-1', { distanceMm: 2000, fromS: 8 }),
      'subject-1',
      'stay-1',
      { untilS: 4 },
    );
    expect(splitObstacle(walking, 6)).toEqual({ kind: 'walk', subjectId: 'subject-1' });
    const moving = moveCameraTo(moveCameraTo(startFloor(plan), { xMm: 0, yMm: 0 }, 6), { xMm: 800, yMm: 0 }, 8);
    expect(splitObstacle(moving, 7)).toEqual({ kind: 'camera' });
    const course = { kind: 'course' as const, points: [{ timeS: 0, distanceMm: 3000 }] };
    expect(splitObstacle({ ...plan, focusTrack: { start: course, pulls: [] } }, 5)).toEqual({ kind: 'course' });
  });

  test('a key moment goes to its half, and a beat across the cut to both', () => {
    const keyed = changeBeat(plan, 'beat-2', { fromS: 5, toS: 10, keyMomentS: 9 });
    const [first, second] = splitShot(keyed, 7)!;
    expect(first.beats.find(({ id }) => id === 'beat-2')).toMatchObject({ fromS: 5, toS: 7, keyMomentS: null });
    expect(second.beats.find(({ id }) => id === 'beat-2')).toMatchObject({ fromS: 0, toS: 3, keyMomentS: 2 });
  });
});

test('frame by frame both halves are what the whole shot was: walks, a camera that moves, a tape from elsewhere', () => {
  let plan = addSubjectAt(startFloor(setDuration(newPlan(), 12)), 'Ines', { xMm: 5000, yMm: 200 });
  plan = walkTo(plan, 'subject-1', { xMm: 3000, yMm: -200 }, 5);
  plan = addSubjectAt(plan, 'Old Tam', { xMm: 3600, yMm: 700 });
  plan = moveCameraTo(moveCameraTo(plan, { xMm: 0, yMm: 0 }, 8), { xMm: 700, yMm: 300 }, 10);
  // he was taped from where the camera begins: 4 cm more than drawn
  const tam = plan.marks.find(({ subjectId }) => subjectId === 'subject-2')!;
  const taping = { timeS: 0, drawnMm: tam.distanceMm! };
  plan = {
    ...plan,
    marks: plan.marks.map((mark) =>
      mark === tam ? { ...mark, method: 'tape', distanceMm: tam.distanceMm! + 40, taping } : mark,
    ),
  };
  plan = changePull(addPull(plan, tam.id, 6), 'pull-1', { durationS: 0.8 });
  expect(checkPlan(plan)).toEqual([]);
  const whole = framesOf(plan);
  for (const cutS of [5.5, 7.5, 11]) {
    const [first, second] = splitShot(plan, cutS)!.map(framesOf);
    whole.forEach(({ distanceMm, sharp }, index) => {
      // after the move the second half sets the ring to the mark as the camera meets it there
      if (cutS < 8) expect([...first![index]!.sharp, ...second![index]!.sharp]).toEqual(sharp);
      const joined = [...first![index]!.distanceMm, ...second![index]!.distanceMm];
      joined.forEach((mm, frame) => expect(mm).toBeCloseTo(distanceMm[frame]!, 6));
    });
  }
  const [, after] = splitShot(plan, 11)!;
  expect(judged(after).subjects.find(({ subjectId }) => subjectId === 'subject-2')!.sharp[0]).toBe(1);
});

test('any plan that can be cut has two halves that can be stored, and together as many sharp frames', () => {
  let cuts = 0;
  for (const random of RANDOM_PLANS.slice(0, 60)) {
    const plan = solveTrack(random, 'fewest-holds')?.plan ?? random;
    for (const cutS of splitTimes(plan)) {
      cuts++;
      const halves = splitShot(plan, cutS)!;
      for (const half of halves) expect(checkPlan(half)).toEqual([]);
      const frames = (one: ShotPlan) => evaluatePull(one);
      const [whole, a, b] = [plan, ...halves].map(frames);
      if (whole!.status !== 'judged' || a!.status !== 'judged' || b!.status !== 'judged') continue;
      expect(a!.frameCount + b!.frameCount).toBe(whole!.frameCount);
      expect(a!.subjects.map(({ sharp }, index) => [...sharp, ...b!.subjects[index]!.sharp])).toEqual(
        whole!.subjects.map(({ sharp }) => [...sharp]),
      );
    }
  }
  expect(cuts).toBeGreaterThan(60);
});

test('cuts are offered in rests, at most four, in order of time', () => {
  const times = splitTimes(twoPeople());
  expect(times.length).toBeGreaterThan(0);
  expect(times.length).toBeLessThanOrEqual(4);
  expect(times).toEqual([...times].sort((a, b) => a - b));
  for (const atS of times) expect(splitObstacle(twoPeople(), atS)).toBeNull();
  const always = {
    ...twoPeople(),
    focusTrack: { start: { kind: 'course' as const, points: [{ timeS: 0, distanceMm: 2000 }] }, pulls: [] },
  };
  expect(splitTimes(always)).toEqual([]);
});
