import fc from 'fast-check';
import { twoPeople } from '../../../test/plans';
import { ringOf } from '../../kit/index';
import { addPull, changePull } from '../../plan/index';
import { focusTrack } from '../../track/index';
import { asJudged } from '../asJudged';
import { captureForScreenS, frameRateFigures, screenTimeS } from './frameRates';
import { sumsOf, takeFigures } from '../takeFigures';
import { newTake } from '../newTake';
import type { Take } from '../take';
import { otioProblems, otioSchemas } from '../../../test/otioChecker';
import { type OtioLabels, otioTimeline } from './otio';
import { packTrack } from '../track';
import { pullTimes } from '../onPlanTime';
import { rankSpans, usableSpansOf } from './usableSpans';
import { type LoggedTake, readTakesJson, readTakesTable, takesJson, takesTable } from '../exchange';
import { retime } from './retime';
import { webVtt } from './webvtt';

const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
const empty: Take = { ...newTake(plan, 3), focus: 'usable', durationS: 10 };
const span = (fromS: number, toS: number) => ({ fromS, toS });

describe('rates', () => {
  test('shot at twice the rate it lasts twice as long, and costs a stop', () => {
    expect(frameRateFigures(48, 24)).toEqual({ stretch: 2, slowestSpeed: 0.5, lightCostStops: 1 });
    expect(frameRateFigures(24, 24)).toMatchObject({ stretch: 1, lightCostStops: 0 });
    expect(screenTimeS(3, 48, 24)).toBe(6);
    expect(captureForScreenS(6, 48, 24)).toBe(3);
  });
});

/** Names of markers and clips as a caller gives them. */
const LABELS: OtioLabels = {
  pull: (name, hit) => `pull to ${name}: ${hit}`,
  usable: 'usable',
  focusCheck: 'focus check',
  reversed: 'reversed',
  softStretch: 'soft',
  sharpStretch: 'sharp',
};

describe('retiming', () => {
  test('what is soft goes by as fast as is allowed; what is sharp fills the rest', () => {
    const shown = retime(10, [span(0, 4), span(6, 10)], 12, { fastest: 4, slowest: 0.5 });
    expect(shown.stretches.map(({ isSoft }) => isSoft)).toEqual([false, true, false]);
    expect(shown.softScreenS).toBe(0.5);
    expect(shown.screenTimeS).toBeCloseTo(12, 9);
    expect(shown.stretches[0]!.speed).toBeCloseTo(8 / 11.5, 9);
    expect(shown.missingS).toBe(0);
  });

  test('drawn out no further than there are frames: what is missing then is told', () => {
    const shown = retime(10, [span(0, 2)], 12, { fastest: 8, slowest: 0.5 });
    expect(shown.stretches[0]!.speed).toBe(0.5);
    expect(shown.screenTimeS).toBeCloseTo(4 + 1, 9);
    expect(shown.missingS).toBeCloseTo(7, 6);
  });

  test('without a requested length sharp parts play at normal speed; without sharp parts nothing is slowed', () => {
    expect(retime(10, [span(2, 20)], null, { fastest: 4, slowest: 1 }).stretches).toMatchObject([
      { speed: 4 },
      { speed: 1, toS: 10 },
    ]);
    expect(retime(10, [], 5, { fastest: 4, slowest: 1 })).toMatchObject({ screenTimeS: 2.5, missingS: 2.5 });
  });

  test('stretches cover the take once, in order, whatever the spans', () => {
    const spans = fc.array(fc.tuple(fc.double({ min: 0, max: 12, noNaN: true }), fc.double({ min: 0, max: 12, noNaN: true })));
    fc.assert(
      fc.property(spans, fc.double({ min: 0.1, max: 60, noNaN: true }), (pairs, wanted) => {
        const usable = pairs.map(([a, b]) => span(Math.min(a, b), Math.max(a, b)));
        const { stretches, screenTimeS: total } = retime(10, usable, wanted, { fastest: 6, slowest: 0.5 });
        expect(stretches[0]!.fromS).toBe(0);
        expect(stretches[stretches.length - 1]!.toS).toBe(10);
        stretches.slice(1).forEach(({ fromS }, k) => expect(fromS).toBe(stretches[k]!.toS));
        expect(stretches.every(({ speed }) => speed >= 0.5 && speed <= 6)).toBe(true);
        expect(total).toBeGreaterThanOrEqual(10 / 6 - 1e-9);
      }),
    );
  });
});

describe('what can be used', () => {
  test('the spans that were logged, or all of a take that is not soft; without the spans in which focus was checked', () => {
    expect(usableSpansOf(empty)).toEqual([span(0, 10)]);
    expect(usableSpansOf({ ...empty, focus: 'soft' })).toEqual([]);
    expect(usableSpansOf({ ...empty, focusChecks: [span(3, 4)] })).toEqual([span(0, 3), span(4, 10)]);
    expect(usableSpansOf({ ...empty, usable: [span(1, 5)], focusChecks: [span(0, 2), span(4, 6)] })).toEqual([span(2, 4)]);
  });

  test('ranked: circled, not played badly, the longest', () => {
    const takes = [
      { number: 1, take: { ...empty, usable: [span(0, 9)], performance: 'poor' as const } },
      { number: 2, take: { ...empty, usable: [span(0, 3), span(4, 9)] } },
      { number: 3, take: { ...empty, usable: [span(0, 2)], isCircled: true } },
    ];
    expect(rankSpans(takes).map(({ number, lengthS }) => [number, lengthS])).toEqual([
      [3, 2],
      [2, 5],
      [2, 3],
      [1, 9],
    ]);
  });

  test('a track that was judged says it in the time of the take, also where the plan waited', () => {
    const onLook = changePull(plan, 'pull-1', { trigger: 'look' });
    const line = focusTrack(onLook, ringOf(onLook.optics.lens))!;
    // she looks two seconds late, and the ring goes with her
    const ringDeg = Float64Array.from({ length: 100 * (onLook.durationS + 2) + 1 }, (_, k) =>
      line.ringDegAt(k / 100 < 4 ? k / 100 : Math.max(4, k / 100 - 2)),
    );
    const durationS = onLook.durationS + 2;
    const track = packTrack({ hz: 100, ringDeg });
    const judged = asJudged(onLook, { ...empty, durationS, track, cues: [{ pullId: 'pull-1', timeS: 6 }] });
    expect(judged.hits).toMatchObject([{ pullId: 'pull-1', said: null, measured: 'hit' }]);
    expect(Math.abs(judged.hits[0]!.offDeg!)).toBeLessThan(0.02);
    expect(Math.max(...judged.measured!.usable.map(({ toS }) => toS))).toBeCloseTo(durationS, 1);
    expect(asJudged(onLook, empty)).toBe(empty);
    // what a device tells may lie past the ends of the ring
    const past = packTrack({ hz: 100, ringDeg: Float64Array.of(-3, 9000, -3) });
    expect(asJudged(plan, { ...empty, track: past }).measured!.focus).toBe('soft');
  });
});

describe('as a timeline', () => {
  const take: Take = {
    ...empty,
    startTimecode: '10:00:00:00',
    hits: [{ pullId: 'pull-1', said: null, measured: 'late', lateS: 0.4, landsLateS: null, offDeg: 0, turn: null }],
    cues: [{ pullId: 'pull-1', timeS: 4.4 }],
    usable: [span(0, 4), span(6, 10)],
    focusChecks: [span(4, 5)],
  };
  const retiming = retime(10, take.usable!, 12, { fastest: 4, slowest: 0.5 });
  const timeline = otioTimeline('4A', LABELS, [
    { name: '4A take 1', number: 1, take, pulls: [{ name: 'B', timeS: 4.4, hit: 'late' }], retiming },
    {
      name: '4A take 2',
      number: 2,
      take: { ...empty, gear: { ...empty.gear, isReversed: true } },
      pulls: [],
      retiming: null,
    },
  ]);

  test('another reader finds nothing wrong with it', () => {
    const read: unknown = JSON.parse(JSON.stringify(timeline));
    expect(otioProblems(read)).toEqual([]);
    const schemas = otioSchemas(read);
    expect(schemas.filter((schema) => schema === 'Clip.2')).toHaveLength(2 + 3);
    for (const schema of ['Marker.2', 'LinearTimeWarp.1', 'MissingReference.1']) expect(schemas).toContain(schema);
  });

  test('that reader finds what is wrong', () => {
    const broken = (text: string, by: string) => otioProblems(JSON.parse(JSON.stringify(timeline).replace(text, by)));
    expect(broken('"Clip.2"', '"Clip.9"')).toEqual([expect.stringContaining('Clip.9 where Clip.2')]);
    expect(broken('"color":"RED"', '"color":"CRIMSON"')).toEqual([expect.stringContaining('CRIMSON')]);
    expect(broken('"value":240,"rate":24', '"value":241,"rate":24')).toEqual([expect.stringContaining('outside its media')]);
    expect(broken('"value":240,"rate":24', '"value":240,"rate":25')).not.toEqual([]);
    expect(broken('"enabled":true', '"enabled":true,"speed":2')).toEqual([expect.stringContaining('has no speed')]);
  });

  test('clips lie in the camera’s timecode; stretches carry their speed, and a shot turned round runs backwards', () => {
    const [takes, retimed] = (timeline['tracks'] as { children: { children: Record<string, never>[] }[] }).children;
    expect(takes!.children[0]).toMatchObject({
      source_range: { start_time: { value: 10 * 3600 * 24, rate: 24 }, duration: { value: 240 } },
      markers: [{ color: 'RED' }, { name: 'usable' }, { name: 'usable' }, { color: 'ORANGE' }],
    });
    expect(takes!.children[1]).toMatchObject({ effects: [{ time_scalar: -1 }] });
    const warps = retimed!.children.map(({ effects }) => (effects as unknown as { time_scalar: number }[])[0]!.time_scalar);
    expect(warps).toEqual(retiming.stretches.map(({ speed }) => speed));
  });
});

test.each([
  [29.97, '01:01:00;02', 107_892 + 1800],
  [29.97, '01:01:00:02', 3660 * 30 + 2],
  [59.94, '00:01:00;04', 3600],
  [120, '00:00:01:119', 239],
])(
  'at %d a take from %s starts at frame %d of the timeline, and 10 s are as many frames as the camera takes',
  (captureFps, startTimecode, frame) => {
    const take = { ...empty, startTimecode, gear: { ...empty.gear, captureFps }, usable: [] };
    const timeline = otioTimeline('x', LABELS, [{ name: 'x', number: 1, take, pulls: [], retiming: null }]);
    const [takes] = (timeline['tracks'] as { children: { children: Record<string, unknown>[] }[] }).children;
    const frames = { 29.97: 300, 59.94: 599, 120: 1200 }[captureFps];
    expect(takes!.children[0]).toMatchObject({ source_range: { start_time: { value: frame }, duration: { value: frames } } });
  },
);

test('a take that was shot backwards is retimed from its end to its beginning', () => {
  const backwards = { ...empty, gear: { ...empty.gear, isReversed: true }, usable: [span(0, 4)] };
  const retiming = retime(10, backwards.usable, 4, { fastest: 4, slowest: 1 });
  const timeline = otioTimeline('x', LABELS, [{ name: 'x', number: 1, take: backwards, pulls: [], retiming }]);
  const [, retimed] = (timeline['tracks'] as { children: { children: Record<string, unknown>[] }[] }).children;
  expect(retimed!.children).toMatchObject([
    { source_range: { start_time: { value: 96 } }, effects: [{ time_scalar: -4 }] },
    { source_range: { start_time: { value: 0 } }, effects: [{ time_scalar: -retiming.stretches[0]!.speed }] },
  ]);
});

test('pulls were set off as the cues say, or by the clock; those that were not come to are left out', () => {
  const on = changePull(addPull(plan, 'mark-1', 7), 'pull-1', { trigger: 'look' });
  const startS = on.focusTrack.pulls[1]!.startS;
  expect(pullTimes(on, { cues: [{ pullId: 'pull-1', timeS: 4.5 }], durationS: 20 })).toEqual([
    { pullId: 'pull-1', timeS: 4.5 },
    { pullId: 'pull-2', timeS: expect.closeTo(startS + 0.5, 9) as number },
  ]);
  expect(pullTimes(on, { cues: [], durationS: 20 })).toEqual([]);
  expect(pullTimes(plan, { cues: [], durationS: 3 })).toEqual([]);
});

test('cues as WebVTT keep to its grammar, whatever is in the text', () => {
  const text = webVtt('4A', [
    { fromS: 3661.5, toS: 3661.5, text: 'late --> here\n\nand <b>there</b> & so on' },
    { fromS: 1, toS: 2.25, text: '' },
  ]);
  const stamp = String.raw`\d{2,}:[0-5]\d:[0-5]\d\.\d{3}`;
  const cue = String.raw`\d+\n${stamp} --> ${stamp}\n(?:(?!.*-->)[^\n]+\n)+`;
  expect(text).toMatch(new RegExp(String.raw`^WEBVTT( [^\n]*)?\n\n${cue}(\n${cue})*$`));
  expect(text).toContain('00:00:01.000 --> 00:00:02.250');
  expect(text).toContain('01:01:01.500 --> 01:01:01.600\nlate --&gt; here and &lt;b&gt;there&lt;/b&gt; &amp; so on');
});

const word = fc.string({ maxLength: 30 }).filter((text) => !/[\0\ud800-\udfff]/u.test(text));
const someTake = fc.record({
  note: word,
  whyKept: word,
  focus: fc.constantFrom('sharp', 'usable', 'soft', null),
  isCircled: fc.boolean(),
  checkMagnification: fc.option(fc.double({ min: 1, max: 100, noNaN: true })),
  predictedKeepRate: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
  usable: fc.option(fc.constant([span(0, 4)])),
  durationS: fc.double({ min: 0, max: 7200, noNaN: true }),
  track: fc.option(fc.constant(packTrack({ hz: 100, ringDeg: Float64Array.of(1, 2, 2.5, -7) }))),
  repairs: fc.subarray(['reversed', 'retimed'] as const),
});

describe('takes leave and come back', () => {
  test('as a table and as JSON, without loss', () => {
    fc.assert(
      fc.property(fc.array(someTake, { minLength: 1, maxLength: 4 }), word, (changes, slate) => {
        const takes = changes.map((change, k): LoggedTake => ({
          id: '',
          slate,
          number: k + 1,
          rolledAt: '2026-03-01T10:15:00.000Z',
          take: {
            ...empty,
            ...(change as Partial<Take>),
            hits: [{ pullId: 'pull-1', said: 'hit', measured: 'late', lateS: 0.42, landsLateS: null, offDeg: null, turn: null }],
            findings: [
              { at: { kind: 'arrival', subjectId: 'subject-1', markId: 'mark-2' }, found: 'late' },
              { at: { kind: 'beat', beatId: 'beat-1' }, found: 'drifted-nearer' },
              { at: { kind: 'key-moment', beatId: 'beat-1' }, found: 'fine' },
              { at: { kind: 'time', timeS: 3.25 }, found: 'camera-jumped' },
            ],
            measured: { focus: 'usable', usable: [{ fromS: 1, toS: 2.5 }] },
            isNoGood: true,
            alternate: 'B',
            ringFrom: 'device',
            timecodeFrom: 'slate',
            clip: change.note,
            markMisses: [{ markId: 'mark-1', byMm: -12 }],
            gear: { ...empty.gear, puller: change.note },
          },
        }));
        expect(readTakesTable(takesTable(takes))).toEqual({ status: 'read', items: takes });
        expect(readTakesJson(takesJson(takes))).toEqual({ status: 'read', items: takes });
      }),
    );
  });

  test.each([
    [[['take'], ['1']], 'rolled at'],
    [
      [
        ['take', 'rolled at'],
        ['x', 'y'],
      ],
      'take',
    ],
    [
      [
        ['take', 'rolled at'],
        ['1', 'yesterday'],
      ],
      'rolled at',
    ],
    [
      [
        ['take', 'rolled at', 'marks'],
        ['1', '2026-03-01', '{'],
      ],
      'marks',
    ],
    [
      [
        ['take', 'rolled at', 'marks'],
        ['1', '2026-03-01', '[{"moveId":"a","hit":"gone"}]'],
      ],
      'take.hits[0].said',
    ],
  ])('%j is refused where it is wrong', (table, path) => {
    const reading = readTakesTable(table);
    expect(
      reading.status === 'unread' && reading.problems.some((one) => `${one.path} ${JSON.stringify(one.values)}`.includes(path)),
    ).toBe(true);
  });

  test.each(['', '{', '{"format":"other"}', '{"format":"still-heron-takes","takes":[null]}'])('%j is no file of takes', (text) =>
    expect(readTakesJson(text).status).toBe('unread'),
  );
});
const TURN = { travelDeg: 82, plannedDeg: 80, overshootDeg: 1, isPastZone: false, reversals: 1, smoothness: 0.9, settlingS: 0.2 };

describe('errors as takes showed them', () => {
  test('a take tells what was measured in it', () => {
    const take: Take = {
      ...empty,
      isCircled: true,
      repairs: ['retimed'],
      hits: [
        { pullId: 'pull-1', said: null, measured: 'late', lateS: 0.4, landsLateS: null, offDeg: 1, turn: TURN },
        {
          pullId: 'pull-2',
          said: 'searched',
          measured: null,
          lateS: null,
          landsLateS: null,
          offDeg: 9,
          turn: { ...TURN, isPastZone: true, settlingS: null },
        },
      ],
      markMisses: [{ markId: 'mark-1', byMm: 30 }],
    };
    expect(takeFigures(take)).toEqual({
      isKept: false,
      isSimulated: false,
      isUsable: true,
      isRepaired: true,
      late: sumsOf([0.4]),
      off: sumsOf([1]),
      markMisses: sumsOf([30]),
      turns: { count: 2, smoothSum: 1.8, settledCount: 1, settlingSum: 0.2, pastZoneCount: 1 },
    });
  });
});
