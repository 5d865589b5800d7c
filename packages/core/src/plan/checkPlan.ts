import { PlanError, type Problem } from '../errors.js';
import { lensProblems, widestStopAt } from '../kit/index.js';
import { tracksOf, timeProblems } from './checkTimes.js';
import { focalLengthAt } from './opticsOverTime.js';
import { planShape } from './planShape.js';
import { type FocusTarget, pullEndS, type ShotPlan } from './shotPlan.js';

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
  const say = (path: string, message: string, low: number, high: number, code = 'outside-lens') =>
    problems.push({ code, path, message, need: low === high ? `${low}` : `${low} to ${high}` });
  const lengths: [string, number][] = [
    ['optics.focalLengthMm', focalLengthMm],
    ...zooms.map(({ to }, k): [string, number] => [`optics.zooms[${k}].to`, to]),
  ];
  for (const [path, mm] of lengths)
    if (mm < lens.focalLengthMm || mm > lens.longestMm)
      say(path, `the lens does not offer ${mm} mm`, lens.focalLengthMm, lens.longestMm);
  const stops: [string, number, number][] = [
    ['optics.stop', stop, 0],
    ...irisPulls.map((move, k): [string, number, number] => [`optics.irisPulls[${k}].to`, move.to, pullEndS(move)]),
  ];
  for (const [path, value, timeS] of stops) {
    const widest = widestStopAt(lens, focalLengthAt(optics, timeS));
    if (value < widest * (1 - 1e-9) || value > lens.narrowestStop)
      say(path, `the lens does not offer ${value}`, Number(widest.toFixed(3)), lens.narrowestStop);
  }
  return problems;
}

function idProblems(plan: ShotPlan): Problem[] {
  const lists: [string, readonly { id: string }[]][] = [
    ['subjects', plan.subjects],
    ['marks', plan.marks],
    ['beats', plan.beats],
    ['focusTrack.pulls', plan.focusTrack.pulls],
    ['alternates.other.moves', plan.alternates?.other.pulls ?? []],
    ['optics.zooms', plan.optics.zooms],
    ['optics.irisPulls', plan.optics.irisPulls],
    ['floor.camera', plan.floor?.camera ?? []],
    ['floor.aims', plan.floor?.aims ?? []],
    ['floor.landmarks', plan.floor?.landmarks ?? []],
    ['rehearsals', plan.rehearsals],
    ...plan.subjects.map((subject, index): [string, readonly { id: string }[]] => [`subjects[${index}].stays`, subject.stays]),
  ];
  return lists.flatMap(([path, items]) =>
    items.flatMap(({ id }, index) =>
      items.findIndex((other) => other.id === id) < index
        ? [{ code: 'id-twice', path: `${path}[${index}].id`, message: `“${id}” is used before`, need: 'an id of its own' }]
        : [],
    ),
  );
}

function referenceProblems(plan: ShotPlan): Problem[] {
  const subjectIds = new Set(plan.subjects.map(({ id }) => id));
  const distances = new Map(plan.marks.map((mark) => [mark.id, mark.distanceMm]));
  const problems: Problem[] = [];
  const needSubject = (path: string, id: string | null) => {
    if (id !== null && !subjectIds.has(id))
      problems.push({
        code: 'no-such-subject',
        path,
        message: `there is no subject “${id}”`,
        need: 'the id of a subject of this plan',
      });
  };
  const needMark = (path: string, id: string) => {
    if (!distances.has(id))
      problems.push({ code: 'no-such-mark', path, message: `there is no mark “${id}”`, need: 'the id of a mark of this plan' });
  };
  const needTarget = (path: string, target: FocusTarget | null) => {
    if (target?.kind === 'mark' || target?.kind === 'blur') needMark(`${path}.markId`, target.markId);
    if (target?.kind !== 'subject') return;
    needSubject(`${path}.subjectId`, target.subjectId);
    if (plan.subjects.some(({ id, stays }) => id === target.subjectId && stays.length === 0))
      problems.push({
        code: 'stands-nowhere',
        path: `${path}.subjectId`,
        message: `“${target.subjectId}” stands nowhere, and can’t be followed`,
        need: 'a subject with a mark to stand at',
      });
  };
  plan.marks.forEach((mark, index) => needSubject(`marks[${index}].subjectId`, mark.subjectId));
  plan.beats.forEach((beat, index) => needSubject(`beats[${index}].subjectId`, beat.subjectId));
  plan.subjects.forEach((subject, at) => {
    subject.stays.forEach((stay, index) => needMark(`subjects[${at}].stays[${index}].markId`, stay.markId));
    const ends = new Set(subject.stays.map((stay) => distances.get(stay.markId) === null));
    if (ends.size === 2)
      problems.push({
        code: 'walks-to-infinity',
        path: `subjects[${at}].stays`,
        message: `${subject.name} would walk to or from infinity`,
        need: 'finite distances for its marks',
      });
  });
  plan.floor?.aims.forEach((aim, index) => {
    if (aim.at.kind === 'subject') needSubject(`floor.aims[${index}].at.subjectId`, aim.at.subjectId);
  });
  plan.marks.forEach((mark, index) => {
    if (mark.focusReferenceId !== null && !plan.floor?.landmarks.some(({ id }) => id === mark.focusReferenceId))
      problems.push({
        code: 'no-such-landmark',
        path: `marks[${index}].focusReferenceId`,
        message: `there is no landmark “${mark.focusReferenceId}”`,
        need: 'the id of a landmark on the floor, or null',
      });
    if (mark.method === 'drawn' && (mark.place === null || plan.floor === null || mark.distanceMm === null))
      problems.push({
        code: 'not-drawn',
        path: `marks[${index}].method`,
        message: 'it is said to be drawn, and is not on the floor',
        need: 'a place on the floor, or another way it was measured',
      });
  });
  for (const [path, { start, pulls }] of tracksOf(plan)) {
    needTarget(`${path}.start`, start);
    pulls.forEach((pull, index) => needTarget(`${path}.pulls[${index}].target`, pull.target));
    if (start === null && pulls.length > 0)
      problems.push({
        code: 'no-start',
        path: `${path}.start`,
        message: 'the line has moves and no start',
        need: 'a mark or a distance to start from',
      });
  }
  return problems;
}
