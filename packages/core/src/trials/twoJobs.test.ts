import { twoPeople } from '../../test/plans';
import { presetRig } from '../kit/index';
import {
  addOpticsChange,
  addPull,
  changePull,
  changeSubject,
  chooseRig,
  moveCameraTo,
  planNotes,
  secondJobAt,
  setAim,
  setHand,
  setLens,
  type ShotPlan,
  startFloor,
  STEADY_CAMERA,
} from '../plan/index';
import { suggestImprovements } from '../stop/index';
import { evaluatePull } from '../verdict/index';
import { keepRate } from './keepRate';
import { pullErrors } from './errorSources';

const withRig = (plan: ShotPlan, support: 'legs' | 'handheld', puller: 'alone' | 'puller') =>
  chooseRig(plan, null, presetRig('Rig', support, puller));
const firstPull = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(verdict.status);
  return { assessed: verdict.pulls[0]!, errors: pullErrors(plan, verdict.pulls)[0]! };
};
const rate = (plan: ShotPlan) => keepRate(plan, { takes: 2000, seed: 3 }).keepRate;

/** The pull to Ines lasts from 4 s to 5 s; the iris turns from 4.2 s to 5.2 s. */
const withIris = () => {
  const plan = addOpticsChange(twoPeople(), 'irisPulls', 4.2, 4);
  return { ...plan, optics: { ...plan.optics, irisPulls: plan.optics.irisPulls.map((one) => ({ ...one, durationS: 1 })) } };
};

describe('one person who does two jobs', () => {
  test.each<[string, ShotPlan, ReturnType<typeof secondJobAt>]>([
    ['alone with the camera on legs, which stands', withRig(twoPeople(), 'legs', 'alone'), null],
    ['alone with the camera in the hands', withRig(twoPeople(), 'handheld', 'alone'), 'framing'],
    ['with a puller beside the operator', withRig(twoPeople(), 'handheld', 'puller'), null],
    ['no rig chosen', twoPeople(), null],
    ['the iris turned as the pull lands', withIris(), 'iris'],
    [
      'alone, and the lens zooms as the pull lands',
      withRig(addOpticsChange(setLens(twoPeople(), { longestMm: 130 }), 'zooms', 4.2, 90), 'legs', 'alone'),
      'zoom',
    ],
    [
      'a puller, and the operator zooms',
      withRig(addOpticsChange(setLens(twoPeople(), { longestMm: 130 }), 'zooms', 4.2, 90), 'legs', 'puller'),
      null,
    ],
    [
      'alone on legs, panning as the pull lands',
      setAim(
        startFloor(withRig(twoPeople(), 'legs', 'alone')),
        { kind: 'heading', deg: 20, tiltDeg: null },
        { atS: 5.5, isNew: true, panS: 1 },
      ),
      'framing',
    ],
    [
      'alone on a dolly that moves as the pull lands',
      moveCameraTo(
        moveCameraTo(startFloor(withRig(twoPeople(), 'legs', 'alone')), { xMm: 0, yMm: 0 }, 4),
        { xMm: 300, yMm: 0 },
        6,
      ),
      'framing',
    ],
  ])('%s', (_, plan, job) => {
    expect(secondJobAt(plan, 5)).toBe(job);
    expect(firstPull(plan).assessed.secondJob).toBe(job);
  });

  test('a new pull has time enough for what its puller does as it lands, not as it starts', () => {
    const alone = startFloor(withRig(twoPeople(), 'legs', 'alone'));
    const lastsS = (plan: ShotPlan) => addPull(plan, 'mark-1', 7).focusTrack.pulls.at(-1)!.durationS;
    const panning = (atS: number, panS: number) =>
      setAim(alone, { kind: 'heading', deg: 3, tiltDeg: null }, { atS, isNew: true, panS });
    // a pan that is over before the pull lands leaves it as it is; one that begins after its start does not
    expect(lastsS(panning(7.2, 1))).toBe(lastsS(alone));
    expect(lastsS(panning(9.5, 2.3))).toBeGreaterThan(lastsS(alone) * 1.3);
    const added = addPull(panning(9.5, 2.3), 'mark-1', 7);
    const verdict = evaluatePull(added);
    if (verdict.status !== 'judged') throw new Error(verdict.status);
    expect(verdict.pulls.at(-1)).toMatchObject({ secondJob: 'framing', grade: 'workable' });
  });

  test('needs one and a half times as long, reacts as much later, and lands as much farther off', () => {
    const reacting = changePull(twoPeople(), 'pull-1', { trigger: 'look', countInS: 0, durationS: 3 });
    const [alone, two] = [withRig(reacting, 'handheld', 'alone'), withRig(reacting, 'handheld', 'puller')].map(firstPull);
    expect(alone!.assessed.neededS / two!.assessed.neededS).toBeCloseTo(1.5, 9);
    expect(alone!.errors.reactionS / two!.errors.reactionS).toBeCloseTo(1.5, 9);
    expect(alone!.errors.ringSigmaDeg / two!.errors.ringSigmaDeg).toBeCloseTo(1.5, 9);
  });

  test('keeps fewer takes; a second person gets them back, and a factor of 1 says that it is no harder', () => {
    // everything else is exact: only the hand decides
    const exact = changeSubject(changeSubject(twoPeople(), 'subject-1', { markSigmaMm: 5 }), 'subject-2', { markSigmaMm: 5 });
    const rushed = { ...changePull(exact, 'pull-1', { startS: 4.2, durationS: 0.8 }), cameraErrors: STEADY_CAMERA };
    const alone = withRig(rushed, 'handheld', 'alone');
    expect(rate(alone)).toBeLessThan(rate(withRig(rushed, 'handheld', 'puller')) - 0.1);
    expect(rate(setHand(alone, { twoJobsFactor: 1 }))).toBe(rate(withRig(rushed, 'handheld', 'puller')));
    const second = suggestImprovements(alone).find(({ change }) => change.kind === 'second-person')!;
    expect(rate(second.plan)).toBe(rate(withRig(rushed, 'handheld', 'puller')));
    expect(suggestImprovements(second.plan).some(({ change }) => change.kind === 'second-person')).toBe(false);
  });

  test('is told, with the factor', () => {
    const notes = planNotes(withRig(withIris(), 'handheld', 'alone'), { shutterAngleDeg: 180 });
    expect(notes).toContainEqual({ code: 'two-jobs', kind: 'hint', jobs: ['iris'], factor: 1.5 });
    expect(planNotes(twoPeople(), { shutterAngleDeg: 180 }).some(({ code }) => code === 'two-jobs')).toBe(false);
  });
});
