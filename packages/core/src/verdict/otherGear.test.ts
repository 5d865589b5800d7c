import { twoPeople } from '../../test/plans';
import { plainLens, plainWheel } from '../kit/index';
import { blurDiameterMm, depthOfField } from '../optics/index';
import {
  addOpticsMove,
  newPlan,
  removeRack,
  setFocalLength,
  setStop,
  type ShotPlan,
  takeLens,
  takeWheel,
  zoneLensAt,
} from '../pull/index';
import { comparePlans, evaluatePull, type JudgedPull, narrate } from './index';

function judge(plan: ShotPlan): JudgedPull {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(`not judged: ${verdict.missing.join()}`);
  return verdict;
}

describe('stop and focal length over time', () => {
  const zoomLens = plainLens({ name: 'Zoom', focalLengthMm: 25, longestMm: 100, widestStop: 2.2, closeFocusMm: 900 });
  const alone = (plan: ShotPlan) => judge(removeRack({ ...plan, beats: [{ ...plan.beats[0]!, toS: 10 }] }, 'rack-1'));
  /** The zoom at 30 mm and T8 holds Ines at 2.05 m with focus on Old Tam at 2.90 m. */
  const wide = setStop(setFocalLength(takeLens(twoPeople(), 'z', zoomLens), 30), 8);
  const both = { ...wide, beats: [{ ...wide.beats[0]!, subjectId: 'subject-2' }] };

  test('each frame goes by the stop and the focal length it has then', () => {
    const pulled = addOpticsMove(both, 'stopPulls', 2, 2.2);
    const verdict = alone(addOpticsMove(pulled, 'zooms', 5, 80));
    for (const frame of [0, 60, 150, 239]) {
      const lens = zoneLensAt(addOpticsMove(pulled, 'zooms', 5, 80).optics, frame / 24);
      const zone = depthOfField({ ...lens, focusDistanceMm: verdict.line.focusMm[frame]! });
      expect(verdict.line.fNumber[frame]).toBeCloseTo(lens.fNumber, 12);
      expect(verdict.line.nearMm[frame]).toBeCloseTo(zone.nearMm, 6);
      const blur = blurDiameterMm({ ...lens, focusDistanceMm: verdict.line.focusMm[frame]!, subjectDistanceMm: 2050 });
      expect(verdict.subjects[1]!.blurCircles[frame]).toBeCloseTo(blur / lens.circleOfConfusionMm, 9);
    }
  });

  test('opening up, or zooming in, is named as what made the zone too thin', () => {
    expect(alone(both).outcome).toBe('sharp');
    const opened = alone(addOpticsMove(both, 'stopPulls', 2, 2.2));
    expect(opened.softSpans[0]!.cause).toEqual({ kind: 'zone-shrinks', by: 'stop' });
    expect(narrate(opened, both, 'metric').text).toContain('because opening the stop makes the zone too thin');
    const closer = alone(addOpticsMove(both, 'zooms', 2, 100));
    expect(closer.softSpans[0]!.cause).toEqual({ kind: 'zone-shrinks', by: 'zoom' });
  });

  test('a steady shot is judged the same with a turn that changes nothing', () => {
    const plain = judge(twoPeople());
    const turned = judge(addOpticsMove(twoPeople(), 'stopPulls', 3, 3.2));
    expect(turned.sharpFrames).toBe(plain.sharpFrames);
    expect([...turned.line.nearMm]).toEqual([...plain.line.nearMm]);
  });
});

describe('other gear', () => {
  const wheel = plainWheel({ name: 'W', wheelPerRing: 3, discDiameterMm: 90, comfortableDeg: 40 });

  test('a move is judged at the wheel: its degrees, and the grips it takes', () => {
    const [atRing] = judge(twoPeople()).moves;
    const [atWheel] = judge(takeWheel(twoPeople(), null, wheel)).moves;
    expect(atRing!.wheel).toBeNull();
    expect(atWheel!.wheel!.travelDeg).toBeCloseTo(3 * atRing!.travelDeg, 9);
    expect(atWheel!.neededS).toBeGreaterThan(atRing!.neededS);
  });

  test('what a change would do: sharp time before and after, and where each mark goes', () => {
    const after = takeWheel(setStop(twoPeople(), 8), null, wheel);
    const { sharpBeforeS, sharpAfterS, marks } = comparePlans(twoPeople(), after);
    expect(sharpBeforeS).not.toBeNull();
    expect(sharpAfterS!).toBeGreaterThanOrEqual(sharpBeforeS!);
    expect(marks.map(({ letter }) => letter)).toEqual(['A', 'B']);
    expect(marks[0]!.afterDeg).toBeCloseTo(3 * marks[0]!.beforeDeg, 9);
    expect(marks[0]!.windowAfterDeg).toBeGreaterThan(3 * marks[0]!.windowBeforeDeg);
    expect(comparePlans(newPlan(), newPlan())).toMatchObject({ sharpBeforeS: null, marks: [] });
  });
});
