import { newPlan, DEFAULT_MARK, setStop } from '@still-heron/core';
import { firstFocusMm, zoneFigures } from './zoneFigures';
import { EYE_MM, FIGURE_MM, zoneLayout } from './zoneLayout';

const size = { width: 900, height: 300 };
const at = (focusMm: number, stop = 3.2) => {
  const figures = zoneFigures(setStop(newPlan(), stop), focusMm);
  return { figures, layout: zoneLayout({ ...figures, units: 'metric' }, size) };
};

test.each([700, 2400, 9000])('to scale across and up, with focus and near limit in the drawing, at %d mm', (focusMm) => {
  const { layout, figures } = at(focusMm);
  const pxPerMm = (layout.x(2000) - layout.x(1000)) / 1000;
  expect(pxPerMm).toBeCloseTo(layout.pxPerMm, 9);
  expect(layout.groundY - layout.eyeY).toBeCloseTo(EYE_MM * pxPerMm, 6);
  expect(layout.figureHeightPx).toBeCloseTo(FIGURE_MM * pxPerMm, 6);
  expect(layout.figureHeightPx).toBeLessThan(size.height);
  expect(layout.focusX).toBeCloseTo(layout.x(figures.focusMm), 9);
  expect(layout.nearX).toBeLessThan(layout.focusX!);
  expect(layout.distanceAt(layout.x(3000))).toBeCloseTo(3000, 6);
});

test('a zone that goes on beyond the drawing ends at its edge, and says so', () => {
  const { layout } = at(12_000, 22);
  expect(layout.isFarBeyond).toBe(true);
  expect(layout.farX).toBe(layout.rightX);
});

test('at infinity the plane of focus lies beyond the drawing, and nothing is NaN', () => {
  const { layout, figures } = at(Infinity);
  expect(layout.focusX).toBeNull();
  expect(figures).toMatchObject({ fieldWidthMm: Infinity, fieldHeightMm: Infinity });
  expect(layout.wedge).not.toContain('NaN');
  expect(Object.values(layout).some((value) => typeof value === 'number' && Number.isNaN(value))).toBe(false);
});

test('dragging never goes nearer than the lens focuses; a typed distance is brought within its reach', () => {
  expect(at(2400).layout.distanceAt(0)).toBe(650);
  expect(at(100).figures.focusMm).toBe(650);
});

test('it starts at the start of the track, otherwise at the first mark, otherwise at 2.4 m', () => {
  const marks = [2900, null].map((distanceMm, index) => ({
    ...DEFAULT_MARK,
    id: `mark-${index + 1}`,
    letter: 'A',
    subjectId: null,
    distanceMm,
    method: 'tape' as const,
    uncertaintyMm: 10,
    place: null,
  }));
  expect(firstFocusMm(newPlan())).toBe(2400);
  expect(firstFocusMm({ ...newPlan(), marks })).toBe(2900);
  expect(firstFocusMm({ ...newPlan(), marks, focusTrack: { start: { kind: 'mark', markId: 'mark-2' }, pulls: [] } })).toBe(
    Infinity,
  );
});
