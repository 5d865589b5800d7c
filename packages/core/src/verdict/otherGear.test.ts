import { twoPeople } from '../../test/plans';
import { defaultLens, defaultWheel } from '../kit/index';
import { blurDiameterMm, depthOfField } from '../optics/index';
import {
  addOpticsChange,
  chooseLens,
  chooseWheel,
  newPlan,
  removePull,
  setFocalLength,
  setStop,
  type ShotPlan,
  zoneLensAt,
} from '../plan/index';
import { comparePlans } from './comparePlans';
import { evaluatePull } from './evaluatePull';
import type { CompleteVerdict } from './pullVerdict';

function judge(plan: ShotPlan): CompleteVerdict {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(`not judged: ${verdict.missing.join()}`);
  return verdict;
}

describe('stop and focal length over time', () => {
  const zoomLens = defaultLens({ name: 'Zoom', focalLengthMm: 25, longestMm: 100, widestStop: 2.2, closeFocusMm: 900 });
  const alone = (plan: ShotPlan) => judge(removePull({ ...plan, beats: [{ ...plan.beats[0]!, toS: 10 }] }, 'pull-1'));
  /** The zoom at 30 mm and T8 holds Ines at 2.05 m with focus on Old Tam at 2.90 m. */
  const wide = setStop(setFocalLength(chooseLens(twoPeople(), 'z', zoomLens), 30), 8);
  const both = { ...wide, beats: [{ ...wide.beats[0]!, subjectId: 'subject-2' }] };

  test('each frame goes by the stop and the focal length it has then', () => {
    const pulled = addOpticsChange(both, 'irisPulls', 2, 2.2);
    const verdict = alone(addOpticsChange(pulled, 'zooms', 5, 80));
    for (const frame of [0, 60, 150, 239]) {
      const lens = zoneLensAt(addOpticsChange(pulled, 'zooms', 5, 80).optics, frame / 24);
      const zone = depthOfField({ ...lens, focusDistanceMm: verdict.track.focusMm[frame]! });
      expect(verdict.track.fNumber[frame]).toBeCloseTo(lens.fNumber, 12);
      expect(verdict.track.nearMm[frame]).toBeCloseTo(zone.nearMm, 6);
      const blur = blurDiameterMm({ ...lens, focusDistanceMm: verdict.track.focusMm[frame]!, subjectDistanceMm: 2050 });
      expect(verdict.subjects[1]!.blurCircles[frame]).toBeCloseTo(blur / lens.circleOfConfusionMm, 9);
    }
  });

  test('opening up, or zooming in, is named as what made the zone too thin', () => {
    expect(alone(both).outcome).toBe('sharp');
    const opened = alone(addOpticsChange(both, 'irisPulls', 2, 2.2));
    expect(opened.softSpans[0]!.cause).toEqual({ kind: 'zone-shrinks', by: 'stop' });
    const closer = alone(addOpticsChange(both, 'zooms', 2, 100));
    expect(closer.softSpans[0]!.cause).toEqual({ kind: 'zone-shrinks', by: 'zoom' });
  });

  test('a steady shot is judged the same with a turn that changes nothing', () => {
    const plain = judge(twoPeople());
    const turned = judge(addOpticsChange(twoPeople(), 'irisPulls', 3, 3.2));
    expect(turned.sharpFrames).toBe(plain.sharpFrames);
    expect([...turned.track.nearMm]).toEqual([...plain.track.nearMm]);
  });
});

describe('other gear', () => {
  const wheel = defaultWheel({ name: 'W', wheelPerRing: 3, discDiameterMm: 90, comfortableDeg: 40 });

  test('a move is judged at the wheel: its degrees, and the grips it takes', () => {
    const [atRing] = judge(twoPeople()).pulls;
    const [atWheel] = judge(chooseWheel(twoPeople(), null, wheel)).pulls;
    expect(atRing!.wheel).toBeNull();
    expect(atWheel!.wheel!.travelDeg).toBeCloseTo(3 * atRing!.travelDeg, 9);
    expect(atWheel!.neededS).toBeGreaterThan(atRing!.neededS);
  });

  test('what a change would do: sharp time before and after, and where each mark goes', () => {
    const after = chooseWheel(setStop(twoPeople(), 8), null, wheel);
    const { sharpBeforeS, sharpAfterS, marks } = comparePlans(twoPeople(), after);
    expect(sharpBeforeS).not.toBeNull();
    expect(sharpAfterS!).toBeGreaterThanOrEqual(sharpBeforeS!);
    expect(marks.map(({ letter }) => letter)).toEqual(['A', 'B']);
    expect(marks[0]!.afterDeg).toBeCloseTo(3 * marks[0]!.beforeDeg, 9);
    expect(marks[0]!.windowAfterDeg).toBeGreaterThan(3 * marks[0]!.windowBeforeDeg);
    expect(comparePlans(newPlan(), newPlan())).toMatchObject({ sharpBeforeS: null, marks: [] });
  });
});
