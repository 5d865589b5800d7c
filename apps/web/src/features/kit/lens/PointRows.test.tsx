import { defaultLens, ringOf, type RingPoint } from '@still-heron/core';
import { screen, within } from '@testing-library/react';
import { renderPage } from '../../../../test/renderPage';
import { checkPoints } from './checkPoints';
import { PointRows } from './PointRows';

const lens = defaultLens({ name: '65 mm', focalLengthMm: 65, closeFocusMm: 650 });
const ring = ringOf(lens);
const pointAt = (distanceMm: number | null): RingPoint => ({ distanceMm, ringDeg: ring.angleAt(distanceMm ?? Infinity) });
const SCALE = [650, 1000, 1500, 2400, 4000, 8000, null].map(pointAt);

function open(points: readonly RingPoint[]) {
  const onPoints = jest.fn<void, [string, readonly RingPoint[]]>();
  const problems = checkPoints(lens, points);
  const page = renderPage(<PointRows lens={lens} points={points} problems={problems} units="metric" onPoints={onPoints} />);
  return { ...page, onPoints };
}

test('the farthest point comes first; on a true scale no point differs', () => {
  open(SCALE);
  expect(screen.getAllByLabelText(/^Distance of point/).map((field) => (field as HTMLInputElement).value)).toEqual([
    '∞',
    '8.00',
    '4.00',
    '2.40',
    '1.50',
    '1.00',
    '0.650',
  ]);
  expect(screen.getAllByText(/^[+−]0\.0°$/)).toHaveLength(SCALE.length);
});

test('a point that was read 6° wrong differs, and the page says to check it', () => {
  open(SCALE.map((point) => (point.distanceMm === 2400 ? { ...point, ringDeg: point.ringDeg + 6 } : point)));
  expect(screen.getByTestId('scale-why')).toHaveTextContent('far from the others: check the distance and the reading');
});

test('a point out of order names its problem in its own row', () => {
  open(SCALE.map((point) => (point.distanceMm === 2400 ? { ...point, ringDeg: ring.angleAt(8000) - 40 } : point)));
  expect(screen.getAllByTestId('scale-why')[0]).not.toBeEmptyDOMElement();
});

test('a reading is typed, and a point removed', async () => {
  const { user, onPoints } = open(SCALE);
  const [, , , row] = screen.getAllByRole('row').slice(1);
  await user.click(within(row!).getByLabelText('Reading of point 4'));
  await user.keyboard('120{Enter}');
  expect(onPoints.mock.calls[0]![1].find(({ distanceMm }) => distanceMm === 2400)!.ringDeg).toBe(120);
  await user.click(within(row!).getByRole('button', { name: 'Remove point 4' }));
  expect(onPoints.mock.calls[1]![1].map(({ distanceMm }) => distanceMm)).toEqual([650, 1000, 1500, 4000, 8000, null]);
});
