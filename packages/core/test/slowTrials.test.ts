import {
  addPull,
  addSubject,
  changePull,
  DEFAULT_WATCHING,
  keepRateOf,
  newPlan,
  prepareTrials,
  runTrials,
  setStop,
  type ShotPlan,
  startFloor,
  type Watching,
} from '../src/index';
import { caseCount } from './caseCount';
import { slowKeepRate } from './slowTrials';

/** Numbers that look random and are the same in every run. */
function numbers(seed: number) {
  let state = seed * 7919 + 1;
  return (from: number, to: number) => {
    state = (state * 48271) % 2147483647;
    return from + ((to - from) * state) / 2147483647;
  };
}

/** Two people and a camera on a set: walks, dollies, pans, stops, zooms and iris pulls. */
function scene(seed: number): ShotPlan {
  const between = numbers(seed);
  let plan: ShotPlan = { ...newPlan(), durationS: 5, captureFps: 12 };
  plan = addSubject(plan, { name: 'Tam', distanceMm: between(2500, 4000) });
  plan = addSubject(plan, { name: 'Ines', distanceMm: between(2000, 5000) });
  plan = setStop(startFloor(plan), between(2.8, 8));
  plan = changePull(addPull(plan, 'mark-2', 2), 'pull-1', {
    startS: between(1.8, 2.2),
    durationS: between(0.6, 1),
    cueSigmaS: 0.1,
  });
  const [tam, ines] = plan.subjects;
  const third = { ...plan.marks[1]!, id: 'mark-3', letter: 'C', place: { xMm: between(2500, 4500), yMm: between(-600, 600) } };
  const marks = [...plan.marks, third].map((mark) => ({ ...mark, method: 'drawn' as const, uncertaintyMm: between(5, 40) }));
  const isDolly = seed % 2 === 0;
  const walks = seed % 3 !== 0;
  const stays = [
    { id: 'stay-1', markId: 'mark-2', fromS: 0, untilS: between(0.5, 2), pace: 'eased' as const },
    {
      id: 'stay-2',
      markId: 'mark-3',
      fromS: between(3, 4),
      untilS: 5,
      pace: seed % 5 === 0 ? ('steady' as const) : ('eased' as const),
    },
  ];
  const at = (id: string) => ({ kind: 'subject' as const, subjectId: id });
  return {
    ...plan,
    marks,
    subjects: [
      { ...tam!, markSigmaMm: between(0, 60), timingSigmaS: 0.2, heightMm: between(1500, 1800) },
      {
        ...ines!,
        markSigmaMm: between(0, 60),
        timingSigmaS: between(0, 0.4),
        heightMm: between(1200, 1700),
        stays: walks ? stays : [stays[0]!],
      },
    ],
    floor: {
      ...plan.floor!,
      lensHeightMm: between(900, 1700),
      camera: [
        { id: 'camera-1', timeS: 0, xMm: 0, yMm: 0, pace: 'eased', heightMm: null, missSigmaMm: seed % 3 === 0 ? 60 : null },
        ...(isDolly
          ? [
              {
                id: 'camera-2',
                timeS: between(3, 5),
                xMm: between(-300, 600),
                yMm: between(-400, 400),
                pace: 'eased' as const,
                heightMm: seed % 4 === 2 ? between(900, 2400) : null,
                missSigmaMm: seed % 2 === 0 ? 25 : null,
              },
            ]
          : []),
      ],
      aims: [
        {
          id: 'aim-1',
          timeS: 0,
          panS: 0,
          at: seed % 4 === 0 ? { kind: 'heading', deg: between(-5, 5), tiltDeg: between(-8, 8) } : at('subject-1'),
        },
        ...(seed % 4 === 1 ? [{ id: 'aim-2', timeS: 3, panS: between(0.3, 1), at: at('subject-2') }] : []),
      ],
    },
    optics: {
      ...plan.optics,
      irisPulls: seed % 7 === 0 ? [{ id: 'stop-1', startS: 1, durationS: 2, to: between(3, 6) }] : [],
    },
    beats: [
      { ...plan.beats[0]!, id: 'beat-1', subjectId: 'subject-1', fromS: 0, toS: 1.5, requiredShare: 0.9 },
      { ...plan.beats[0]!, id: 'beat-2', subjectId: 'subject-2', fromS: 3.6, toS: 5, requiredShare: between(0.5, 1) },
    ],
  };
}

// npm run test:thorough: 40 scenes at 20,000 trials
const isThorough = caseCount(1) > 1;
const SCENES = isThorough ? 40 : 8;
const WATCHED_SCENES = isThorough ? 40 : 4;
const TRIALS = isThorough ? 20_000 : 800;
const TOLERANCE = isThorough ? 0.012 : 0.06;

/** How much the camera errs in a scene. */
const cameraOf = (seed: number) => ({
  timingSigmaS: seed % 2 === 0 ? 0.15 : 0,
  stopSigmaMm: seed % 6 === 2 ? 40 : 0,
  driftSigmaMm: seed % 3 === 0 ? 25 : 0,
  driftTimeS: 0.8,
});

/** Share of takes that the compiled loop keeps. */
function fastKeepRate(plan: ShotPlan, options: Parameters<typeof prepareTrials>[1]): number {
  const prepared = prepareTrials(plan, options);
  if ('missing' in prepared) throw new Error(prepared.missing.join());
  return keepRateOf(prepared.beats, runTrials(prepared, 3, { first: 0, count: 20_000 }), 3).keepRate;
}

test.each(Array.from({ length: SCENES }, (_, k) => k + 1))(
  'scene %d: the compiled loop keeps as many takes as plain, slow code',
  (seed) => {
    const [plan, camera] = [scene(seed), cameraOf(seed)];
    const slow = slowKeepRate(plan, { trials: TRIALS, seed, camera });
    expect(Math.abs(fastKeepRate(plan, { camera }) - slow)).toBeLessThan(TOLERANCE);
  },
);

test.each(Array.from({ length: WATCHED_SCENES }, (_, k) => k + 1))(
  'scene %d, watched, with soft moments that are tolerated: as many takes as in plain, slow code',
  (seed) => {
    const between = numbers(seed + 1000);
    const camera = cameraOf(seed);
    // people miss by more, and are watched: on a display that shows much or little, or by eye
    const watching: Watching = {
      ...DEFAULT_WATCHING,
      on: seed % 4 === 3 ? 'subject' : 'display',
      displayInches: between(3, 20),
      delayS: between(0, 0.2),
      rightWayShare: between(0.6, 1),
    };
    const calm = scene(seed);
    const plan = {
      ...calm,
      captureFps: 24,
      subjects: calm.subjects.map((one) => ({ ...one, markSigmaMm: one.markSigmaMm + 150 })),
      beats: calm.beats.map((beat) => ({ ...beat, toleratedFrames: Math.round(between(0, 24)) })),
    };
    const watched = fastKeepRate(plan, { camera, watching });
    expect(Math.abs(watched - slowKeepRate(plan, { trials: TRIALS, seed, camera, watching }))).toBeLessThan(TOLERANCE);
    gained += watched - fastKeepRate(plan, { camera });
  },
);

let gained = 0;
test('watching gains takes in these scenes', () => expect(gained / WATCHED_SCENES).toBeGreaterThan(0.02));
