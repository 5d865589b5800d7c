import { newPlan } from '@still-heron/core';
import { enlargedText, frameText, onScreenText } from './recordingText';

test('seconds on the screen stand beside the frame rates', () => {
  const at = (captureFps: number, deliveryFps: number) => onScreenText({ captureFps, deliveryFps, durationS: 5 });
  expect(at(120, 25)).toBe('4.8 × slow motion: 5.0 s last 24.0 s on the screen');
  expect(at(12, 24)).toBe('2 × faster: 5.0 s last 2.5 s on the screen');
  expect([at(24, 24), at(23.976, 24)]).toEqual([undefined, undefined]);
});

test('a frame is said by its shape', () => {
  expect([null, 2.39, 16 / 9, 1].map(frameText)).toEqual(['as recorded', '2.39 : 1', '1.78 : 1', '1 : 1']);
});

test('an enlargement says what it does to the limit of sharpness', () => {
  const plan = newPlan();
  const enlarged = (sharpness: typeof plan.optics.sharpness, enlargedPercent = 25) =>
    enlargedText({ optics: { ...plan.optics, sharpness, enlargedPercent } });
  // the diagonal of 24.89 by 14 mm is 28.56 mm: 19.0 µm, and 15.2 shown 25 % larger
  expect(enlarged({ kind: 'diagonal', divisor: 1500 })).toBe(
    'Blur shows more: sharp to 15.2 µm instead of 19.0 µm. The zone is thinner.',
  );
  expect(enlarged({ kind: 'photosite', count: 2 })).toBe('Pixels keep their size, so that the zone stays as it is.');
  expect(enlarged({ kind: 'diagonal', divisor: 1500 }, 0)).toBeUndefined();
});
