import type { RingPoint } from '@still-heron/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderPage } from '../../../../test/renderPage';
import { NewPoint } from './NewPoint';

function open() {
  const onAdd = jest.fn<void, [RingPoint]>();
  renderPage(<NewPoint units="metric" onAdd={onAdd} />);
  return {
    onAdd,
    distance: screen.getByLabelText('distance of the new point'),
    reading: screen.getByLabelText('reading of the new point'),
  };
}

test('nothing is filled in: a point without a reading is not added, and the page says what is missing', async () => {
  const { onAdd, distance, reading } = open();
  expect([distance, reading].map((input) => (input as HTMLInputElement).value)).toEqual(['', '']);
  await userEvent.type(distance, '2.4{Enter}');
  expect(onAdd).not.toHaveBeenCalled();
  expect(screen.getByRole('alert')).toHaveTextContent(/there is no number/i);
  expect(reading).toHaveFocus();
});

test('both figures as typed make the point, and the next one can be typed at once', async () => {
  const { onAdd, distance, reading } = open();
  await userEvent.type(distance, 'inf');
  await userEvent.type(reading, '-3,5{Enter}');
  expect(onAdd).toHaveBeenLastCalledWith({ distanceMm: null, ringDeg: -3.5 });
  expect(distance).toHaveFocus();
  await userEvent.type(distance, '240cm');
  await userEvent.type(reading, '95{Enter}');
  expect(onAdd).toHaveBeenLastCalledWith({ distanceMm: 2400, ringDeg: 95 });
  await userEvent.type(distance, '1.9');
  await userEvent.type(reading, '5000{Enter}');
  expect(onAdd).toHaveBeenCalledTimes(2);
});
