import { twoPeople } from '../../test/plans';
import { ringOf } from '../kit/index';
import { focusTrack } from '../track/index';
import {
  addSubjectAt,
  adoptDrawnDistance,
  drawAtDistance,
  minDrawnMm,
  placeMark,
  setSubjectHeight,
  startFloor,
} from './edits/floor';
import { changeCameraKey, moveCameraTo, setAim } from './edits/cameraPath';
import { addPullTo, setTrackStart } from './edits/pulls';
import { changeMark, marksHold, removeMark, setTapedFrom } from './edits/marks';
import { addStay } from './edits/subjects';
import { newPlan } from './edits/newPlan';
import { reversed } from './edits/reverse';
import { setLens } from './edits/optics';
import { stepBack } from './edits/stepBack';
import { walkTo } from './edits/floor';
import { planNotes } from './notes/planNotes';
import { markFocusMm, planDistances } from './planDistances';
import type { ShotPlan } from './shotPlan';
import { distanceSigmaMm, staleCause, staleMarks } from './staleMarks';
import { upgradePlan } from './upgradePlan';

const at = (xMm: number, yMm: number) => ({ xMm, yMm });
const cameraTo = (plan: ShotPlan, xMm: number) => changeCameraKey(plan, 'camera-1', { xMm });
const causeOf = (plan: ShotPlan) => staleCause(plan, plan.marks[0]!);
const ringMm = (plan: ShotPlan, timeS = 0) => planDistances(plan).focusMmAt(plan.subjects[0]!, timeS);

/** Ines stands 2.35 m in front of the camera as drawn, and the tape reads 2.40 m. */
const taped = () => changeMark(addSubjectAt(newPlan(), 'Ines', at(2350, 0)), 'mark-1', { distanceMm: 2400 });

/** Ines stands at 4 m for the whole shot, while the camera dollies one metre towards her from 2 s to 4 s. */
const dolly = () => {
  const still = moveCameraTo(addSubjectAt(newPlan(), 'Ines', at(4000, 0)), at(0, 0), 2);
  return moveCameraTo(still, at(1000, 0), 4);
};

describe('a tape belongs to where it was taken from', () => {
  test('the camera moves half a metre nearer: the drawing counts with the correction, and the tape is stale', () => {
    const before = taped();
    expect([ringMm(before), causeOf(before)]).toEqual([2400, null]);
    const plan = cameraTo(before, 500);
    expect(ringMm(plan)).toBeCloseTo(1900, 9);
    expect(plan.marks[0]!.distanceMm).toBe(2400);
    expect(causeOf(plan)).toBe('drawing');
    expect(planNotes(plan, { shutterAngleDeg: 180 })).toContainEqual(
      expect.objectContaining({ code: 'stale-marks', letters: ['A'], since: 'drawing' }),
    );
  });

  test('back at its old place the camera finds the tape valid again', () => {
    const plan = cameraTo(cameraTo(taped(), 500), 0);
    expect([ringMm(plan), causeOf(plan)]).toEqual([2400, null]);
  });

  test('one key keeps what was taped, another goes by the drawing; measured again it is new', () => {
    const plan = cameraTo(taped(), 500);
    expect([ringMm(marksHold(plan)), causeOf(marksHold(plan))]).toEqual([2400, null]);
    const drawn = adoptDrawnDistance(plan, 'mark-1');
    expect([ringMm(drawn), causeOf(drawn), drawn.marks[0]!.method]).toEqual([1850, null, 'drawn']);
    const again = changeMark(plan, 'mark-1', { distanceMm: 1870 });
    expect([ringMm(again), causeOf(again)]).toEqual([1870, null]);
  });

  test.each([
    ['by less than the spread of a tape', 8, null],
    ['by more than the spread of a tape', 15, 'drawing'],
  ])('a mark moved on the floor %s', (_, byMm, cause) => {
    const plan = placeMark(taped(), 'mark-1', at(2350 + byMm, 0));
    expect(causeOf(plan)).toBe(cause);
    expect(ringMm(plan)).toBeCloseTo(2400 + byMm, 9);
  });

  test('someone who was taped standing and sits down is stale', () => {
    const plan = setSubjectHeight(taped(), 'subject-1', 1000);
    expect(causeOf(plan)).toBe('drawing');
    expect(staleMarks(plan)).toHaveLength(1);
  });

  test('a tape that the drawing has moved is as good as the drawing, unless its spread is typed', () => {
    const plan = cameraTo(taped(), 500);
    const sigma = (one: ShotPlan) => distanceSigmaMm(one, one.marks[0]!);
    expect([sigma(taped()), sigma(plan)]).toEqual([10, 50]);
    expect(sigma(changeMark(plan, 'mark-1', { uncertaintyMm: 20 }))).toBe(20);
  });

  test('taped from the start of a dolly, or from its end', () => {
    const fromStart = changeMark(dolly(), 'mark-1', { distanceMm: 4100 });
    expect([0, 6].map((timeS) => Math.round(ringMm(fromStart, timeS)))).toEqual([4100, 3100]);
    const fromEnd = setTapedFrom(changeMark(dolly(), 'mark-1', { distanceMm: 3050 }), 'mark-1', 6);
    expect([0, 6].map((timeS) => Math.round(ringMm(fromEnd, timeS)))).toEqual([4050, 3050]);
    expect([causeOf(fromStart), causeOf(fromEnd)]).toEqual([null, null]);
    // the end of the dolly is moved: what was taped from its start still holds
    const longer = (plan: ShotPlan) => changeCameraKey(plan, 'camera-3', { xMm: 1500 });
    expect([causeOf(longer(fromStart)), causeOf(longer(fromEnd))]).toEqual([null, 'drawing']);
  });

  test('a mark that is visited twice, from two places of the camera, has one tape and two distances', () => {
    let plan = walkTo(dolly(), 'subject-1', at(3000, 2000), 6);
    const [first, second] = plan.subjects[0]!.stays;
    const back = { ...first!, id: 'stay-3', fromS: 9, untilS: 10 };
    plan = { ...plan, subjects: [{ ...plan.subjects[0]!, stays: [first!, { ...second!, untilS: 7 }, back] }] };
    plan = changeMark(plan, 'mark-1', { distanceMm: 4020 });
    expect([ringMm(plan, 0), ringMm(plan, 9.5)].map(Math.round)).toEqual([4020, 3020]);
  });

  test('played backwards, the tape holds for the same place of the camera', () => {
    const plan = changeMark(dolly(), 'mark-1', { distanceMm: 4100 });
    const back = reversed(plan);
    for (const timeS of [0, 3, 5, 10]) expect(ringMm(back, 10 - timeS)).toBeCloseTo(ringMm(plan, timeS), 6);
    expect(causeOf(back)).toBeNull();
    expect(reversed(back).marks).toEqual(plan.marks);
  });

  test('a step back makes a drawn tape stale; without a drawing the tape is longer, and stale', () => {
    const drawn = stepBack(taped(), 300);
    expect([ringMm(drawn), causeOf(drawn)]).toEqual([2700, 'drawing']);
    const plain = stepBack(twoPeople(), 300);
    expect(plain.marks.map(({ distanceMm, stale }) => [distanceMm, stale])).toEqual([
      [3200, 'camera'],
      [2350, 'camera'],
    ]);
  });

  test('a plan saved before tapes had a place: each was taken as the drawing is now, and a later move shows', () => {
    const old = { ...taped(), schema: 9, marks: taped().marks.map(({ taping: _, ...mark }) => mark) };
    const plan = upgradePlan(old) as ShotPlan;
    expect(plan.marks[0]!.taping).toEqual({ timeS: 0, drawnMm: 2350 });
    expect([ringMm(plan), causeOf(plan), causeOf(cameraTo(plan, 500))]).toEqual([2400, null, 'drawing']);
  });

  test('marks without a place on the floor are never stale because of it', () => {
    const plan = cameraTo(addStay(startFloor(twoPeople()), 'subject-1', { distanceMm: 3500, fromS: 6 }), 500);
    expect(plan.marks.map((mark) => staleCause(plan, mark))).toEqual(['drawing', 'drawing', null]);
  });
});

describe('a mark is drawn where it was taped', () => {
  test('it moves along its line from the camera until the drawing says what the tape says', () => {
    const beside = changeMark(addSubjectAt(newPlan(), 'Ines', at(3000, 4000)), 'mark-1', { distanceMm: 5500 });
    const plan = drawAtDistance(beside, 'mark-1', 5500);
    expect(plan.marks[0]!.place!.xMm).toBeCloseTo(3300, 6);
    expect(plan.marks[0]!.place!.yMm).toBeCloseTo(4400, 6);
    expect([causeOf(plan), Math.round(plan.marks[0]!.taping!.drawnMm)]).toEqual([null, 5500]);
  });

  test('a drawn mark goes where a tape would read what was typed, and stays drawn', () => {
    const plan = drawAtDistance(addSubjectAt(newPlan(), 'Ines', at(2490, 0)), 'mark-1', 2500);
    expect(plan.marks[0]).toMatchObject({ method: 'drawn', distanceMm: 2500, place: at(2500, 0) });
  });

  test('not nearer than straight below the lens', () => {
    const low = setSubjectHeight(addSubjectAt(newPlan(), 'Ines', at(2490, 0)), 'subject-1', 620);
    expect(minDrawnMm(low, low.marks[0]!)).toBe(1000);
    expect(drawAtDistance(low, 'mark-1', 500).marks[0]!.distanceMm).toBeCloseTo(1000, 2);
  });
});

describe('a pull aims at the axis of its landing', () => {
  /** Tam stands on the axis; Ines stands 4 m away, 60° beside it. The camera pans to her from 5 s to 6 s. */
  const panned = () => {
    const two = addSubjectAt(addSubjectAt(newPlan(), 'Old Tam', at(3000, 0)), 'Ines', at(2000, Math.sqrt(12) * 1000));
    return setAim(two, { kind: 'heading', deg: 60, tiltDeg: null }, { atS: 6, isNew: true, panS: 1 });
  };
  const landing = (plan: ShotPlan) => focusTrack(plan, ringOf(plan.optics.lens))!.pulls[0]!.to.requestedMm;
  const toInes = (plan: ShotPlan, atS: number) => addPullTo(plan, { kind: 'mark', markId: 'mark-2' }, atS, 1);

  test('after the pan it is at her 4 m, before it at the 2 m of depth that she has on the old axis', () => {
    expect(landing(toInes(panned(), 5))).toBeCloseTo(4000, 6);
    expect(landing(toInes(panned(), 2))).toBeCloseTo(2000, 6);
    expect(markFocusMm(toInes(panned(), 5), 'mark-2')).toBeCloseTo(4000, 6);
    // nobody pulls to it: as it is when she arrives, at the start
    expect(markFocusMm(panned(), 'mark-2')).toBeCloseTo(2000, 6);
  });

  test('in the middle of the pan it is at the depth on the axis of that time', () => {
    const half = planDistances(panned()).headingAt(5.5);
    expect(landing(toInes(panned(), 4.5))).toBeCloseTo(4000 * Math.cos(((60 - half) * Math.PI) / 180), 6);
  });

  test('set before she arrives, the ring is where she will be sharp on her mark', () => {
    const walks = walkTo(panned(), 'subject-2', at(1000, Math.sqrt(3) * 1000), 9);
    expect(landing(addPullTo(walks, { kind: 'mark', markId: 'mark-3' }, 3, 1))).toBeCloseTo(2000, 6);
  });

  test('a mark that is removed leaves its pull at the distance that the ring had', () => {
    const plan = setTrackStart(removeMark(toInes(panned(), 5), 'mark-2'), { kind: 'distance', distanceMm: 3000 });
    expect(plan.focusTrack.pulls[0]!.target).toEqual({ kind: 'distance', distanceMm: expect.closeTo(4000, 6) as number });
  });
});

describe('another lens', () => {
  const withMethods = (): ShotPlan => {
    const plan = changeMark(twoPeople(), 'mark-2', { method: 'picture' });
    return addSubjectAt(plan, 'Bohdan', at(4000, 0));
  };
  const other = (plan: ShotPlan) => setLens(plan, { focalLengthMm: 100, closeFocusMm: 900 });

  test('leaves a tape and the drawing as they are; what was read off the ring is stale, and a hard stop', () => {
    const plan = other(withMethods());
    expect(plan.marks.map((mark) => staleCause(plan, mark))).toEqual([null, 'lens', null]);
    const stopped = other(changeMark(withMethods(), 'mark-1', { hasHardStop: true }));
    expect(stopped.marks[0]!.stale).toBe('lens');
  });
});
