import { describeGiven, type Problem, type Range } from './problems.js';

/**
 * The caller's value is invalid. The core throws this; it never returns NaN instead. Its message is for developers: code, path
 * and values. `packages/wording` writes one for users.
 */
export class CoreError extends Error {
  readonly code: Problem['code'];
  readonly path: string;

  constructor(readonly problem: Problem) {
    super(`${problem.path}: ${problem.code}${printValues(problem.values)}`);
    this.name = 'CoreError';
    this.code = problem.code;
    this.path = problem.path;
  }
}

/** A plan, take or kit item breaks one or more rules. `problems` lists all of them. */
export class PlanError extends CoreError {
  readonly problems: readonly Problem[];

  constructor(problems: readonly [Problem, ...Problem[]]) {
    super(problems[0]);
    this.name = 'PlanError';
    this.problems = problems;
  }
}

/**
 * Throws unless `value` is a finite number within `min..max` (both allowed; `above` excludes the lower end).
 *
 * @throws {CoreError} `not-a-number`, `out-of-range`
 */
export function assertInRange(path: string, value: number, range: Pick<Range, 'min' | 'above' | 'max'>): void {
  // the values are built only on failure: this check runs millions of times a second
  if (typeof value !== 'number' || !Number.isFinite(value))
    throw new CoreError({ code: 'not-a-number', path, values: { given: describeGiven(value), ...range } });
  const tooLow = range.above !== undefined ? value <= range.above : value < (range.min ?? -Infinity);
  if (tooLow || value > (range.max ?? Infinity))
    throw new CoreError({ code: 'out-of-range', path, values: { given: String(value), ...range } });
}

/** ` (given 150, min 200)`; nothing if there are no values. */
function printValues(values: object): string {
  const listed = Object.entries(values).map(
    ([name, value]) => `${name} ${Array.isArray(value) ? value.join(', ') : String(value)}`,
  );
  return listed.length > 0 ? ` (${listed.join(', ')})` : '';
}
