import { depthOfField, newPlan, setStop, type ShotPlan, waysToBrighten, zoneLensOf } from '@still-heron/core';
import { lightWays } from './lightText';
import { zoneFacts } from './zoneFacts';

describe('the facts of a zone', () => {
  const plan: ShotPlan = setStop(newPlan(), 2.8);
  const lens = zoneLensOf(plan.optics);
  const zone = depthOfField({ ...lens, focusDistanceMm: 3000 });
  const facts = (changes: Partial<ShotPlan['optics']> = {}) =>
    zoneFacts(
      { zone, fNumber: lens.fNumber, circleMm: 0.02, focusMm: 3000, fieldWidthMm: 1500, fieldHeightMm: 844 },
      { ...plan, optics: { ...plan.optics, ...changes } },
      'metric',
    );
  const fact = (word: string, list = facts()) => list.find((one) => one.word === word)!;

  test('each has its formula with the figures of this shot', () => {
    expect(fact('limit').value).toBe('20.0 µm');
    expect(fact('picture').value).toBe('1.50 m wide');
    expect(fact('near').lines[1]).toContain('d 3.00 m');
  });

  test('a lens in f-numbers has no loss of light to tell', () => {
    const engraved = facts({ lens: { ...plan.optics.lens, stopScale: 'f' } });
    expect(fact('stop', engraved).lines).toEqual(['the lens is engraved in f-numbers']);
    expect(fact('f-number').lines).toHaveLength(2);
  });

  test.each([
    [{ kind: 'diagonal', divisor: 1500 } as const, / \/ 1500$/],
    [{ kind: 'photosite', count: 3 } as const, /^3 × .* pixels$/],
    [{ kind: 'viewer', viewingDistancePictureHeights: 3 } as const, /× 3 × tan 1′$/],
  ])('the limit by %o says how it is found', (sharpness, line) => {
    expect(fact('limit', facts({ sharpness })).lines[0]).toMatch(line);
  });
});

describe('a stop too dark', () => {
  const plan = newPlan();
  const now = { ...plan.exposure, tStop: 4, captureFps: 24, iso: 800, ndStops: 2, shutterAngleDeg: 180 };
  const ways = (angle: number, missing = 1) =>
    lightWays(plan, waysToBrighten(now, missing), { isTooDark: missing > 0, angle, bases: [800, 3200] });

  test('is made up by twice the ISO, twice the light, one stop less ND, twice the angle, or half the rate', () => {
    expect(ways(180).map(({ word, figure }) => `${word}: ${figure}`)).toEqual([
      'more sensitive: ISO 1600',
      'more light: 2.0 × the lamps',
      'weaker filters: ND 1.0 stops, density 0.3',
      'longer exposure: shutter 360.0°',
      'fewer frames a second: 12.0',
    ]);
  });

  test('a shutter that leaves the production’s is a warning', () => {
    expect(ways(180)[3]).toMatchObject({ isWarning: true, note: 'differs from the production’s 180°: movement looks different' });
    expect(ways(360)[3]).toMatchObject({ isWarning: false, note: '' });
  });

  test('three stops are more than the filters and the shutter have', () => {
    const words = ways(180, 3).map(({ figure, take }) => [figure, take === null]);
    expect(words).toContainEqual(['ND in place is not enough', true]);
    expect(words).toContainEqual(['more than a whole turn of the shutter', true]);
  });
});
