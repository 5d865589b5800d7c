import { addSubject, DEFAULT_WATCHING, newPlan, watchFigures } from '@still-heron/core';
import { betterPictureText, toleratedText, watchedRatesText, WATCHED_WORDS, watchFiguresText } from './watchingText';

const plan = addSubject(newPlan(), { name: 'Ines', distanceMm: 3000 });

test('what is seen, and how long softness lasts', () => {
  const display = watchFigures(plan, { ...DEFAULT_WATCHING, on: 'display' })!;
  expect(watchFiguresText(display)).toMatch(
    /^Blur is seen there from 3\.4 times the limit of sharpness on\. It is noticed after 0\.20 s and corrected in 0\.\d\d s: sharp again after \d\.\d\d s\.$/,
  );
  const subject = watchFigures(plan, { ...DEFAULT_WATCHING, on: 'subject' })!;
  expect(watchFiguresText(subject)).toContain('A miss of 10 % of the distance is seen. It is noticed after 0.15 s');
  for (const { means } of Object.values(WATCHED_WORDS)) expect(means).toMatch(/^The puller .*\.$/);
});

test('rates of a puller who watches, what another picture gains, and what a beat must allow', () => {
  expect(watchedRatesText(0.62, 0.81)).toBe('81 of 100 takes kept with corrections, 62 of 100 without');
  expect(betterPictureText('no-delay', 0.81, 0.9)).toBe('A picture without delay: 90 of 100, 9 more.');
  expect(betterPictureText('twice-as-large', 0.81, 0.81)).toBe('A display twice as large gains nothing here.');
  expect(toleratedText(18, 24)).toBe(
    'A span that allows no soft moment is lost at its first soft frame. A correction takes 18 frames, 0.8 s.',
  );
});
