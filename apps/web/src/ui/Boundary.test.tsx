import { render, screen } from '@testing-library/react';
import { Boundary } from './Boundary';

function Shown({ place, fails }: { place: string; fails: boolean }) {
  const Part = () => {
    if (fails) throw new Error('no ring');
    return <p>the ring of {place}</p>;
  };
  return (
    <Boundary place={place} failed={(error) => <p role="alert">{(error as Error).message}</p>}>
      <Part />
    </Boundary>
  );
}

beforeEach(() => jest.spyOn(console, 'error').mockImplementation(() => undefined));
afterEach(() => jest.restoreAllMocks());

test('a part that fails is replaced, stays so in its place, and another place is tried again', () => {
  const { rerender } = render(<Shown place="/pull" fails />);
  expect(screen.getByRole('alert')).toHaveTextContent('no ring');
  rerender(<Shown place="/pull" fails={false} />);
  expect(screen.getByRole('alert')).toBeInTheDocument();
  rerender(<Shown place="/stop" fails={false} />);
  expect(screen.getByText('the ring of /stop')).toBeInTheDocument();
  rerender(<Shown place="/stop" fails />);
  expect(screen.getByRole('alert')).toBeInTheDocument();
  rerender(<Shown place="/roll" fails />);
  expect(screen.getByRole('alert')).toHaveTextContent('no ring');
});
