import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fitCrew, keepRate, wilsonInterval, withCrewFit } from '../src/index';
import { crewOf, fourPulls, takesOfCrew } from './crews';
import { numbersFrom } from './randomPlans';

/** What was predicted for a crew after its takes, and what happened in the next ones. */
interface Point {
  readonly predicted: number;
  readonly happened: number;
  readonly isInside: boolean;
}

/** Takes that the errors are fitted to, and takes after that. */
const FITTED_TAKES = 30;
const NEXT_TAKES = 30;

function pointOf(crew: number): Point {
  const plan = fourPulls();
  const truth = crewOf(plan, numbersFrom(3000 + crew));
  const fit = fitCrew(plan, takesOfCrew(truth, plan, FITTED_TAKES, 7000 + crew));
  const predicted = keepRate(withCrewFit(plan, fit), { takes: 4000, seed: 1 }).keepRate;
  const happened = keepRate(truth, { takes: NEXT_TAKES, seed: 9000 + crew }).keepRate;
  const { low, high } = wilsonInterval(Math.round(happened * NEXT_TAKES), NEXT_TAKES);
  return { predicted, happened, isInside: predicted >= low && predicted <= high };
}

/** A few crews with every run; two hundred for the picture in the docs (`npm run calibration`). */
const PLOT = process.env['STILL_HERON_CALIBRATION'];
const CREWS = PLOT ? 200 : 12;

test('after thirty takes a plan predicts the next thirty of its crew', () => {
  const points = Array.from({ length: CREWS }, (_, crew) => pointOf(crew));
  const inside = points.filter(({ isInside }) => isInside).length;
  expect(inside / CREWS).toBeGreaterThanOrEqual(0.9);
  const meanOff = points.reduce((sum, { predicted, happened }) => sum + predicted - happened, 0) / CREWS;
  expect(Math.abs(meanOff)).toBeLessThan(0.03);
  if (PLOT) writeFileSync(join(PLOT, 'calibration.svg'), plotOf(points, inside));
});

const SIZE = 360;
const MARGIN = 48;

/** Predicted against happened, with the line on which both are equal. */
function plotOf(points: readonly Point[], inside: number): string {
  const x = (share: number) => (MARGIN + share * SIZE).toFixed(1);
  const y = (share: number) => (MARGIN / 2 + (1 - share) * SIZE).toFixed(1);
  const dots = points.map(
    ({ predicted, happened, isInside }) =>
      `<circle cx="${x(predicted)}" cy="${y(happened)}" r="3" fill="${isInside ? '#2f7d5b' : '#c0392b'}" fill-opacity="0.7"/>`,
  );
  const ticks = [0, 0.25, 0.5, 0.75, 1].flatMap((share) => [
    `<text x="${x(share)}" y="${SIZE + MARGIN}" text-anchor="middle">${share * 100}</text>`,
    `<text x="${MARGIN - 8}" y="${Number(y(share)) + 4}" text-anchor="end">${share * 100}</text>`,
    `<path d="M${x(share)},${y(0)}V${y(1)}M${x(0)},${y(share)}H${x(1)}" stroke="#ddd"/>`,
  ]);
  const title = `${inside} of ${points.length} predictions lie within the interval of what happened`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${SIZE + 2 * MARGIN}" height="${SIZE + 2 * MARGIN}" font-family="sans-serif" font-size="12">`,
    `<title>${title}</title><rect width="100%" height="100%" fill="#fff"/>`,
    ...ticks,
    `<path d="M${x(0)},${y(0)}L${x(1)},${y(1)}" stroke="#888" stroke-dasharray="4 4"/>`,
    ...dots,
    `<text x="${MARGIN + SIZE / 2}" y="${SIZE + MARGIN + 20}" text-anchor="middle">predicted, of 100 takes</text>`,
    `<text x="14" y="${MARGIN / 2 + SIZE / 2}" text-anchor="middle" transform="rotate(-90 14 ${MARGIN / 2 + SIZE / 2})">happened in the next ${NEXT_TAKES}, of 100</text>`,
    `<text x="${MARGIN}" y="${SIZE + MARGIN + 40}">${title}.</text>`,
    '</svg>',
    '',
  ].join('\n');
}
