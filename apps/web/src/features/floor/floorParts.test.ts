import {
  addLandmark,
  addSubjectAt,
  changeLandmark,
  evaluatePull,
  type FloorItem,
  newPlan,
  type Place,
  setAim,
  type ShotPlan,
  startFloor,
  walkTo,
} from '@still-heron/core';
import { framingText } from '@still-heron/wording';
import { framingsOf } from '../../shared/workers/framings';
import { lanesOf } from './lanesLayout';
import { onStep, othersThan, snap, trackEnds } from './snap';
import { nudge } from './useFloorDrag';

const at = (xMm: number, yMm: number): Place => ({ xMm, yMm });

test('arrow keys move ten centimetres or a metre, a drag goes to whole steps; in feet they are round in inches', () => {
  expect(nudge('ArrowUp', false, 'metric')).toEqual(at(0, 100));
  expect(nudge('ArrowLeft', true, 'metric')).toEqual(at(-1000, 0));
  expect(nudge('Enter', false, 'metric')).toBeNull();
  expect(onStep(at(1234, -567), 'metric')).toEqual(at(1250, -550));
  expect(nudge('ArrowRight', true, 'imperial')!.xMm).toBeCloseTo(914.4, 9);
  expect(nudge('ArrowDown', false, 'imperial')!.yMm).toBeCloseTo(-76.2, 9);
  expect(onStep(at(310, 20), 'imperial')).toEqual(at(12 * 25.4, 25.4));
});

describe('a dragged thing lines up', () => {
  const on = { others: [at(3000, 1000), at(5000, -700)], tracks: [], pxPerMm: 0.1, units: 'metric' as const };

  test('level and plumb with what is near, else on whole steps, and says with what', () => {
    expect(snap(at(3040, -660), on)).toEqual({
      place: at(3000, -700),
      guides: [
        { from: at(5000, -700), to: at(3000, -700) },
        { from: at(3000, 1000), to: at(3000, -700) },
      ],
    });
    expect(snap(at(4012, 188), on)).toEqual({ place: at(4000, 200), guides: [] });
    // drawn larger, the same distance is farther in pixels
    expect(snap(at(3040, 188), { ...on, pxPerMm: 1 }).place).toEqual(at(3050, 200));
  });

  test('the camera snaps to dolly track at every place along it', () => {
    const plan = changeLandmark(addLandmark(startFloor(newPlan()), 'track', 'track 1', at(0, 0)), 'landmark-1', {
      turnedDeg: 90,
      widthMm: 4000,
    });
    const [track] = plan.floor!.landmarks;
    expect(trackEnds(track!).map(({ xMm, yMm }) => [xMm, yMm].map((mm) => Math.round(mm) + 0))).toEqual([
      [0, -2000],
      [0, 2000],
    ]);
    const { place } = snap(at(44, 1234), { ...on, tracks: [track!] });
    expect(place.xMm).toBeCloseTo(0, 9);
    expect(place.yMm).toBeCloseTo(1234, 9);
    expect(snap(at(44, 3000), { ...on, tracks: [track!] }).place).not.toMatchObject({ yMm: 2000 });
  });

  test('with everything but what is held', () => {
    const plan = addLandmark(addSubjectAt(newPlan(), 'Ines', at(3000, 0)), 'post', 'post', at(1000, 1000));
    const held: FloorItem[] = [{ kind: 'mark', id: 'mark-1' }];
    expect(othersThan(plan, held)).toHaveLength(2);
    expect(othersThan(plan, [...held, { kind: 'landmark', id: 'landmark-1' }, { kind: 'camera', id: 'camera-1' }])).toEqual([]);
  });
});

describe('lanes under the time bar', () => {
  const crossing = (): ShotPlan => walkTo(addSubjectAt(newPlan(), 'Ines', at(4000, 4000)), 'subject-1', at(4000, -4000), 8);
  const lane = (plan: ShotPlan) => {
    const verdict = evaluatePull(plan);
    return lanesOf(plan, verdict.status === 'judged' ? verdict : null, framingsOf(plan))[0]!;
  };

  test('say when someone comes in and goes out, and when they are sharp or soft', () => {
    const { framed, sharp, soft } = lane(crossing());
    expect(framed).toHaveLength(1);
    expect(framingText(lane(crossing()), 10)).toMatch(/^Ines enters at 6\.\d s, leaves at [67]\.\d s$/);
    const lasts = (spans: readonly { fromS: number; untilS: number }[]) =>
      spans.reduce((sum, { fromS, untilS }) => sum + untilS - fromS, 0);
    expect(lasts(sharp) + lasts(soft)).toBeCloseTo(10, 1);
  });

  test('someone throughout, never, or not on the floor', () => {
    expect(framingText(lane(setAim(crossing(), { kind: 'subject', subjectId: 'subject-1' })), 10)).toBe(
      'Ines is in frame all the time',
    );
    expect(framingText(lane(setAim(crossing(), { kind: 'heading', deg: 180, tiltDeg: null })), 10)).toBe(
      'Ines is never in frame',
    );
    expect(framingText({ ...lane(crossing()), framed: null }, 10)).toBe('Ines is not on the floor');
    expect(framingText(lanesOf(crossing(), null, null)[0]!, 10)).toBe('Ines');
  });
});
