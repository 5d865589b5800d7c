import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readTakesJson, readTakesTable, takesJson, takesTable } from './exchange';
import { checkTake, type Take } from './take';
import { upgradeTake } from './upgradeTake';

const read = (name: string): string => readFileSync(join(__dirname, '../../test/samples', name), 'utf8');

/** What the log said about the take in the samples. */
const LOGGED = {
  durationS: 18.5,
  markMisses: [{ markId: 'mark-1', byMm: -30 }],
  cues: [{ pullId: 'rack-1', timeS: 4.4 }],
  focus: 'usable',
  performance: 'good',
  isCircled: true,
  whyKept: 'the look',
  checkedOn: 'monitor',
  checkMagnification: 4,
  focusChecks: [{ fromS: 2, toS: 2.8 }],
};
const LATEST = {
  ...LOGGED,
  hits: [
    { pullId: 'rack-1', said: null, measured: 'late', lateS: 0.4, offDeg: null },
    { pullId: 'rack-4', said: null, measured: 'hit', lateS: null, offDeg: -0.3 },
  ],
  gear: { lens: '65 mm T2.2', puller: 'Maren', wheel: 'Wheel A' },
  usable: [{ fromS: 3, toS: 9 }],
  repairs: ['focus-check-cut', 'retimed'],
  predictedKeepRate: 0.61,
  startTimecode: '10:00:00:00',
};

test('a take of the first form is read; what it lacks was not said', () => {
  const take = upgradeTake(JSON.parse(read('take-1.json'))) as Take;
  expect(checkTake(take)).toEqual([]);
  expect(take).toMatchObject({ ...LOGGED, gear: { puller: '' }, usable: null, repairs: [], predictedKeepRate: null });
  expect(take.hits).toMatchObject([{ offDeg: null, lateS: 0.4 }, { offDeg: null }]);
});

test('a take of the second form is read without loss, track and all', () => {
  const saved = JSON.parse(read('take-2.json')) as Take;
  const take = upgradeTake(saved) as Take;
  expect(checkTake(take)).toEqual([]);
  expect(take).toMatchObject(LATEST);
  expect(take.track).toBe(saved.track);
  expect(upgradeTake(take)).toEqual(take);
});

test('takes exported by an earlier version are read without loss, from JSON and from CSV', () => {
  // cells of the sample hold commas and doubled quotes
  const rows = read('takes-1.csv')
    .trim()
    .split('\n')
    .map((line) =>
      [...line.matchAll(/(?:^|,)(?:"((?:[^"]|"")*)"|([^,]*))/g)].map(([, a, b]) => a?.replaceAll('""', '"') ?? b ?? ''),
    );
  for (const reading of [readTakesJson(read('takes-1.json')), readTakesTable(rows)]) {
    if (reading.status !== 'read') throw new Error(JSON.stringify(reading.problems));
    expect(reading.items).toMatchObject([{ slate: '4A', number: 1, rolledAt: '2026-03-01T10:15:00.000Z', take: LATEST }]);
    const [item] = reading.items;
    expect(readTakesJson(takesJson([item!]))).toEqual({ status: 'read', items: [item] });
    expect(readTakesTable(takesTable([item!]))).toEqual({ status: 'read', items: [item] });
  }
});
