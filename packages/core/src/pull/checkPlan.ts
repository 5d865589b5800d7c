import { CoreError, PlanError, type Problem } from '../errors.js';
import { ringOf } from '../kit/index.js';
import { formatTime } from '../units/index.js';
import { planShape } from './planShape.js';
import { type LineTarget, rackEndS, type ShotPlan } from './shotPlan.js';

/** Rounding forgiven between times, in seconds: far below a frame. */
const TIME_SLACK_S = 1e-6;

/**
 * Everything that is wrong with a plan, in its form first; what its parts say of each other is looked at only when the form is right.
 *
 * @param value - anything, as it came from a file or over the wire
 * @returns an empty list for a plan that can be stored and judged
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

function opticsProblems({ optics: { lens, stop } }: ShotPlan): Problem[] {
  const problems: Problem[] = [];
  if (lens.widestStop > lens.narrowestStop) {
    problems.push({
      code: 'stops-swapped',
      path: 'optics.lens.widestStop',
      message: `the widest stop ${lens.widestStop} is narrower than ${lens.narrowestStop}`,
      need: 'the smaller number as the widest',
    });
  } else if (stop < lens.widestStop || stop > lens.narrowestStop) {
    problems.push({
      code: 'outside-lens',
      path: 'optics.stop',
      message: `the lens does not offer ${stop}`,
      need: `${lens.widestStop} to ${lens.narrowestStop}`,
    });
  }
  const lifeSizeMm = 4 * lens.focalLengthMm + lens.principalSeparationMm;
  const nearestMm =
    lens.ring.kind === 'table' ? Math.min(...lens.ring.points.map((point) => point.distanceMm ?? Infinity)) : lens.closeFocusMm;
  if (nearestMm < lifeSizeMm) {
    problems.push({
      code: 'closer-than-life-size',
      path: 'optics.lens.closeFocusMm',
      message: `got ${nearestMm}`,
      need: `at least ${lifeSizeMm} (four focal lengths)`,
    });
  } else if (lens.ring.kind === 'table') {
    problems.push(...ringProblems(lens));
  }
  return problems;
}

function ringProblems(lens: ShotPlan['optics']['lens']): Problem[] {
  try {
    ringOf(lens);
    return [];
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    const { code, path, message, need } = error;
    return [{ code, path: `optics.lens.ring.${path}`, message: message.slice(path.length + 2), need }];
  }
}

function idProblems(plan: ShotPlan): Problem[] {
  const lists: [string, readonly { id: string }[]][] = [
    ['subjects', plan.subjects],
    ['marks', plan.marks],
    ['beats', plan.beats],
    ['line.moves', plan.line.moves],
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
  const needTarget = (path: string, target: LineTarget | null) => {
    if (target?.kind === 'mark') needMark(`${path}.markId`, target.markId);
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
  needTarget('line.start', plan.line.start);
  plan.line.moves.forEach((move, index) => needTarget(`line.moves[${index}].target`, move.target));
  if (plan.line.start === null && plan.line.moves.length > 0) {
    problems.push({
      code: 'no-start',
      path: 'line.start',
      message: 'the line has moves and no start',
      need: 'a mark or a distance to start from',
    });
  }
  return problems;
}

function timeProblems(plan: ShotPlan): Problem[] {
  const problems: Problem[] = [];
  const spanProblem = (path: string, fromS: number, toS: number, allowEmpty: boolean) => {
    if (allowEmpty ? toS < fromS : toS <= fromS)
      problems.push({
        code: 'ends-before-start',
        path,
        message: `it ends at ${formatTime(toS)} and starts at ${formatTime(fromS)}`,
        need: 'an end after its start',
      });
    else if (toS > plan.durationS + TIME_SLACK_S)
      problems.push({
        code: 'after-the-end',
        path,
        message: `it ends at ${formatTime(toS)}, after the shot`,
        need: `at most ${formatTime(plan.durationS)}`,
      });
  };
  plan.beats.forEach((beat, index) => spanProblem(`beats[${index}].toS`, beat.fromS, beat.toS, false));
  plan.subjects.forEach((subject, at) =>
    subject.stays.forEach((stay, index) => {
      const path = `subjects[${at}].stays[${index}]`;
      spanProblem(`${path}.untilS`, stay.fromS, stay.untilS, true);
      const before = subject.stays[index - 1];
      if (before && stay.fromS < before.untilS - TIME_SLACK_S)
        problems.push({
          code: 'overlap',
          path: `${path}.fromS`,
          message: `it starts at ${formatTime(stay.fromS)}, before the stay before it ends`,
          need: `at least ${formatTime(before.untilS)}`,
        });
    }),
  );
  plan.line.moves.forEach((move, index) => {
    const path = `line.moves[${index}]`;
    spanProblem(`${path}.durationS`, move.startS, rackEndS(move), false);
    const before = plan.line.moves[index - 1];
    if (before && move.startS < rackEndS(before) - TIME_SLACK_S)
      problems.push({
        code: 'overlap',
        path: `${path}.startS`,
        message: `it starts at ${formatTime(move.startS)}, before the move before it lands`,
        need: `at least ${formatTime(rackEndS(before))}`,
      });
  });
  return problems;
}
