import {
  addLandmark,
  addSubjectAt,
  changeBeat,
  changeLandmark,
  evaluatePull,
  findFixes,
  hiddenRunsOf,
  newPlan,
  setDuration,
  type ShotPlan,
  startFloor,
  walkTo,
} from '../../index';

/** Old Tam stands 2 m from the lens, and Ines behind him at 4 m. She must be sharp. */
function inLine(): ShotPlan {
  const tam = addSubjectAt(startFloor(setDuration(newPlan(), 8)), 'Old Tam', { xMm: 2000, yMm: 0 });
  const both = addSubjectAt(tam, 'Ines', { xMm: 4000, yMm: 0 });
  return {
    ...both,
    beats: [{ ...both.beats[0]!, subjectId: 'subject-2' }],
    focusTrack: { start: { kind: 'mark', markId: 'mark-2' }, pulls: [] },
  };
}

const changesOf = (plan: ShotPlan) => findFixes(plan).map(({ change }) => change);

test('who stands in the way steps aside by as little as clears the head', () => {
  expect(hiddenRunsOf(inLine(), 'subject-2')).toMatchObject([{ fromFrame: 0, toFrame: 192 }]);
  const [fix] = findFixes(inLine());
  // a head is 18 cm wide: 9 cm to the side are not enough, and 10 are
  expect(fix).toMatchObject({
    change: { kind: 'step-aside', subjectId: 'subject-1', markId: 'mark-1', byMm: 100 },
    outcome: 'sharp',
  });
  expect(hiddenRunsOf(fix!.plan, 'subject-2')).toEqual([]);
  // square to the line: the distance grows by 10 cm squared over twice 2 m
  expect(fix!.plan.marks[0]!.distanceMm! - inLine().marks[0]!.distanceMm!).toBeCloseTo(100 ** 2 / 4000, 0);
});

test('behind a wall it is the subject who steps aside, past its end', () => {
  let plan = addSubjectAt(startFloor(setDuration(newPlan(), 4)), 'Ines', { xMm: 4000, yMm: 0 });
  plan = addLandmark(plan, 'wall', 'flat', { xMm: 2000, yMm: 0 });
  plan = changeLandmark(plan, 'landmark-1', { widthMm: 400, depthMm: 40, turnedDeg: 90 });
  const [fix] = findFixes(plan);
  // half of the flat is 20 cm at 2 m: more than 40 cm at 4 m
  expect(fix!.change).toEqual({ kind: 'step-aside', subjectId: 'subject-1', markId: 'mark-1', byMm: 500 });
  const verdict = evaluatePull(fix!.plan);
  expect(verdict.status === 'judged' && verdict.hiddenSpans).toEqual([]);
});

test('behind a wide wall nobody can step aside, and someone who is never asked for is left alone', () => {
  let plan = addSubjectAt(startFloor(setDuration(newPlan(), 4)), 'Ines', { xMm: 4000, yMm: 0 });
  plan = addLandmark(plan, 'wall', 'flat', { xMm: 2000, yMm: 0 });
  plan = changeLandmark(plan, 'landmark-1', { widthMm: 4000, depthMm: 40, turnedDeg: 90 });
  expect(changesOf(plan)).not.toContainEqual(expect.objectContaining({ kind: 'step-aside' }));
  const notAsked = changeBeat(inLine(), 'beat-1', { requirement: 'none' });
  expect(changesOf(notAsked)).toEqual([]);
});

test('of somebody who only crosses, the walk ends before the line, or goes round behind', () => {
  let plan = addSubjectAt(startFloor(setDuration(newPlan(), 8)), 'Ines', { xMm: 4000, yMm: 0 });
  plan = addSubjectAt(plan, 'Carter', { xMm: 2200, yMm: -1500 });
  plan = walkTo(plan, 'subject-2', { xMm: 2200, yMm: 500 }, 5);
  const fixed = findFixes({ ...plan, beats: plan.beats.slice(0, 1) }).find(({ change }) => change.kind === 'step-aside')!;
  expect(fixed.change).toMatchObject({ subjectId: 'subject-2', markId: 'mark-3' });
  expect(hiddenRunsOf(fixed.plan, 'subject-1')).toEqual([]);
});
