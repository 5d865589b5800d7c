import fc from 'fast-check';
import { formatDistance, parseDistance } from '../../units/index';
import type { CsvTable } from './table';
import { type KitLens, defaultLens } from '../lens';
import { lensTable, readLensTable, readWheelTable, wheelTable } from './kitTables';
import { readScale } from './readScale';
import { readFigure } from './table';
import type { Wheel } from '../wheel';
import { caseCount } from '../../../test/caseCount';

/** A file as its rows of cells: a line each, cells parted by `|`. */
const table = (...lines: string[]): CsvTable => lines.map((line) => line.split('|'));

const points = (...rows: [number | null, number][]) => rows.map(([distanceMm, ringDeg]) => ({ distanceMm, ringDeg }));

describe('scale points are read where their meaning is sure', () => {
  test.each<[string, CsvTable, ReturnType<typeof points>]>([
    ['plain', table('distance m|ring deg', 'inf|0', '3|80', '0.65|280'), points([null, 0], [3000, 80], [650, 280])],
    [
      'with a byte order mark, blank lines and padding',
      table('\uFEFFDistance (m) | Ring (°)', '', ' 3 | 80 ', '|'),
      points([3000, 80]),
    ],
    ['decimal commas', table('distance m|ring deg', '2,4|80,5'), points([2400, 80.5])],
    ['other names, other order', table('angle|feet|note', '80|10|engraved'), points([3048, 80])],
    [
      'feet and metres mixed, each with its unit',
      table('distance|deg', "7'11|90", '3 m|80', '240cm|85'),
      points([2413, 90], [3000, 80], [2400, 85]),
    ],
    ['a unit in the heading, another in a cell', table('distance ft|deg', '10|80', '2m|100'), points([3048, 80], [2000, 100])],
    [
      'no heading, and cells that speak for themselves',
      table('0|inf', '95|3m', '180°|1.5m'),
      points([null, 0], [3000, 95], [1500, 180]),
    ],
  ])('%s', (_, given, items) => expect(readScale(given)).toEqual({ status: 'read', items }));

  test.each<[string, CsvTable, string, object]>([
    ['an empty file', [], 'line 1', { code: 'empty', values: { what: 'file' } }],
    ['a heading alone', table('distance m|ring deg'), 'line 1', { code: 'empty' }],
    ['no heading', table('3|80', '2|120'), 'line 1', { code: 'no-heading' }],
    [
      'two distances',
      table('distance m|distance ft|deg', '1|2|3'),
      'line 1',
      { code: 'ambiguous-headings', values: { distances: 2, angles: 1 } },
    ],
    ['another separator', table('distance m ring deg', '3 80'), 'line 1', { code: 'not-separated' }],
    ['no unit', table('distance|deg', '3|80'), 'line 2, distance', { code: 'no-unit', values: { text: '3' } }],
    [
      'a comma that parts cells and decimals',
      table('distance m|deg', '2|4|80'),
      'line 2',
      { code: 'other-width', values: { cells: 3, headings: 2 } },
    ],
    [
      'thousands',
      table('distance mm|deg', '1,200|80'),
      'line 2, distance mm',
      { code: 'ambiguous-comma', values: { text: '1,200' } },
    ],
    [
      'words',
      table('distance m|deg', '2|80', 'near|90'),
      'line 3, distance m',
      { code: 'unreadable', values: { text: 'near', what: 'distance' } },
    ],
    ['no angle', table('distance m|deg', '2|'), 'line 2, deg', { code: 'empty' }],
    [
      'an angle beyond any ring',
      table('distance m|deg', '2|9000'),
      'line 2, deg',
      { code: 'out-of-range', values: { given: '9000°' } },
    ],
    ['a distance beyond any tape', table('distance m|deg', '90000|9'), 'line 2, distance m', { code: 'too-far' }],
    ['nothing', table('distance m|deg', '0|9'), 'line 2, distance m', { code: 'closer-than-a-tape' }],
  ])('%s is named by line and column', (_, given, path, problem) => {
    const reading = readScale(given);
    expect(reading).toMatchObject({ status: 'unread', problems: [{ path, ...problem }] });
  });

  test('a hundred thousand rows are refused at the first one too many; a hundred wrong cells are not all listed', () => {
    const many = [['distance m', 'deg'], ...Array.from({ length: 100_000 }, (_, k) => [String(1 + k / 1000), String(k)])];
    expect(readScale(many)).toMatchObject({
      status: 'unread',
      problems: [{ path: 'line 62', code: 'too-many', values: { count: 100_000, max: 60 } }],
    });
    const wrong = readLensTable([
      ['name', 'focal length mm', 'widest stop', 'close focus mm'],
      ...Array.from({ length: 99 }, () => ['a', 'b', 'c', 'd']),
    ]);
    expect(wrong.status === 'unread' && wrong.problems).toHaveLength(20);
  });

  test('whatever distance is printed is read back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 9e6, noNaN: true }),
        fc.constantFrom('metric' as const, 'imperial' as const),
        (mm, units) => {
          const printed = formatDistance(mm, units);
          const parsed = parseDistance(printed, 'metric');
          const reading = readScale([
            ['distance', 'deg'],
            [printed, '1'],
          ]);
          expect(reading.status === 'read' && reading.items[0]!.distanceMm).toBe(parsed.status === 'read' && parsed.distanceMm);
          expect(parsed.status === 'read' && formatDistance(parsed.distanceMm, units)).toBe(printed);
        },
      ),
      { seed: 31, numRuns: caseCount(500) },
    );
  });
});

describe('lenses and wheels as tables', () => {
  const kitLens = (changes: Partial<KitLens['lens']> = {}): KitLens => ({
    lens: defaultLens({ name: '65 mm T2.2', focalLengthMm: 65, ...changes }),
    isHired: false,
    holdTestedOn: '',
    holdTestedBy: '',
    notes: '',
  });
  const lenses: KitLens[] = [
    kitLens(),
    {
      ...kitLens({
        ring: { kind: 'table', points: points([null, 0], [3000, 80.25], [650, 280]) },
        response: 'steps',
        stepCount: 400,
      }),
      notes: 'a "quoted", note; with\nlines',
    },
    {
      ...kitLens({
        focalLengthMm: 25,
        longestMm: 100,
        widestStop: 2.8,
        widestStopLong: 4,
        closeFocusMm: 900,
        holdsFocus: 'holds',
        squeeze: 1.5,
        gear: 'pitch 0.8',
        frontDiameterMm: 95,
      }),
      holdTestedOn: '2026-09-01',
      holdTestedBy: 'Maren',
      isHired: true,
    },
  ];
  const wheels: Wheel[] = [
    {
      name: 'Large',
      kind: 'wheel',
      wheelPerRing: 1.5,
      turns: 'opposite',
      discDiameterMm: 90,
      hasEndStops: true,
      comfortableDeg: 160,
      fastestDegPerS: null,
      notes: '',
    },
    {
      name: 'Motor',
      kind: 'motor',
      wheelPerRing: 1,
      turns: 'same',
      discDiameterMm: 60,
      hasEndStops: false,
      comfortableDeg: 300,
      fastestDegPerS: 400,
      notes: 'x',
    },
  ];

  test('come back without loss', () => {
    expect(readLensTable(lensTable(lenses))).toEqual({ status: 'read', items: lenses });
    expect(readWheelTable(wheelTable(wheels))).toEqual({ status: 'read', items: wheels });
  });

  test('a scale fitted to readings comes back, and one may be written in feet', () => {
    const points = [900, 2100, 5000].map((distanceMm) => ({ distanceMm, ringDeg: 30_000 / distanceMm }));
    const ring = { kind: 'fitted', atInfinityDeg: 1.25, degPerMm: 12.5, points } as const;
    const fitted = { ...lenses[0]!, lens: { ...lenses[0]!.lens, ring } };
    expect(readLensTable(lensTable([fitted]))).toEqual({ status: 'read', items: [fitted] });
    expect(
      readLensTable(table('name|focal length mm|widest stop|close focus mm|scale', `50|50|2|450|inf@0 10'@20 7'11"@30 1.5m@55`)),
    ).toMatchObject({
      items: [
        {
          lens: {
            ring: {
              kind: 'table',
              points: [
                { distanceMm: null, ringDeg: 0 },
                { distanceMm: 3048, ringDeg: 20 },
                { distanceMm: expect.closeTo(2413, 6), ringDeg: 30 },
                { distanceMm: 1500, ringDeg: 55 },
              ],
            },
          },
        },
      ],
    });
    expect(
      readLensTable(table('name|focal length mm|widest stop|close focus mm|scale', '50|50|2|450|fitted x 12')),
    ).toMatchObject({
      status: 'unread',
    });
  });

  test('a short list of one’s own is enough: figures that are not there are as usual', () => {
    const reading = readLensTable(
      table('Name|Widest stop|Focal length (mm)|Close focus mm', '28|T2.2|28 mm|0.3m', '32|2.2|32|350'),
    );
    expect(reading).toMatchObject({
      status: 'read',
      items: [
        { lens: { name: '28', focalLengthMm: 28, longestMm: 28, widestStop: 2.2, closeFocusMm: 300, narrowestStop: 22 } },
        { lens: { closeFocusMm: 350 } },
      ],
    });
  });

  test.each<[string, CsvTable, string, object]>([
    [
      'an unknown heading',
      table('name|focal length mm|widest stop|close focus mm|colour', 'a|50|2|500|red'),
      'line 1, colour',
      { code: 'unknown-heading' },
    ],
    [
      'a heading twice',
      table('name|name|focal length mm|widest stop|close focus mm', 'a|b|50|2|500'),
      'line 1, name',
      { code: 'heading-twice' },
    ],
    [
      'a needed column',
      table('name|focal length mm|widest stop', 'a|50|2'),
      'line 1',
      { code: 'missing-column', values: { heading: 'close focus mm' } },
    ],
    [
      'a figure',
      table('name|focal length mm|widest stop|close focus mm', 'a|50|2|500', 'b|fifty|2|500'),
      'line 3, focal length mm',
      { code: 'unreadable', values: { text: 'fifty', what: 'number' } },
    ],
    [
      'a choice',
      table('name|focal length mm|widest stop|close focus mm|nearer turns', 'a|50|2|500|left'),
      'line 2, nearer turns',
      { code: 'not-a-choice', values: { given: '“left”' } },
    ],
    [
      'yes and no',
      table('name|focal length mm|widest stop|close focus mm|hired', 'a|50|2|500|perhaps'),
      'line 2, hired',
      { code: 'not-a-choice', values: { choices: ['yes', 'no'] } },
    ],
    [
      'a scale',
      table('name|focal length mm|widest stop|close focus mm|scale', 'a|50|2|500|inf@0 3000'),
      'line 2, scale',
      { code: 'unreadable', values: { text: '3000', what: 'scale-points' } },
    ],
    [
      'what the figures say of each other',
      table('name|focal length mm|widest stop|close focus mm', 'a|50|2|100'),
      'line 2, lens.closeFocusMm',
      { code: 'closer-than-life-size', values: { given: '100' } },
    ],
    [
      'a name',
      table('name|focal length mm|widest stop|close focus mm', '|50|2|500'),
      'line 2, name',
      { code: 'empty', values: { what: 'text' } },
    ],
  ])('%s is named by line and column, and nothing is read', (_, given, path, problem) => {
    const reading = readLensTable(given);
    expect(reading).toMatchObject({ status: 'unread', problems: [{ path, ...problem }] });
  });
});

test.each(['1', ' ', '\t', '1 ', '1.', '-', '°'])(
  'a cell of fifty thousand times %j is refused, and not pondered over',
  (bit) => {
    const run = bit.repeat(50_000);
    for (const cell of [run, `${run}x`, `1${run}ft`]) {
      expect(readFigure(cell)).toBeNull();
      const rows = [
        ['distance m', 'ring deg'],
        [cell, '1'],
        ['2', cell],
      ];
      expect(readScale(rows).status).toBe('unread');
      expect(readScale([[cell, cell], rows[2]!]).status).toBe('unread');
    }
  },
);
