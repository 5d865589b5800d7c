import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { DistanceField } from './DistanceField';
import { focusInvalid } from './focusInvalid';
import { Range } from './Range';
import { TimeField } from './TimeField';

/** A tape distance of 2.40 m in a page; the lens focuses from 0.75 m. */
function Tape({ units = 'metric' as 'metric' | 'imperial', heard }: { units?: 'metric' | 'imperial'; heard: jest.Mock }) {
  const [mm, setMm] = useState(2400);
  return (
    <DistanceField
      label="tape"
      distanceMm={mm}
      units={units}
      range={{ minMm: 750, maxMm: Infinity, reason: 'close-focus' }}
      onChange={(next, gesture) => {
        heard(next, gesture);
        setMm(next);
      }}
    />
  );
}

describe('a typed distance', () => {
  async function type(text: string, units: 'metric' | 'imperial' = 'metric') {
    const heard = jest.fn();
    const user = userEvent.setup();
    render(<Tape heard={heard} units={units} />);
    const field = screen.getByLabelText('tape');
    await user.click(field);
    // a click selects the old figure, so typing replaces it
    await user.keyboard(`${text}{Enter}`);
    return { field, heard, user };
  }

  test.each([
    ['3.1', 3100],
    ['310cm', 3100],
    ['inf', Infinity],
  ])('%s is read', async (text, mm) => {
    const { heard } = await type(text);
    expect(heard).toHaveBeenCalledTimes(1);
    expect(heard.mock.calls[0]![0]).toBeCloseTo(mm, 6);
  });

  test('in feet and inches, 7 11 is 7 ft 11 in', async () => {
    const { field, heard } = await type("7'11", 'imperial');
    expect(heard.mock.calls[0]![0]).toBeCloseTo((7 * 12 + 11) * 25.4, 6);
    expect(field).toHaveValue('7\' 11"');
  });

  test('nearer than the lens focuses, it stays in the field with what would do; Escape brings the old one back', async () => {
    const { field, heard, user } = await type('0.3');
    expect(heard).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toHaveTextContent('“0.3” is closer than the lens can focus. Type 0.750 m or more.');
    expect(field).toHaveValue('0.3');
    expect(field).toBeInvalid();
    expect(focusInvalid(document.body)).toBe(true);
    await user.keyboard('{Escape}');
    expect(field).toHaveValue('2.40');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(focusInvalid(document.body)).toBe(false);
  });

  test('is taken over when the field is left', async () => {
    const heard = jest.fn();
    const user = userEvent.setup();
    render(<Tape heard={heard} />);
    await user.click(screen.getByLabelText('tape'));
    await user.keyboard('2.9');
    await user.tab();
    expect(heard).toHaveBeenCalledWith(2900, expect.any(String));
  });

  test('is nudged by a centimetre, with Shift by ten; one visit to the field is one step to undo', async () => {
    const heard = jest.fn();
    const user = userEvent.setup();
    render(<Tape heard={heard} />);
    await user.click(screen.getByLabelText('tape'));
    await user.keyboard('{ArrowUp}{Shift>}{ArrowUp}{/Shift}{ArrowDown}');
    expect(heard.mock.calls.map(([mm]) => Math.round(mm as number))).toEqual([2410, 2510, 2500]);
    expect(new Set(heard.mock.calls.map(([, gesture]) => gesture as string)).size).toBe(1);
  });
});

describe('a typed time', () => {
  async function type(text: string) {
    const heard = jest.fn();
    const user = userEvent.setup();
    render(<TimeField label="starts" timeS={2} captureFps={25} minS={0} maxS={4.5} decimals={2} onChange={heard} />);
    await user.click(screen.getByLabelText('starts'));
    await user.keyboard(`${text}{Enter}`);
    return heard;
  }

  test.each([
    ['3.2', 3.2],
    ['0:03.2', 3.2],
    ['80f', 3.2],
  ])('%s is 3.2 s at 25 frames a second', async (text, timeS) => {
    expect((await type(text)).mock.calls[0]![0]).toBeCloseTo(timeS, 9);
  });

  test('outside its limits says which would do', async () => {
    expect(await type('6')).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toHaveTextContent(/6\.00 s is out of range.* Type 0\.00 to 4\.50 s\./);
  });
});

test('a bar says its value, and leaves the keys to its page', async () => {
  const [heard, key] = [jest.fn(), jest.fn((event: { preventDefault(): void }) => event.preventDefault())];
  render(<Range label="Playhead" min={0} max={10} value={2.5} text="2.5 s" onChange={heard} onKeyDown={key} />);
  const bar = screen.getByRole('slider', { name: 'Playhead' });
  expect(bar).toHaveAttribute('aria-valuetext', '2.5 s');
  expect(bar).toHaveStyle({ '--share': '25%' });
  bar.focus();
  await userEvent.setup().keyboard('{ArrowRight}');
  expect(key).toHaveBeenCalledTimes(1);
  expect(heard).not.toHaveBeenCalled();
});

test('a distance with two meanings is asked about, and one press answers', async () => {
  const heard = jest.fn();
  const user = userEvent.setup();
  render(<Tape heard={heard} />);
  const field = screen.getByLabelText('tape');
  await user.click(field);
  await user.keyboard('2400{Enter}');
  expect(heard).not.toHaveBeenCalled();
  expect(screen.getByRole('alert')).toHaveTextContent('“2400” can be 2.40 m or 2400.00 m. Type 2.40 m or 2400.00 m.');
  await user.clear(field);
  await user.keyboard('3-6{Enter}');
  expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['3.60 m', '3\' 6.00"']);
  await user.click(screen.getByRole('button', { name: '3\' 6.00"' }));
  expect(heard.mock.calls[0]![0]).toBeCloseTo(42 * 25.4, 6);
  expect(screen.queryByRole('alert')).toBeNull();
  expect(field).toHaveValue('1.07');
});
