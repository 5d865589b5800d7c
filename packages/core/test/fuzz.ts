import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  addLandmark,
  addOpticsChange,
  addStay,
  applyBlockingMove,
  BLOCKING_MOVES,
  checkPlan,
  chooseRig,
  chooseWheel,
  comparePlans,
  defaultLens,
  defaultValues,
  defaultWheel,
  disagreement,
  errorSources,
  evaluatePull,
  fieldOfAction,
  findFixes,
  focusReferences,
  followSpeed,
  framedSpans,
  keepRate,
  type Lens,
  markReading,
  methodOffers,
  missAllowance,
  moveCameraTo,
  newTake,
  planNotes,
  prepareRoll,
  presetRig,
  reversed,
  rollCues,
  separation,
  setAim,
  setLens,
  type ShotPlan,
  shotTime,
  smallestChanges,
  solveTrack,
  SOLVER_WAYS,
  startFloor,
  stopFigures,
  stopsToCompare,
  subjectsFor,
  suggestImprovements,
  thingsInDepth,
  tubeOf,
  upgradePlan,
} from '../src/index';
import { twoPeople } from './plans';
import { RANDOM_PLANS } from './randomPlans';

/** The lens zooms, breathes, has its own scale; a wheel, a rig, a walk, an iris pull. */
function equipped(): ShotPlan {
  const zoom = setLens(twoPeople(), { longestMm: 130, widestStop: 2.8, widestStopLong: 2.8, breathingPercent: 4 });
  const moved = addOpticsChange(addOpticsChange(zoom, 'zooms', 2, 90), 'irisPulls', 6, 5.6);
  const geared = chooseWheel(moved, 'wheel', defaultWheel({ name: 'Wheel', wheelPerRing: 2 }));
  return addStay(chooseRig(geared, null, presetRig('Rig', 'dolly', 'alone')), 'subject-2', { distanceMm: 1600, fromS: 8 });
}

function drawn(): ShotPlan {
  const moved = moveCameraTo(startFloor(equipped()), { xMm: 300, yMm: 200 }, 5);
  const aimed = setAim(moved, { kind: 'subject', subjectId: 'subject-1' }, { atS: 3, isNew: true });
  return addLandmark(aimed, 'box', 'box', { xMm: 1500, yMm: 600 });
}

/** A lens whose scale was read at four points, and which breathes. */
function scaledLens(): Lens {
  const points = [
    { distanceMm: 650, ringDeg: 280 },
    { distanceMm: 1000, ringDeg: 200 },
    { distanceMm: 3000, ringDeg: 80 },
    { distanceMm: null, ringDeg: 0 },
  ];
  return defaultLens({ name: '65 mm', focalLengthMm: 65, breathingPercent: 4, ring: { kind: 'table', points } });
}

const sample = (schema: number) =>
  upgradePlan(JSON.parse(readFileSync(join(__dirname, `samples/plan-${schema}.json`), 'utf8'))) as ShotPlan;

/** A plan that was made from a valid one, and can be stored like it. @throws {Error} with what is wrong */
function stored(plan: ShotPlan): ShotPlan {
  const problems = checkPlan(plan).map(({ code, path }) => `${code} ${path}`);
  if (problems.length > 0) throw new Error(problems.join(', '));
  return plan;
}

/** Valid plans of every sort, from which others are made. */
export const FUZZED_PLANS: readonly ShotPlan[] = [
  twoPeople(),
  equipped(),
  drawn(),
  { ...twoPeople(), optics: { ...twoPeople().optics, lens: scaledLens() } },
  sample(9),
  sample(5),
  ...RANDOM_PLANS.slice(0, 4),
];

/** Functions that take a plan and are done with it quickly. */
export const QUICK: Readonly<Record<string, (plan: ShotPlan) => unknown>> = {
  verdict: evaluatePull,
  tube: tubeOf,
  notes: (plan) => planNotes(plan, { shutterAngleDeg: 180 }),
  errors: errorSources,
  'rolled takes': (plan) => {
    // what is not complete is not rolled
    if (evaluatePull(plan).status === 'incomplete') return null;
    const rolled = keepRate(plan, { takes: 10, seed: 1 });
    return [rolled.keepRate, shotTime(plan, rolled)];
  },
  roll: (plan) => prepareRoll(plan),
  cues: rollCues,
  stops: (plan) => stopFigures(plan, stopsToCompare(plan), plan.durationS / 2),
  depth: (plan) => [0, plan.durationS].map((timeS) => thingsInDepth(plan, timeS)),
  separation: (plan) => separation(plan, plan.durationS / 2, 5),
  marks: (plan) =>
    plan.marks.map((mark) => [markReading(plan, mark), focusReferences(plan, mark), missAllowance(plan, mark, 100)]),
  disagreements: (plan) => plan.marks.map((mark) => disagreement(plan, mark)),
  follows: (plan) => plan.subjects.map((one) => one.stays.length > 0 && followSpeed(plan, one, plan.durationS / 2)),
  framing: (plan) => plan.subjects.map((one) => one.stays.length > 0 && framedSpans(plan, one)),
  field: (plan) => plan.floor && fieldOfAction(plan),
  reversed: (plan) => stored(reversed(plan)),
  compared: (plan) => comparePlans(plan, plan),
  take: (plan) => newTake(plan, 1),
};

/** Functions that search among many changed plans. */
export const SEARCHES: Readonly<Record<string, (plan: ShotPlan) => unknown>> = {
  ...Object.fromEntries(SOLVER_WAYS.map((way) => [way, (plan: ShotPlan) => solveTrack(plan, way)])),
  fixes: (plan) => findFixes(plan),
  improvements: suggestImprovements,
  methods: methodOffers,
  'smallest changes': smallestChanges,
  moves: (plan) =>
    plan.floor &&
    BLOCKING_MOVES.flatMap((move) =>
      subjectsFor(move, plan).map(({ id: subjectId }) => {
        const start = { subjectId, atS: 0 };
        return stored(applyBlockingMove(move, plan, start, defaultValues(move, plan, start)).plan);
      }),
    ),
};

/** Whether a result holds NaN, in objects and lists at any depth. */
export function holdsNaN(value: unknown): boolean {
  if (typeof value === 'number') return Number.isNaN(value);
  if (ArrayBuffer.isView(value)) return [...(value as Float64Array)].some(Number.isNaN);
  if (typeof value !== 'object' || value === null) return false;
  return Object.values(value).some(holdsNaN);
}
