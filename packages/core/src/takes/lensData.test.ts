import { twoPeople } from '../../test/plans';
import { ringOf } from '../kit/index';
import { changePull, type ShotPlan } from '../plan/index';
import { focusTrack } from '../track/index';
import { type LensDataReading, readLensData, withLensData } from './lensData';
import { newTake } from './newTake';
import { packTrack, type RingTrack, trackDegAt, unpackTrack } from './track';

const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });

function readOf(reading: LensDataReading): Extract<LensDataReading, { status: 'read' }> {
  if (reading.status !== 'read') throw new Error(JSON.stringify(reading));
  return reading;
}

describe('lens data as a track', () => {
  const ring = ringOf(plan.optics.lens);

  test.each([
    [
      [
        ['time s', 'ring deg'],
        ['5', '10'],
        ['6', '30'],
      ],
      10,
      20,
    ],
    [
      [
        ['Timecode', 'Focus Distance (m)'],
        ['10:00:05:00', '2.0'],
        ['10:00:06:00', '2.0'],
      ],
      ring.angleAt(2000),
      ring.angleAt(2000),
    ],
    [
      [
        ['t', 'distance ft'],
        ['0', 'inf'],
        ['1', 'inf'],
      ],
      ring.angleAt(ring.farthestMm),
      ring.angleAt(ring.farthestMm),
    ],
  ])('%j', (table, startDeg, middleDeg) => {
    const reading = readLensData(table, plan);
    if (reading.status !== 'read') throw new Error(JSON.stringify(reading));
    expect(reading.durationS).toBeCloseTo(1, 9);
    expect(trackDegAt(reading.track, 0)).toBeCloseTo(startDeg, 6);
    expect(trackDegAt(reading.track, 0.5)).toBeCloseTo(middleDeg, 6);
  });

  test.each([
    [[], 'line 1'],
    [
      [
        ['time', 'iris'],
        ['0', '1'],
      ],
      'line 1',
    ],
    [
      [
        ['time', 'ring deg'],
        ['0', '1'],
      ],
      '',
    ],
    [
      [
        ['time', 'ring deg'],
        ['0', '1'],
        ['soon', '1'],
      ],
      'line 3, time',
    ],
    [
      [
        ['time', 'ring deg'],
        ['0', '1'],
        ['1', 'NaN'],
      ],
      'line 3, ring deg',
    ],
    [
      [
        ['timecode', 'ring deg'],
        ['10:00:00:00', '1'],
        ['10:00:00:24', '1'],
      ],
      'line 3, timecode',
    ],
    [
      [
        ['time', 'ring deg'],
        ['0', '1'],
        ['1', ''],
      ],
      '',
    ],
    [
      [
        ['time', 'distance furlongs'],
        ['0', '1'],
        ['1', '1'],
      ],
      'line 1',
    ],
    [
      [
        ['time', 'ring deg'],
        ['1', '1'],
        ['1', '2'],
      ],
      'line 3',
    ],
    [
      [
        ['time', 'distance m'],
        ['0', '2'],
        ['1', '-2'],
      ],
      'line 3, distance m',
    ],
  ])('%j is refused where it is wrong', (table, path) => {
    const reading = readLensData(table, plan);
    expect(reading.status === 'unread' && reading.problems[0]!.path).toBe(path);
  });
});

describe('the unit of a bare column of distances', () => {
  // the plan goes from 2.90 m to 2.05 m: 9.51 ft to 6.73 ft
  const bare = (...values: string[]) => [['time', 'focus distance'], ...values.map((value, index) => [String(index), value])];

  test.each([
    [['9.51', '9.5', '6.73'], 'ft', 2896],
    [['2.9', '2.9', '2.05'], 'm', 2900],
    [['2900', '2900', '2050'], 'mm', 2900],
    [['290', '290', '205'], 'cm', 2900],
    [['114', '114', '81'], 'in', 2896],
    [['inf', '2.9', '2.05'], 'm', 2900],
  ])('%j can only be %s', (values, unit, mm) => {
    const reading = readOf(readLensData(bare(...values), plan));
    expect(reading.detectedUnit).toBe(unit);
    expect(trackDegAt(reading.track, 1)).toBeCloseTo(ringOf(plan.optics.lens).angleAt(mm), 0);
  });

  test('what could be metres or feet is asked for, and read by the answer', () => {
    // a deep plan: someone at 2.9 m, and someone at 12 m
    const deep = { ...plan, marks: plan.marks.map((mark) => (mark.id === 'mark-2' ? { ...mark, distanceMm: 12_000 } : mark)) };
    const table = bare('9', '9', '9.2');
    expect(readLensData(table, deep)).toEqual({ status: 'asks-unit', units: ['m', 'ft'], example: 9 });
    const reading = readOf(readLensData(table, deep, 'ft'));
    expect(reading.detectedUnit).toBeNull();
    expect(trackDegAt(reading.track, 0)).toBeCloseTo(ringOf(plan.optics.lens).angleAt(9 * 304.8), 6);
  });

  test('figures that fit no unit are asked for with every unit', () => {
    expect(readLensData(bare('0.2', '0.2'), plan)).toMatchObject({ status: 'asks-unit', units: ['m', 'ft', 'cm', 'in', 'mm'] });
  });

  test.each(['Distance (cm)', 'distance inches', 'Focus Distance [in]', 'DISTANCE_METERS', 'focus distance feet'])(
    'the heading %s names its unit',
    (heading) => {
      const [, unit] = /(cm|in|METERS|feet)/.exec(heading)!;
      const perMetre = { cm: 100, in: 1 / 0.0254, METERS: 1, feet: 1 / 0.3048 }[unit!]!;
      const line = (time: string) => [time, String(2.5 * perMetre)];
      const { track } = readOf(readLensData([['time', heading], line('0'), line('1')], plan));
      expect(trackDegAt(track, 0.5)).toBeCloseTo(ringOf(plan.optics.lens).angleAt(2500), 6);
    },
  );
});

describe('holes of lens data', () => {
  const deg = ringOf(plan.optics.lens).angleAt(2900);
  const at = (timeS: number, value = String(deg)) => [timeS.toFixed(2), value];
  const tenths = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k) => at((from + k) / 10));

  test.each<[string, string[][], RingTrack['holes']]>([
    ['empty cells', [...tenths(0, 20), at(2.1, ''), at(2.2, ''), at(2.3, ''), ...tenths(24, 40)], [{ fromS: 2, toS: 2.4 }]],
    ['missing lines', [...tenths(0, 20), ...tenths(30, 40)], [{ fromS: 2, toS: 3 }]],
    ['empty cells at the start', [at(0, ''), at(0.2, ''), ...tenths(5, 20)], [{ fromS: 0, toS: 0.5 }]],
    ['empty cells at the end', [...tenths(0, 20), at(2.5, '')], [{ fromS: 2, toS: 2.5 }]],
    ['one empty cell, no longer than a blink', [...tenths(0, 20), at(2.1, ''), ...tenths(22, 40)], undefined],
    ['lines that come only twice a second', Array.from({ length: 9 }, (_, k) => at(k / 2)), undefined],
  ])('%s', (_, lines, holes) => {
    const { track } = readOf(readLensData([['time', 'ring deg'], ...lines], plan));
    expect(track.holes).toEqual(holes);
    expect(unpackTrack(packTrack(track)).holes).toEqual(holes);
  });

  test('a pull within a hole is not judged, and what the hole hides cannot be used', () => {
    const turned = focusTrack(plan, ringOf(plan.optics.lens))!.ringDegAt;
    const lines = Array.from({ length: 101 }, (_, k) => k / 10)
      .filter((timeS) => timeS <= 3.9 || timeS >= 5.1)
      .map((timeS) => at(timeS, turned(timeS).toFixed(6)));
    const take = withLensData(plan, newTake(plan, 1), readOf(readLensData([['time', 'ring deg'], ...lines], plan)));
    expect(take.hits).toEqual([]);
    expect(take.measured!.focus).not.toBe('sharp');
    expect(take).toMatchObject({ focus: null, ringFrom: 'lens-data' });
    for (const { fromS, toS } of take.measured!.usable) expect(toS <= 3.95 || fromS >= 5.05).toBe(true);
  });
});

describe('timecode of lens data', () => {
  const over = (captureFps: number, ...timecodes: string[]) =>
    readOf(readLensData([['timecode', 'ring deg'], ...timecodes.map((timecode) => [timecode, '10'])], { ...plan, captureFps }));

  test.each([
    [23.976, '01:00:00:00', '01:00:10:00', 10.01],
    [29.97, '01:00:00:00', '01:00:10:00', 10.01],
    [29.97, '01:00:59;28', '01:01:00;02', 2 / (30_000 / 1001)],
    [59.94, '01:00:59;58', '01:01:00;04', 2 / (60_000 / 1001)],
    [29.97, '01:00:00;00', '02:00:00;00', 3599.9964],
    [100, '01:00:00:00', '01:00:00:099', 0.99],
    [120, '01:00:00:000', '01:00:02:000', 2],
    [24, '23:59:59:12', '00:00:01:00', 1.5],
    [29.97, '23:59:59;29', '00:00:00;01', 2 / (30_000 / 1001)],
  ])('at %d from %s to %s pass %d s', (fps, from, to, seconds) => {
    const { durationS, startTimecode } = over(fps, from, to);
    expect(durationS).toBeCloseTo(seconds, 4);
    expect(startTimecode).toBe(from);
  });

  test('the take keeps the start of the file, and its cues move with it', () => {
    const take = { ...newTake(plan, 1), startTimecode: '10:00:00:00', cues: [{ pullId: 'pull-1', timeS: 4 }] };
    const read = withLensData(plan, take, over(24, '10:00:01:00', '10:00:09:00'));
    expect(read).toMatchObject({ startTimecode: '10:00:01:00', durationS: 8, cues: [{ pullId: 'pull-1', timeS: 3 }] });
    const unknown = withLensData(plan, { ...take, startTimecode: '' }, over(24, '10:00:01:00', '10:00:09:00'));
    expect(unknown).toMatchObject({ startTimecode: '10:00:01:00', cues: take.cues });
  });

  test('without cues by key none is invented: a pull that waits is judged from the ring', () => {
    const waits: ShotPlan = changePull(plan, 'pull-1', { trigger: 'look', cue: 'she turns' });
    const turned = focusTrack(plan, ringOf(plan.optics.lens))!.ringDegAt;
    // the cue came 2 s later than planned
    const lines = Array.from({ length: 121 }, (_, k) => [String(k / 10), turned(k / 10 - 2).toFixed(6)]);
    const take = withLensData(waits, newTake(waits, 1), readOf(readLensData([['time', 'ring deg'], ...lines], waits)));
    expect(take.cues).toEqual([]);
    expect(take.hits).toMatchObject([{ said: null, measured: 'hit', lateS: null }]);
  });
});
