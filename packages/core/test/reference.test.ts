import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import {
  blockingDistance,
  blurDiameterMm,
  circleOfConfusionMm,
  depthOfField,
  exposureChange,
  fewestHolds,
  lensRing,
  minimumJerk,
  pullDifficultyBits,
  type RingPoint,
  stripArcMm,
  type Vec3,
} from '../src/index';

/** Computed with another program at 50 digits. */
const REFERENCE = resolve(__dirname, 'vectors/reference.json');

type Row = Record<string, number>;
interface Reference {
  depthOfField: Row[];
  blurDiameter: Row[];
  helicoidRing: Row[];
  ringTable: { points: RingPoint[]; probes: { focusDistanceMm: number | null; ringDeg: number }[] }[];
  circleOfConfusion: Row[];
  blocking: { camera: Vec3; aimAt: Vec3; subject: Vec3; tapeMm: number; depthMm: number }[];
  minimumJerk: Row[];
  exposure: Row[];
  strip: Row[];
  difficulty: Row[];
  fewestHolds: { lowDeg: number[]; highDeg: number[]; required: number[]; holds: number }[];
}

const reference = JSON.parse(readFileSync(REFERENCE, 'utf8')) as Reference;

const RELATIVE = 1e-9;

function expectClose(actual: number, expected: number | null): void {
  if (expected === null) {
    expect(actual).toBe(Infinity);
    return;
  }
  expect(Number.isFinite(actual)).toBe(true);
  expect(Math.abs(actual - expected)).toBeLessThanOrEqual(RELATIVE * Math.max(Math.abs(expected), Number.MIN_VALUE));
}

const endless = (value: number | null | undefined) => value ?? Infinity;

describe('reference values, to 1e-9 relative', () => {
  test.each(reference.depthOfField)('zone of $focalLengthMm mm f/$fNumber at $focusDistanceMm mm', (row) => {
    const zone = depthOfField({
      ...(row as never as Parameters<typeof depthOfField>[0]),
      focusDistanceMm: endless(row['focusDistanceMm']),
    });
    expectClose(zone.nearMm, row['nearMm']!);
    expectClose(zone.farMm, row['farMm']!);
    expectClose(zone.hyperfocalMm, row['hyperfocalMm']!);
    expect(zone.magnification).toBeCloseTo(row['magnification']!, 12);
  });

  test.each(reference.blurDiameter)(
    'blur of $focalLengthMm mm at $focusDistanceMm mm, subject at $subjectDistanceMm mm',
    (row) => {
      const blur = blurDiameterMm({
        ...(row as never as Parameters<typeof blurDiameterMm>[0]),
        focusDistanceMm: endless(row['focusDistanceMm']),
        subjectDistanceMm: endless(row['subjectDistanceMm']),
      });
      expectClose(blur, row['blurDiameterMm']!);
    },
  );

  test.each(reference.helicoidRing)('helicoid $focalLengthMm mm, $focusThrowDeg°, at $focusDistanceMm mm', (row) => {
    const ring = lensRing({
      kind: 'helicoid',
      focalLengthMm: row['focalLengthMm']!,
      focusThrowDeg: row['focusThrowDeg']!,
      closeFocusMm: row['closeFocusMm']!,
    });
    expectClose(ring.angleAt(endless(row['focusDistanceMm'])), row['ringDeg']!);
  });

  test.each(reference.ringTable.map((table, index) => ({ index, ...table })))(
    'scale points, lens $index',
    ({ points, probes }) => {
      const ring = lensRing({ kind: 'table', points });
      for (const { focusDistanceMm, ringDeg } of probes) {
        expectClose(ring.angleAt(endless(focusDistanceMm)), ringDeg);
        expectClose(ring.distanceAt(ringDeg), endless(focusDistanceMm));
      }
      for (const { distanceMm, ringDeg } of points) expect(ring.angleAt(endless(distanceMm))).toBeCloseTo(ringDeg, 9);
    },
  );

  test.each(reference.circleOfConfusion)('circle of confusion of a $sensorWidthMm mm sensor', (row) => {
    const { sensorWidthMm, sensorHeightMm, diagonalDivisor, photositesWide, photosites, viewingDistancePictureHeights } =
      row as Record<string, number> & { sensorWidthMm: number };
    expectClose(
      circleOfConfusionMm({ kind: 'diagonal', sensorWidthMm, sensorHeightMm: sensorHeightMm!, divisor: diagonalDivisor! }),
      row['byDiagonalMm']!,
    );
    expectClose(
      circleOfConfusionMm({ kind: 'photosite', sensorWidthMm, photositesWide: photositesWide!, count: photosites! }),
      row['byPhotositeMm']!,
    );
    expectClose(
      circleOfConfusionMm({
        kind: 'viewer',
        sensorHeightMm: sensorHeightMm!,
        viewingDistancePictureHeights: viewingDistancePictureHeights!,
      }),
      row['byViewerMm']!,
    );
  });

  test.each(reference.blocking)('tape $tapeMm mm, depth $depthMm mm', ({ camera, aimAt, subject, tapeMm, depthMm }) => {
    const distance = blockingDistance({ camera, aimAt, subject });
    expectClose(distance.tapeMm, tapeMm);
    expectClose(distance.depthMm, depthMm);
  });

  test.each(reference.minimumJerk)('minimum jerk at $progress', ({ progress, value }) =>
    expectClose(minimumJerk(progress!), value!),
  );

  test.each(reference.exposure)('exposure from $fromStop to $toStop', ({ fromStop, toStop, stops, isoFactor, ndDensity }) => {
    const change = exposureChange(fromStop!, toStop!);
    expectClose(change.stops, stops!);
    expectClose(change.isoFactor, isoFactor!);
    expectClose(change.ndDensity, ndDensity!);
  });

  test.each(reference.strip)('strip of $ringDeg° on $ringDiameterMm mm', ({ ringDeg, ringDiameterMm, arcMm }) =>
    expectClose(stripArcMm(ringDeg!, ringDiameterMm!), arcMm!),
  );

  test.each(reference.difficulty)('difficulty of $travelDeg° into $windowDeg°', ({ travelDeg, windowDeg, bits }) =>
    expectClose(pullDifficultyBits(travelDeg!, windowDeg!), bits!),
  );
});

test.each(reference.fewestHolds)('fewest holds: $holds', ({ holds, ...tube }) => {
  const found = fewestHolds(tube);
  expect(found).toHaveLength(holds);
  for (const { fromFrame, toFrame, ringDeg } of found)
    for (let frame = fromFrame; frame < toFrame; frame++)
      if (tube.required[frame]) expect(ringDeg >= tube.lowDeg[frame]! && ringDeg <= tube.highDeg[frame]!).toBe(true);
});
