import {
  addBeat,
  addPull,
  adoptScaleOfMarks,
  addStay,
  addSubject,
  addSubjectAt,
  applyBlockingMove,
  BLOCKING_MOVES,
  changeBeat,
  changeMark,
  changePull,
  changeStay,
  changeSubject,
  conjugates,
  defaultLens,
  setLens,
  setReading,
  setStop,
  type ShotPlan,
  walkTo,
} from '@still-heron/core';

/** Where the ring of the old photo lens stands at infinity, and how far it turns for a mm of extension: nobody has written it down. */
const AT_INFINITY_DEG = 12;
const DEG_PER_MM = 55;
const PHOTO_MM = 50;

/** Bohdan comes up the bank; focus was found by eye at each stop, and the ring was read. The marks that were taped as well made its scale. */
export function ferrymanByEye(empty: ShotPlan): ShotPlan {
  const lens = defaultLens({
    name: 'Photo lens 50 mm f/1.8, no scale',
    focalLengthMm: PHOTO_MM,
    stopScale: 'f',
    widestStop: 1.8,
    narrowestStop: 16,
    closeFocusMm: 450,
    ring: { kind: 'helicoid', focusThrowDeg: 190 },
    nearerTurns: 'anticlockwise',
    autofocus: 'no-motor',
  });
  const stoodMm = [5200, 3600, 2500, 1700];
  let plan = setStop(setLens({ ...empty, kit: { ...empty.kit, lensId: null } }, lens, false), 4);
  plan = addSubject(plan, { name: 'Bohdan', distanceMm: stoodMm[0]! });
  stoodMm.slice(1).forEach((distanceMm, index) => {
    plan = addStay(plan, 'subject-1', { distanceMm, fromS: 4 + 4 * index });
    plan = changeStay(plan, 'subject-1', `stay-${index + 1}`, { untilS: 2 + 4 * index });
  });
  stoodMm.forEach((mm, index) => {
    const markId = `mark-${index + 1}`;
    const deg = Math.round(AT_INFINITY_DEG + DEG_PER_MM * conjugates(PHOTO_MM, mm).extensionMm);
    const isTaped = index !== 1;
    plan = setReading(isTaped ? plan : changeMark(plan, markId, { method: 'picture' }), markId, { kind: 'ring', deg });
  });
  for (const [index, why] of ['he stops', 'he turns', 'his hands'].entries()) {
    plan = addPull(plan, `mark-${index + 2}`, 2.4 + 4 * index);
    plan = changePull(plan, `pull-${index + 1}`, { durationS: 1.6, trigger: 'look', cue: why });
  }
  plan = changeBeat(adoptScaleOfMarks(plan), 'beat-1', { toS: 2, why: 'he comes' });
  for (const [index, why] of ['he stops', 'he turns', 'his hands'].entries()) {
    plan = addBeat(plan, 'subject-1', 4 + 4 * index);
    plan = changeBeat(plan, `beat-${index + 2}`, { toS: 6 + 4 * index, why });
  }
  return plan;
}

/** The camera goes a quarter round the bell, at one distance from Maren. */
export function roundTheBell(empty: ShotPlan): ShotPlan {
  const arc = BLOCKING_MOVES.find(({ id }) => id === 'arc')!;
  const standing = changeSubject(addSubjectAt(empty, 'Maren', { xMm: 2600, yMm: 0 }), 'subject-1', { detail: 'near eye' });
  const { plan } = applyBlockingMove(
    arc,
    standing,
    { subjectId: 'subject-1', atS: 1 },
    { arcDeg: 90, lastsS: 7, side: 1, offMm: 60 },
  );
  return changeBeat({ ...plan, method: 'constant-distance' }, 'beat-1', { why: 'she walks the rim with a finger' });
}

/** Ines waits on the bank, and the carter goes past between her and the camera; both hands hold the rope. */
export function theBankPath(empty: ShotPlan): ShotPlan {
  let plan = addSubjectAt(empty, 'Ines', { xMm: 4200, yMm: 0 });
  plan = addSubjectAt(plan, 'Carter', { xMm: 2400, yMm: -1100 });
  plan = walkTo(plan, 'subject-2', { xMm: 2400, yMm: 1300 }, 6);
  plan = changeSubject(plan, 'subject-2', { detail: 'shoulder' });
  plan = { ...plan, method: 'automatic', areHandsNeeded: true };
  return changeBeat(plan, 'beat-1', { fromS: 0, toS: 9, why: 'she waits for the ferry' });
}
