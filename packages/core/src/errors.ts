/** What was wrong with a value, in a form that a page, an API answer and a log line can all print. */
export interface Problem {
  /** Short and stable, in kebab case, for programs. */
  readonly code: string;
  /** Where: the name of the argument, or the path into a plan (`line.moves[1].startS`). */
  readonly path: string;
  /** What is wrong, as a sentence without a full stop. */
  readonly message: string;
  /** What would do, as a phrase. */
  readonly need: string;
}

/** The caller's value can't be computed with. Nothing in the core returns NaN instead of throwing this. */
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

/** A plan breaks a rule. All problems found are listed, not only the first. */
export class PlanError extends CoreError {
  readonly problems: readonly Problem[];

  constructor(problems: readonly [Problem, ...Problem[]]) {
    super(problems[0]);
    this.name = 'PlanError';
    this.problems = problems;
  }
}

/** Prints a given value for a message: numbers plainly, anything else by its type. */
export function describeGiven(value: unknown): string {
  if (typeof value === 'number') return String(value);
  if (typeof value === 'string') return JSON.stringify(value.length > 40 ? `${value.slice(0, 40)}…` : value);
  if (value === null || value === undefined) return String(value);
  return Array.isArray(value) ? 'a list' : `a value of type ${typeof value}`;
}

/**
 * Stops on anything but a finite number in `min..max` (both allowed; `above` excludes the lower end).
 *
 * @throws {CoreError} `not-a-number`, `out-of-range`
 */
export function assertInRange(path: string, value: number, range: { min?: number; above?: number; max?: number }): void {
  // said only when it is needed: this is asked millions of times a second
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
