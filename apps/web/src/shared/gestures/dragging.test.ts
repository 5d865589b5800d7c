import { dragging, withTheDrag } from './dragging';

let frames: (() => void)[];
const nextFrame = () => frames.splice(0).forEach((draw) => draw());

beforeEach(() => {
  frames = [];
  globalThis.requestAnimationFrame = (draw) => frames.push(() => draw(0));
});
afterEach(() => dragging.set(false));

test('at rest a listener hears at once', () => {
  const heard = jest.fn();
  withTheDrag(heard)();
  expect([heard.mock.calls.length, frames.length]).toEqual([1, 0]);
});

test('during a drag it hears once a frame, however much was worked out', () => {
  const heard = jest.fn();
  const listener = withTheDrag(heard);
  dragging.set(true);
  listener();
  listener();
  expect(heard).not.toHaveBeenCalled();
  nextFrame();
  expect(heard).toHaveBeenCalledTimes(1);
  listener();
  nextFrame();
  expect(heard).toHaveBeenCalledTimes(2);
});
