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

const lightAt = (at: object) => ({ id: 'light-1', at, meteredStop: 4 });
const partFrom = (fromS: number) => ({ id: `part-${fromS}`, fromS, method: 'automatic' });

test.each<[string, unknown, string, object]>([
  ['durationS', 'ten', 'not-a-number', { min: 0.5, max: 600 }],
  ['durationS', NaN, 'not-a-number', { min: 0.5, max: 600 }],
  ['durationS', 1e9, 'out-of-range', { min: 0.5, max: 600 }],
  ['captureFps', 0, 'out-of-range', { min: 1, max: 1000 }],
  ['schema', 14, 'not-a-choice', { choices: ['13'] }],
  [
    'method',
    'guess',
    'not-a-choice',
    { choices: ['fixed', 'constant-distance', 'walk-in', 'push-in', 'follow', 'rack', 'acquire-then-lock', 'automatic'] },
  ],
  ['optics.stop', 0, 'out-of-range', { min: 0.5, max: 64 }],
  ['optics.stop', 1.4, 'outside-lens', { min: 2.2, max: 22 }],
  ['optics.lens.widestStop', 30, 'stops-swapped', {}],
  ['optics.lens.closeFocusMm', 200, 'closer-than-life-size', { min: 260 }],
  ['optics.lens.ring', { kind: 'spiral' }, 'not-a-choice', { choices: ['helicoid', 'table', 'fitted'] }],
  ['optics.camera.photositesWide', 4000.5, 'not-whole', { min: 320, max: 24000, isWhole: true }],
  [
    'optics.camera',
    null,
    'not-an-object',
    {
      fields: [
        'name',
        'mode',
        'sensorWidthMm',
        'sensorHeightMm',
        'photositesWide',
        'steadyingCropPercent',
        'fastestFps',
        'frameRates',
        'autofocusAreaPercent',
        'autofocusRolling',
      ],
    },
  ],
  ['optics.lens.reportsData', 'yes', 'not-yes-or-no', {}],
  ['optics.lens.autofocus', 'yes', 'not-a-choice', { choices: ['untested', 'no-motor', 'works', 'fails'] }],
  ['optics.camera.autofocusAreaPercent', 0, 'out-of-range', { min: 1, max: 100 }],
  ['optics.enlargedPercent', -5, 'out-of-range', { min: 0, max: 200 }],
  ['optics.lens.response', 'feel', 'not-a-choice', { choices: ['angle', 'speed', 'steps'] }],
  ['optics.lens.longestMm', 50, 'zoom-swapped', { shortestMm: 65 }],
  ['optics.lens.widestStopLong', 2.8, 'not-a-zoom', { widestStop: 2.2 }],
  ['optics.focalLengthMm', 70, 'outside-lens', { max: 65 }],
  ['optics.irisPulls', [{ id: 'iris-1', startS: 1, durationS: 1, to: 30 }], 'outside-lens', { min: 2.2, max: 22 }],
  ['optics.zooms', [{ id: 'zoom-1', startS: 1, durationS: 1, to: 90 }], 'outside-lens', { max: 65 }],
  ['hand.reactionS', -1, 'out-of-range', { min: 0, max: 2 }],
  ['hand', null, 'not-an-object', { fields: ['reactionS', 'perBitS', 'steadyDeg', 'twoJobsFactor'] }],
  ['goals.targetKeepRate', 1, 'out-of-range', { min: 0.1, max: 0.99 }],
  ['goals.background.distanceMm', 'far', 'not-a-number', { min: 20, max: 10000000 }],
  ['schedule.day', 1.5, 'not-whole', { min: 1, max: 400, isWhole: true }],
  ['schedule.takes', 0, 'out-of-range', { min: 1, max: 200, isWhole: true }],
  ['exposure.shutterAngleDeg', 400, 'out-of-range', { min: 1, max: 360 }],
  ['exposure.toleranceStops', 0, 'out-of-range', { min: 0.05, max: 5 }],
  ['exposure.lightReadings', [lightAt({ kind: 'time', timeS: 11 })], 'after-the-end', { durationS: 10 }],
  ['exposure.lightReadings', [lightAt({ kind: 'mark', markId: 'mark-9' })], 'no-such-mark', {}],
  ['laterMethods', [partFrom(4), partFrom(4)], 'id-twice', { id: 'part-4' }],
  ['laterMethods', [partFrom(4), partFrom(3)], 'backwards', { timeS: 3, previousS: 4 }],
  ['laterMethods', [partFrom(0)], 'backwards', { timeS: 0, previousS: 0 }],
  ['laterMethods', [partFrom(10)], 'after-the-end', { timeS: 10, durationS: 10 }],
  ['marks.0.stale', 'stop', 'not-a-choice', { choices: ['lens', 'camera'] }],
  ['kit.camera', 'A', 'not-an-object', { fields: ['id', 'modeId', 'steadyingId'] }],
  ['floor', {}, 'missing-field', {}],
  ['marks.0.method', 'drawn', 'not-drawn', {}],
  ['marks.0.place', { xMm: 1e9, yMm: 0 }, 'out-of-range', { min: -500000, max: 500000 }],
  ['subjects.0.heightMm', -5, 'out-of-range', { min: 0, max: 30000 }],
  ['subjects', {}, 'not-a-list', {}],
  ['subjects', new Array(13).fill({}), 'too-many', { max: 12 }],
  ['subjects.0.name', '  ', 'too-short', { min: 1, max: 80 }],
  ['subjects.0.name', 'x'.repeat(81), 'too-long', { min: 1, max: 80 }],
  ['subjects.0.name', 'In\0es', 'bad-characters', {}],
  ['subjects.0.name', 'In\ud800es', 'bad-characters', {}],
  ['subjects.0.name', 7, 'not-text', { min: 1, max: 80 }],
  ['marks.0.distanceMm', -5, 'out-of-range', { min: 20, max: 10000000 }],
  ['marks.0.distanceMm', undefined, 'missing-field', {}],
  [
    'marks.0.colour',
    'red',
    'unknown-field',
    {
      fields: [
        'id',
        'letter',
        'subjectId',
        'detail',
        'distanceMm',
        'taping',
        'place',
        'method',
        'reading',
        'readingSigmaDeg',
        'isSimulated',
        'uncertaintyMm',
        'stale',
        'tapeShape',
        'tapeColour',
        'focusReferenceId',
        'pose',
        'hasHardStop',
        'allowanceMm',
        'note',
      ],
    },
  ],
  ['marks.1.id', 'mark-1', 'id-twice', {}],
  ['marks.0.subjectId', 'nobody', 'no-such-subject', {}],
  ['beats.0.subjectId', 'nobody', 'no-such-subject', {}],
  ['beats.0.toS', 0, 'ends-before-start', {}],
  ['beats.0.toS', 11, 'after-the-end', { durationS: 10 }],
  ['subjects.0.stays.0.markId', 'mark-9', 'no-such-mark', {}],
  ['focusTrack.start', { kind: 'mark', markId: 'mark-9' }, 'no-such-mark', {}],
  ['focusTrack.start', null, 'no-start', {}],
  ['focusTrack.pulls.0.startS', 9.5, 'after-the-end', { durationS: 10 }],
])('%s = %j: %s', (path, value, code, values) => {
  const [problem] = checkPlan(put(twoPeople(), path, value));
  expect(problem).toMatchObject({ code, values });
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
      values: { startS: 4.5, previousEndS: 5 },
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
