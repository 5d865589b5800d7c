import { bump, plus, sampled, thereAndBack, type Turned } from '../../test/turned';
import { ringOf } from '../kit/index';
import { blurDiameterMm } from '../optics/index';
import { type ShotPlan, zoneLensAt } from '../plan/index';
import { focusTrack } from '../track/index';
import { asJudged } from './asJudged';
import { judgeTake } from './judgeTake';
import { newTake } from './newTake';
import type { Take } from './take';
import { packTrack } from './track';

const plan: ShotPlan = thereAndBack();
const ring = ringOf(plan.optics.lens);
const perfect: Turned = focusTrack(plan, ring)!.ringDegAt;

/** Ring angle at which Tam, at 2.9 m, has a blur of this number of permitted circles; found by halving. */
function lostBy(circles: number): number {
  const lens = zoneLensAt(plan.optics, 1);
  const blurAt = (deg: number) =>
    blurDiameterMm({ ...lens, focusDistanceMm: ring.distanceAt(ring.angleAt(2900) + deg), subjectDistanceMm: 2900 }) /
    lens.circleOfConfusionMm;
  let [low, high] = [0, 40];
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2;
    if (blurAt(middle) < circles) low = middle;
    else high = middle;
  }
  return high;
}

const recoveries = (turned: Turned, of: ShotPlan = plan) => judgeTake(of, sampled(of, turned))!.recoveries;
/** Tam has to be sharp from the start; he is lost by three circles, and comes back in a time. */
const lostAndBack = (inS: number): Turned => plus(perfect, bump(1, 1 + 2 * inS, lostBy(3)));
/** The same in a beat of Tam from the start to 2.9 s, whatever else the shot asks for. */
const ofTam: ShotPlan = {
  ...plan,
  beats: [{ ...plan.beats[0]!, requirement: 'sharp', fromS: 0, toS: 2.9, keyMomentS: null }],
};

test('as planned nobody is lost, and nobody comes back', () => {
  expect(recoveries(perfect, ofTam)).toEqual([]);
});

test.each([
  ['in 0.9 s', 0.9, 'gentle'],
  ['in 0.35 s', 0.35, 'quick'],
  ['in 0.15 s', 0.15, 'jerked'],
])('three permitted circles of blur, back %s: %s', (_, inS, grade) => {
  const [one, ...others] = recoveries(lostAndBack(inS), ofTam);
  expect(others).toEqual([]);
  expect(one).toMatchObject({ grade });
  // half a sine of three circles is fastest at its end, and the zone ends at one circle
  const atEdge = 3 * (Math.PI / (2 * inS)) * Math.sqrt(1 - (1 / 3) ** 2);
  expect(one!.circlesPerS).toBeGreaterThan(0.75 * atEdge);
  expect(one!.circlesPerS).toBeLessThan(1.15 * atEdge);
});

test('on a screen at half the speed the same return is half as fast', () => {
  const slow = { ...ofTam, captureFps: 48, deliveryFps: 24 };
  const real = { ...ofTam, captureFps: 48, deliveryFps: 48 };
  const [a, b] = [slow, real].map((one) => recoveries(lostAndBack(0.35), one)[0]!.circlesPerS);
  expect(b! / a!).toBeCloseTo(2, 6);
});

test('out, back, out the other way and back is a hunt', () => {
  const by = lostBy(3);
  // it passes Tam too fast for a whole frame to be sharp
  const hunted = plus(perfect, bump(1, 1.3, by), bump(1.3, 1.34, -by), bump(1.34, 1.6, by));
  expect(recoveries(hunted, ofTam).map(({ grade }) => grade)).toContain('hunted');
});

test('arriving late, or staying away, is no recovery', () => {
  const by = lostBy(3);
  const late: Turned = (timeS) => perfect(timeS) + (timeS < 1 ? by * (1 - timeS) : 0);
  const away: Turned = (timeS) => perfect(timeS) + (timeS > 2 ? by : 0);
  expect(recoveries(late, ofTam)).toEqual([]);
  expect(recoveries(away, ofTam)).toEqual([]);
});

describe('in a take', () => {
  const take: Take = {
    ...newTake(ofTam, 1),
    durationS: ofTam.durationS,
    track: packTrack(sampled(ofTam, lostAndBack(0.15))),
  };

  test('they are filled in, and what a person says of the stretch stays beside', () => {
    const [found] = asJudged(ofTam, take).recoveries;
    expect(found).toMatchObject({ measured: 'jerked', said: null });
    expect(found!.fromS).toBeGreaterThan(1);
    expect(found!.toS).toBeLessThan(1.35);
    const said = { fromS: 1.1, toS: 1.2, said: 'quick' as const, measured: null };
    const seen = { fromS: 5, toS: 6, said: 'gentle' as const, measured: null };
    expect(asJudged(ofTam, { ...take, recoveries: [said, seen] }).recoveries).toEqual([{ ...found!, said: 'quick' }, seen]);
  });

  test('a focus check is none', () => {
    expect(asJudged(ofTam, { ...take, focusChecks: [{ fromS: 0.9, toS: 1.4 }] }).recoveries).toEqual([]);
  });
});

test('the zone of a take is the smallest in which somebody has to be sharp', () => {
  // at 2.05 m, T3.2 and 65 mm it is smaller than at 2.9 m
  const both = newTake(plan, 1).zoneDepthMm!;
  const tamOnly = newTake(ofTam, 1).zoneDepthMm!;
  expect(tamOnly).toBeGreaterThan(both);
  expect(newTake({ ...plan, beats: [] }, 1).zoneDepthMm).toBeNull();
});
