import { PlanError } from '../errors';
import { assertPlan, checkPlan } from './checkPlan';
import { newPlan } from './edits/newPlan';
import type { ShotPlan } from './shotPlan';
import { twoPeople } from '../../test/plans';

/** The plan with one value put at a path, as bad input would bring it. */
function put(plan: ShotPlan, path: string, value: unknown): unknown {
  const copy = JSON.parse(JSON.stringify(plan)) as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop()!;
  const holder = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
  if (value === undefined) delete holder[last];
  else holder[last] = value;
  return copy;
}

test('a new plan and a whole plan pass, also after a trip through JSON', () => {
  for (const plan of [newPlan(), twoPeople()]) {
    expect(checkPlan(plan)).toEqual([]);
    expect(checkPlan(JSON.parse(JSON.stringify(plan)))).toEqual([]);
  }
});

test.each<[string, unknown, string, string]>([
  ['durationS', 'ten', 'not-a-number', 'a number from 0.5 to 600'],
  ['durationS', NaN, 'not-a-number', 'a number from 0.5 to 600'],
  ['durationS', 1e9, 'out-of-range', 'a number from 0.5 to 600'],
  ['captureFps', 0, 'out-of-range', 'a number from 1 to 1000'],
  ['schema', 9, 'not-a-choice', '8'],
  ['method', 'guess', 'not-a-choice', 'fixed, constant-distance, walk-in, push-in, follow, rack, acquire-then-lock or automatic'],
  ['optics.stop', 0, 'out-of-range', 'a number from 0.5 to 64'],
  ['optics.stop', 1.4, 'outside-lens', '2.2 to 22'],
  ['optics.lens.widestStop', 30, 'stops-swapped', 'the smaller number as the widest'],
  ['optics.lens.closeFocusMm', 200, 'closer-than-life-size', 'at least 260 (four focal lengths)'],
  ['optics.lens.ring', { kind: 'spiral' }, 'not-a-choice', 'helicoid or table'],
  ['optics.camera.photositesWide', 4000.5, 'not-whole', 'a whole number from 320 to 24000'],
  [
    'optics.camera',
    null,
    'not-an-object',
    'an object with name, mode, sensorWidthMm, sensorHeightMm, photositesWide, steadyingCropPercent',
  ],
  ['optics.lens.reportsData', 'yes', 'not-yes-or-no', 'true or false'],
  ['optics.lens.response', 'feel', 'not-a-choice', 'angle, speed or steps'],
  ['optics.lens.longestMm', 50, 'zoom-swapped', '65 or more'],
  ['optics.lens.widestStopLong', 2.8, 'not-a-zoom', '2.2'],
  ['optics.focalLengthMm', 70, 'outside-lens', '65'],
  ['optics.irisPulls', [{ id: 'iris-1', startS: 1, durationS: 1, to: 30 }], 'outside-lens', '2.2 to 22'],
  ['optics.zooms', [{ id: 'zoom-1', startS: 1, durationS: 1, to: 90 }], 'outside-lens', '65'],
  ['hand.reactionS', -1, 'out-of-range', 'a number from 0 to 2'],
  ['hand', null, 'not-an-object', 'an object with reactionS, perBitS, steadyDeg'],
  ['goals.targetKeepRate', 1, 'out-of-range', 'a number from 0.1 to 0.99'],
  ['goals.background.distanceMm', 'far', 'not-a-number', 'a number from 20 to 10000000'],
  ['schedule.day', 1.5, 'not-whole', 'a whole number from 1 to 400'],
  ['schedule.takes', 0, 'out-of-range', 'a whole number from 1 to 200'],
  ['exposure.shutterAngleDeg', 400, 'out-of-range', 'a number from 1 to 360'],
  ['marks.0.stale', 'stop', 'not-a-choice', 'lens or camera'],
  ['kit.camera', 'A', 'not-an-object', 'an object with id, modeId, steadyingId'],
  ['floor', {}, 'missing-field', 'a value for it'],
  ['marks.0.method', 'drawn', 'not-drawn', 'a place on the floor, or another way it was measured'],
  ['marks.0.place', { xMm: 1e9, yMm: 0 }, 'out-of-range', 'a number from -500000 to 500000'],
  ['subjects.0.heightMm', -5, 'out-of-range', 'a number from 0 to 30000'],
  ['subjects', {}, 'not-a-list', 'a list'],
  ['subjects', new Array(13).fill({}), 'too-many', 'at most 12'],
  ['subjects.0.name', '  ', 'too-short', 'text of 1 to 80 characters'],
  ['subjects.0.name', 'x'.repeat(81), 'too-long', 'text of 1 to 80 characters'],
  ['subjects.0.name', 'In\0es', 'bad-characters', 'plain text'],
  ['subjects.0.name', 'In\ud800es', 'bad-characters', 'plain text'],
  ['subjects.0.name', 7, 'not-text', 'text of 1 to 80 characters'],
  ['marks.0.distanceMm', -5, 'out-of-range', 'a number from 20 to 10000000'],
  ['marks.0.distanceMm', undefined, 'missing-field', 'a value for it'],
  [
    'marks.0.colour',
    'red',
    'unknown-field',
    'only id, letter, subjectId, detail, distanceMm, place, method, isSimulated, uncertaintyMm, stale, tapeShape, tapeColour, focusReferenceId, pose, hasHardStop, allowanceMm, note',
  ],
  ['marks.1.id', 'mark-1', 'id-twice', 'an id of its own'],
  ['marks.0.subjectId', 'nobody', 'no-such-subject', 'the id of a subject of this plan'],
  ['beats.0.subjectId', 'nobody', 'no-such-subject', 'the id of a subject of this plan'],
  ['beats.0.toS', 0, 'ends-before-start', 'an end after its start'],
  ['beats.0.toS', 11, 'after-the-end', 'at most 10.0 s'],
  ['subjects.0.stays.0.markId', 'mark-9', 'no-such-mark', 'the id of a mark of this plan'],
  ['focusTrack.start', { kind: 'mark', markId: 'mark-9' }, 'no-such-mark', 'the id of a mark of this plan'],
  ['focusTrack.start', null, 'no-start', 'a mark or a distance to start from'],
  ['focusTrack.pulls.0.startS', 9.5, 'after-the-end', 'at most 10.0 s'],
])('%s = %j: %s', (path, value, code, need) => {
  const [problem] = checkPlan(put(twoPeople(), path, value));
  expect(problem).toMatchObject({ code, need });
  expect(problem!.path.replace(/\[(\d+)\]/g, '.$1')).toMatch(new RegExp(`^${path}`.replace(/(startS|toS|stop|colour)$/, '')));
});

test('overlapping pulls and stays are named', () => {
  const plan = twoPeople();
  const pull = plan.focusTrack.pulls[0]!;
  const overlapping = { ...plan, focusTrack: { ...plan.focusTrack, pulls: [pull, { ...pull, id: 'pull-2', startS: 4.5 }] } };
  expect(checkPlan(overlapping)).toEqual([
    {
      code: 'overlap',
      path: 'focusTrack.pulls[1].startS',
      message: 'it starts at 4.5 s, before the pull before it lands',
      need: 'at least 5.0 s',
    },
  ]);
  const [first] = plan.subjects;
  const twice = { ...first!, stays: [first!.stays[0]!, { ...first!.stays[0]!, id: 'stay-2' }] };
  expect(checkPlan({ ...plan, subjects: [twice, plan.subjects[1]!] })).toMatchObject([
    { code: 'overlap', path: 'subjects[0].stays[1].fromS' },
  ]);
});

test('a ring whose scale turns back is named by its point', () => {
  const points = [
    { distanceMm: null, ringDeg: 0 },
    { distanceMm: 2000, ringDeg: 90 },
    { distanceMm: 700, ringDeg: 80 },
  ];
  expect(checkPlan(put(twoPeople(), 'optics.lens.ring', { kind: 'table', points }))).toMatchObject([
    { code: 'turns-back', path: 'optics.lens.ring.points[2]' },
  ]);
});

test('nobody walks to infinity', () => {
  const plan = twoPeople();
  const [first, second] = plan.subjects;
  const stays = [
    { ...first!.stays[0]!, untilS: 2 },
    { id: 'stay-2', markId: 'mark-2', fromS: 5, untilS: 10, pace: 'eased' },
  ];
  const marks = [plan.marks[0]!, { ...plan.marks[1]!, distanceMm: null }];
  expect(checkPlan({ ...plan, marks, subjects: [{ ...first!, stays }, second!] })).toMatchObject([
    { code: 'walks-to-infinity', path: 'subjects[0].stays' },
  ]);
});

test('assertPlan throws every problem at once', () => {
  const bad = put(put(twoPeople(), 'durationS', -1) as ShotPlan, 'optics.stop', 'wide');
  expect(() => assertPlan(bad)).toThrow(PlanError);
  try {
    assertPlan(bad);
  } catch (error) {
    expect((error as PlanError).problems.map(({ path }) => path)).toEqual(['durationS', 'optics.stop']);
  }
  for (const nonsense of [undefined, null, 7, 'plan', [], { __proto__: { schema: 1 } }])
    expect(checkPlan(nonsense).length).toBeGreaterThan(0);
});
