import { formatDistance, formatFineDistance, formatGap, parseDistance, type UnitSystem } from '../src/index';
import { ASKED, CORPUS, REFUSED } from './distanceCorpus';

const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);

/** Meanings of a text: one that is read, or those that are asked about. */
function meaningsOf(text: string, bareUnit: UnitSystem): { isRead: boolean; mm: number[] } {
  const parsed = parseDistance(text, bareUnit);
  if (parsed.status === 'read') return { isRead: true, mm: [parsed.distanceMm] };
  const { problem } = parsed;
  return { isRead: false, mm: problem.code === 'several-readings' ? problem.values.readings.map(({ mm }) => mm) : [] };
}

test('the corpus holds more than 500 forms, none of them twice', () => {
  const forms = CORPUS.map(({ text, bareUnit }) => `${bareUnit} ${text}`);
  expect(forms.length).toBeGreaterThan(500);
  expect(forms.filter((form, index) => forms.indexOf(form) !== index)).toEqual([]);
});

test('each form is read with its one meaning, or asked about with all of them', () => {
  const wrong = CORPUS.flatMap(({ text, bareUnit, meansMm }) => {
    const { isRead, mm } = meaningsOf(text, bareUnit);
    const isRight =
      isRead === (meansMm.length === 1) &&
      mm.length === meansMm.length &&
      sorted(mm).every((value, k) => value === sorted(meansMm)[k] || Math.abs(value - sorted(meansMm)[k]!) < 1e-6);
    return isRight ? [] : [{ text, bareUnit, meansMm, mm, isRead }];
  });
  expect(wrong).toEqual([]);
});

test('the likeliest meaning is offered first', () => {
  for (const { text, bareUnit, meansMm } of CORPUS.filter((form) => form.meansMm.length > 1)) {
    const { mm } = meaningsOf(text, bareUnit);
    if (text.includes('m4') || text.endsWith('11')) expect([text, mm[0]]).toEqual([text, expect.closeTo(meansMm[0]!, 6)]);
  }
});

test.each(ASKED)('$text is asked about, with the one meaning it can have', ({ text, bareUnit, meansMm }) => {
  expect(meaningsOf(text, bareUnit)).toEqual({ isRead: false, mm: meansMm.map((mm) => expect.closeTo(mm, 6)) });
});

test.each(REFUSED)('%j is refused, with no meaning to offer', (text) => {
  for (const bareUnit of ['metric', 'imperial'] as const) expect(meaningsOf(text, bareUnit)).toEqual({ isRead: false, mm: [] });
});

test('what the program prints has one meaning: tape distances, fine ones and gaps, in both units', () => {
  const unread: string[] = [];
  for (let k = 0; k < 4000; k++) {
    const mm = 25 + k * 7.37;
    for (const units of ['metric', 'imperial'] as const)
      for (const printed of [formatDistance(mm, units), formatFineDistance(mm, units), formatGap(mm, units)])
        if (parseDistance(printed, units).status !== 'read') unread.push(printed);
  }
  expect(unread).toEqual([]);
});

test('just under a foot, the inches are not printed as 12', () => {
  expect(formatFineDistance(2 * 304.8 - 0.05, 'imperial')).toBe('2\' 0.00"');
  expect(formatFineDistance(304.8 - 0.01, 'imperial')).toBe('1\' 0.00"');
});
