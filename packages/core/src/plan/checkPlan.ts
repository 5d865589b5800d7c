import { PlanError } from '../errors.js';
import { problem, type Problem } from '../problems.js';
import { lensProblems, widestStopAt } from '../kit/index.js';
import { tracksOf, timeProblems } from './checkTimes.js';
import { focalLengthAt } from './opticsOverTime.js';
import { planShape } from './planShape.js';
import { type FocusTarget, pullEndS, type ShotPlan } from './shotPlan.js';
import type { JsonSchema } from '../shape.js';

/** JSON Schema of a plan. It does not say everything that `checkPlan` checks, such as references between its parts. */
export const PLAN_JSON_SCHEMA: JsonSchema = planShape.schema;

/**
 * Lists every problem of a plan: first of its shape, then, if the shape is valid, contradictions between its parts.
 *
 * @param value - anything, as it comes from a file or over the wire
 * @returns empty for a plan that can be stored and evaluated
 */
export function checkPlan(value: unknown): Problem[] {
  const problems: Problem[] = [];
  planShape.check(value, '', problems);
  if (problems.length > 0) return problems;
  const plan = value as ShotPlan;
  return [...opticsProblems(plan), ...idProblems(plan), ...referenceProblems(plan), ...timeProblems(plan)];
}

/** @throws {PlanError} listing every problem */
export function assertPlan(value: unknown): asserts value is ShotPlan {
  const [first, ...others] = checkPlan(value);
  if (first) throw new PlanError([first, ...others]);
}

/** Stops and focal lengths that the lens does not offer, at the start or during the shot. */
function opticsProblems({ optics }: ShotPlan): Problem[] {
  const { lens, focalLengthMm, zooms, stop, irisPulls } = optics;
  const problems = lensProblems(lens, 'optics.lens');
  if (problems.length > 0) return problems;
  const lengths: [string, number][] = [
    ['optics.focalLengthMm', focalLengthMm],
    ...zooms.map(({ to }, k): [string, number] => [`optics.zooms[${k}].to`, to]),
  ];
  for (const [path, mm] of lengths)
    if (mm < lens.focalLengthMm || mm > lens.longestMm)
      problems.push(problem('outside-lens', path, { given: mm, unit: 'mm', min: lens.focalLengthMm, max: lens.longestMm }));
  const stops: [string, number, number][] = [
    ['optics.stop', stop, 0],
    ...irisPulls.map((move, k): [string, number, number] => [`optics.irisPulls[${k}].to`, move.to, pullEndS(move)]),
  ];
  for (const [path, value, timeS] of stops) {
    const widest = widestStopAt(lens, focalLengthAt(optics, timeS));
    if (value < widest * (1 - 1e-9) || value > lens.narrowestStop)
      problems.push(problem('outside-lens', path, { given: value, unit: 'stop', min: widest, max: lens.narrowestStop }));
  }
  return problems;
}

function idProblems(plan: ShotPlan): Problem[] {
  const lists: [string, readonly { id: string }[]][] = [
    ['subjects', plan.subjects],
    ['marks', plan.marks],
    ['beats', plan.beats],
    ['focusTrack.pulls', plan.focusTrack.pulls],
    ['alternates.other.pulls', plan.alternates?.other.pulls ?? []],
    ['optics.zooms', plan.optics.zooms],
    ['optics.irisPulls', plan.optics.irisPulls],
    ['laterMethods', plan.laterMethods],
    ['exposure.lightReadings', plan.exposure.lightReadings],
    ['floor.camera', plan.floor?.camera ?? []],
    ['floor.aims', plan.floor?.aims ?? []],
    ['floor.landmarks', plan.floor?.landmarks ?? []],
    ['rehearsals', plan.rehearsals],
    ...plan.subjects.map((subject, index): [string, readonly { id: string }[]] => [`subjects[${index}].stays`, subject.stays]),
  ];
  return lists.flatMap(([path, items]) =>
    items.flatMap(({ id }, index) =>
      items.findIndex((other) => other.id === id) < index ? [problem('id-twice', `${path}[${index}].id`, { id })] : [],
    ),
  );
}

function referenceProblems(plan: ShotPlan): Problem[] {
  const subjectIds = new Set(plan.subjects.map(({ id }) => id));
  const distances = new Map(plan.marks.map((mark) => [mark.id, mark.distanceMm]));
  const problems: Problem[] = [];
  const needSubject = (path: string, id: string | null) => {
    if (id !== null && !subjectIds.has(id)) problems.push(problem('no-such-subject', path, { id }));
  };
  const needMark = (path: string, id: string) => {
    if (!distances.has(id)) problems.push(problem('no-such-mark', path, { id }));
  };
  const needTarget = (path: string, target: FocusTarget | null) => {
    if (target?.kind === 'mark' || target?.kind === 'blur') needMark(`${path}.markId`, target.markId);
    if (target?.kind !== 'subject') return;
    needSubject(`${path}.subjectId`, target.subjectId);
    if (plan.subjects.some(({ id, stays }) => id === target.subjectId && stays.length === 0))
      problems.push(problem('stands-nowhere', `${path}.subjectId`, { id: target.subjectId }));
  };
  plan.marks.forEach((mark, index) => needSubject(`marks[${index}].subjectId`, mark.subjectId));
  plan.beats.forEach((beat, index) => needSubject(`beats[${index}].subjectId`, beat.subjectId));
  plan.subjects.forEach((subject, at) => {
    subject.stays.forEach((stay, index) => needMark(`subjects[${at}].stays[${index}].markId`, stay.markId));
    const ends = new Set(subject.stays.map((stay) => distances.get(stay.markId) === null));
    if (ends.size === 2) problems.push(problem('walks-to-infinity', `subjects[${at}].stays`, { name: subject.name }));
  });
  plan.exposure.lightReadings.forEach(({ at }, index) => {
    if (at.kind === 'mark') needMark(`exposure.lightReadings[${index}].at.markId`, at.markId);
  });
  plan.floor?.aims.forEach((aim, index) => {
    if (aim.at.kind === 'subject') needSubject(`floor.aims[${index}].at.subjectId`, aim.at.subjectId);
  });
  plan.marks.forEach((mark, index) => {
    if (mark.focusReferenceId !== null && !plan.floor?.landmarks.some(({ id }) => id === mark.focusReferenceId))
      problems.push(problem('no-such-landmark', `marks[${index}].focusReferenceId`, { id: mark.focusReferenceId }));
    if (mark.method === 'drawn' && (mark.place === null || plan.floor === null || mark.distanceMm === null))
      problems.push(problem('not-drawn', `marks[${index}].method`, {}));
  });
  for (const [path, { start, pulls }] of tracksOf(plan)) {
    needTarget(`${path}.start`, start);
    pulls.forEach((pull, index) => needTarget(`${path}.pulls[${index}].target`, pull.target));
    if (start === null && pulls.length > 0) problems.push(problem('no-start', `${path}.start`, {}));
  }
  return problems;
}
