import { addPull, addStay, addSubject, newPlan } from '@still-heron/core';
import { PALETTES } from '../ui/theme/palette';
import { LIGHTS, readPreferences, writePreferences } from '../shared/preferences';
import { nextPull, offeredPull, pullTimeS } from './pull/nextPull';
import { nextSlate } from './shots/nextSlate';

test.each([
  [[], '1A'],
  [['4A', '4B'], '4C'],
  [['4A', '4C', '4B'], '4D'],
  [['4A', '4B-2'], '4C'],
  [['12Z'], '2'],
  [['Pickup'], '1A'],
])('after %j the next slate is %s', (slates, next) => expect(nextSlate(slates)).toBe(next));

describe('the pull that comes next', () => {
  const two = addSubject(addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), { name: 'Ines', distanceMm: 2050 });

  test('goes to a mark that the track does not reach yet, half-way or at the playhead', () => {
    expect(nextPull(addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), 0)).toBeNull();
    expect(nextPull(two, 0)).toMatchObject({ mark: { letter: 'B' }, atS: 4.5 });
    expect(offeredPull(two, 3)).toMatchObject({ mark: { letter: 'B' }, atS: 3 });
  });

  test('someone who walks between marks is reached at any of them', () => {
    const walks = addStay(addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), 'subject-1', {
      distanceMm: 1500,
      fromS: 6,
    });
    expect(offeredPull(walks, 0)).toBeNull();
    expect(nextPull(walks, 0)!.mark.letter).toBe('B');
  });

  test('then away from where it stands, unless a mark is selected', () => {
    const pulled = addPull(two, 'mark-2', 4);
    expect(nextPull(pulled, 0)!.mark.letter).toBe('A');
    expect(nextPull(pulled, 0, 'mark-2')!.mark.letter).toBe('A');
    expect(offeredPull(pulled, 0)).toBeNull();
    expect(offeredPull(pulled, 0, 'mark-1')).toMatchObject({ mark: { letter: 'A' } });
    expect(offeredPull(pulled, 0, 'mark-2')).toBeNull();
    expect(pullTimeS(pulled, 0)).toBeGreaterThan(5);
  });
});

describe('what the device remembers', () => {
  const storage = (text: string | null) => ({ getItem: () => text });

  test('is read back; what is broken or unknown counts as never set', () => {
    let kept = '';
    writePreferences(
      { setItem: (_, value) => (kept = value) },
      {
        light: 'noon',
        axis: 'distance',
        units: 'imperial',
        tester: 'Maren',
        productionId: 'p',
        peaking: { isOn: true, strength: 0.3, detail: 2 },
      },
    );
    expect(readPreferences(storage(kept))).toEqual(JSON.parse(kept));
    for (const broken of [null, '{', '{"light":"neon","axis":7}'])
      expect(readPreferences(storage(broken))).toEqual({
        light: 'dusk',
        axis: 'hand',
        units: 'metric',
        tester: '',
        peaking: { isOn: false, strength: 0.6, detail: 1 },
        productionId: null,
      });
    // an older page stored peaking under another name
    const outlines = { isOn: true, strength: 0.3, detail: 2 };
    expect(readPreferences(storage(JSON.stringify({ outlines }))).peaking).toEqual(outlines);
  });
});

describe.each(LIGHTS)('colours of %s', (light) => {
  const palette = PALETTES[light];
  const luminance = (hex: string) => {
    const [r, g, b] = [1, 3, 5]
      .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (a: string, b: string) => {
    const [light1, dark1] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
    return (light1 + 0.05) / (dark1 + 0.05);
  };

  test.each(['text', 'textMuted', 'accent', 'ok', 'error', 'warning'] as const)('%s is read on every ground', (name) => {
    for (const ground of ['page', 'panel', 'raised'] as const)
      expect(contrast(palette[name], palette[ground])).toBeGreaterThanOrEqual(4.5);
  });

  test('subjects are read on the ground, fields have a visible edge, the main action is read', () => {
    for (const current of palette.subjects) expect(contrast(current, palette.page)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.border, palette.panel)).toBeGreaterThanOrEqual(2.5);
    expect(contrast(palette.onAccent, palette.accent)).toBeGreaterThanOrEqual(4.5);
  });
});
