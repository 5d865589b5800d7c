import { aidMatrix, type KitCamera } from '@still-heron/core';
import { screen } from '@testing-library/react';
import { useState } from 'react';
import { renderPage } from '../../../../test/renderPage';
import { newItem } from '../newItems';
import { AidGuide } from './AidGuide';
import { AidMatrix } from './AidMatrix';

/** A camera under test: the questions, or the table of what is known. */
function Tested({ onClose = () => undefined, isAsking = true }: { onClose?: () => void; isAsking?: boolean }) {
  const [camera, setCamera] = useState<KitCamera>(() => newItem('cameras'));
  const change = (_: string, by: (now: KitCamera) => KitCamera) => setCamera(by);
  const answers = aidMatrix(camera, '2026-11-28').map(({ answer }) => answer);
  return (
    <>
      <output>{answers.filter((answer) => answer !== 'untested').join(' ')}</output>
      {isAsking ? (
        <AidGuide camera={camera} onChange={change} onClose={onClose} />
      ) : (
        <AidMatrix camera={camera} onChange={change} onGuide={() => undefined} />
      )}
    </>
  );
}
const known = () => screen.getByRole('status').textContent;

test('each question is answered by one key, and the next one follows', async () => {
  const { user } = renderPage(<Tested />);
  expect(screen.getByRole('heading', { name: 'Can the picture be magnified to judge focus?' })).toBeInTheDocument();
  await user.keyboard('y');
  expect(screen.getByRole('heading', { name: 'Can the camera outline sharp edges (peaking)?' })).toBeInTheDocument();
  await user.keyboard('x');
  expect(known()).toBe('yes no');
});

test('a skipped question comes back at the end, on request', async () => {
  const { user } = renderPage(<Tested />);
  await user.keyboard('s');
  while (!screen.queryByText('That was all, except for what you skipped.')) await user.keyboard('y');
  await user.click(screen.getByRole('button', { name: 'Test the skipped ones' }));
  expect(screen.getByRole('heading', { name: 'Can the picture be magnified to judge focus?' })).toBeInTheDocument();
  await user.keyboard('y');
  expect(screen.getByRole('heading', { name: 'Everything is tested.' })).toBeInTheDocument();
});

test('Escape leaves the questions; answers are kept', async () => {
  const onClose = jest.fn();
  const { user } = renderPage(<Tested onClose={onClose} />);
  await user.keyboard('y{Escape}');
  expect(onClose).toHaveBeenCalledTimes(1);
  expect(known()).toBe('yes');
});

test('in the table, a press goes from untested to yes, to no, and back', async () => {
  const { user } = renderPage(<Tested isAsking={false} />);
  for (const answer of ['yes', 'no', 'untested']) {
    await user.click(screen.getByRole('button', { name: /^Magnify on Rear screen/ }));
    expect(screen.getByRole('button', { name: `Magnify on Rear screen: ${answer}` })).toBeInTheDocument();
  }
});
