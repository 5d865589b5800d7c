/** What is wrong with a value. A page, an API answer and a log line can all print it. */
export interface Problem {
  /** Short and stable, in kebab case, for programs. */
  readonly code: string;
  /** Where it is: the name of an argument, or a path into a plan (`focusTrack.pulls[1].startS`). */
  readonly path: string;
  /** What is wrong, as a sentence without a full stop. */
  readonly message: string;
  /** What would be accepted, as a phrase. */
  readonly need: string;
}

/** The caller's value is invalid. The core throws this; it never returns NaN instead. */
export class CoreError extends Error implements Problem {
  readonly code: string;
  readonly path: string;
  readonly need: string;

  constructor(problem: Problem) {
    super(`${problem.path}: ${problem.message}, need ${problem.need}`);
    this.name = 'CoreError';
    this.code = problem.code;
    this.path = problem.path;
    this.need = problem.need;
  }
}

/** A plan breaks one or more rules. `problems` lists all of them. */
export class PlanError extends CoreError {
  readonly problems: readonly Problem[];

  constructor(problems: readonly [Problem, ...Problem[]]) {
    super(problems[0]);
    this.name = 'PlanError';
    this.problems = problems;
  }
}

/** Prints an invalid value for a message: numbers as they are, other values by their type. */
export function describeGiven(value: unknown): string {
  if (typeof value === 'number') return String(value);
  if (typeof value === 'string') return JSON.stringify(value.length > 40 ? `${value.slice(0, 40)}…` : value);
  if (value === null || value === undefined) return String(value);
  return Array.isArray(value) ? 'a list' : `a value of type ${typeof value}`;
}

/**
 * Throws unless `value` is a finite number within `min..max` (both allowed; `above` excludes the lower end).
 *
 * @throws {CoreError} `not-a-number`, `out-of-range`
 */
export function assertInRange(path: string, value: number, range: { min?: number; above?: number; max?: number }): void {
  // the texts are built only on failure: this check runs millions of times a second
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new CoreError({ code: 'not-a-number', path, message: `got ${describeGiven(value)}`, need: describeRange(range) });
  }
  const tooLow = range.above !== undefined ? value <= range.above : value < (range.min ?? -Infinity);
  if (tooLow || value > (range.max ?? Infinity)) {
    throw new CoreError({ code: 'out-of-range', path, message: `got ${value}`, need: describeRange(range) });
  }
}

function describeRange({ min, above, max }: { min?: number; above?: number; max?: number }): string {
  const low = above !== undefined ? `above ${above}` : min !== undefined ? `at least ${min}` : '';
  const high = max !== undefined ? `at most ${max}` : '';
  return ['a number', [low, high].filter(Boolean).join(' and ')].filter(Boolean).join(' ');
}
