import { describeGiven, type Problem } from './errors.js';

/**
 * Declared shape of a JSON value. It checks a value from outside and reports every problem. Each shape is declared against its
 * type, so that the two can't differ.
 */
export interface Shape<T> {
  /** Appends the problems of the value to `problems`. */
  check(value: unknown, path: string, problems: Problem[]): void;
  /** For the compiler only: ties the shape to its type. */
  readonly type?: T;
}

/** Closed range of a quantity. */
export interface Limit {
  readonly min: number;
  readonly max: number;
  readonly whole?: boolean;
}

export function quantity({ min, max, whole = false }: Limit): Shape<number> {
  const need = `a ${whole ? 'whole ' : ''}number from ${min} to ${max}`;
  return {
    check(value, path, problems) {
      const code =
        typeof value !== 'number' || !Number.isFinite(value)
          ? 'not-a-number'
          : value < min || value > max
            ? 'out-of-range'
            : null;
      if (code) problems.push({ code, path, message: `got ${describeGiven(value)}`, need });
      else if (whole && !Number.isInteger(value))
        problems.push({ code: 'not-whole', path, message: `got ${describeGiven(value)}`, need });
    },
  };
}

/** A null character or half a surrogate pair: no database can store it in text. */
export const UNSTORABLE = /\0|[\ud800-\udfff]/u;

export function text({ min = 0, max }: { min?: number; max: number }): Shape<string> {
  const need = min > 0 ? `text of ${min} to ${max} characters` : `text of at most ${max} characters`;
  return {
    check(value, path, problems) {
      if (typeof value !== 'string') problems.push({ code: 'not-text', path, message: `got ${describeGiven(value)}`, need });
      else if (value.trim().length < min) problems.push({ code: 'too-short', path, message: 'the text is empty', need });
      else if (UNSTORABLE.test(value))
        problems.push({ code: 'bad-characters', path, message: 'it holds characters that no text has', need: 'plain text' });
      else if (value.length > max)
        problems.push({ code: 'too-long', path, message: `the text has ${value.length} characters`, need });
    },
  };
}

export function oneOf<const T extends string | number>(...values: readonly T[]): Shape<T> {
  return {
    check(value, path, problems) {
      if ((values as readonly unknown[]).includes(value)) return;
      problems.push({
        code: 'not-a-choice',
        path,
        message: `got ${describeGiven(value)}`,
        need: values.join(', ').replace(/, ([^,]*)$/, ' or $1'),
      });
    },
  };
}

export function boolean(): Shape<boolean> {
  return {
    check(value, path, problems) {
      if (typeof value !== 'boolean')
        problems.push({ code: 'not-yes-or-no', path, message: `got ${describeGiven(value)}`, need: 'true or false' });
    },
  };
}

export function nullable<T>(shape: Shape<T>): Shape<T | null> {
  return {
    check(value, path, problems) {
      if (value !== null) shape.check(value, path, problems);
    },
  };
}

export function list<T>(shape: Shape<T>, { min = 0, max }: { min?: number; max: number }): Shape<readonly T[]> {
  return {
    check(value, path, problems) {
      if (!Array.isArray(value)) {
        problems.push({ code: 'not-a-list', path, message: `got ${describeGiven(value)}`, need: 'a list' });
      } else if (value.length > max) {
        problems.push({ code: 'too-many', path, message: `the list has ${value.length} items`, need: `at most ${max}` });
      } else if (value.length < min) {
        problems.push({ code: 'too-few', path, message: `the list has ${value.length} items`, need: `at least ${min}` });
      } else {
        // not forEach, which skips holes
        for (let index = 0; index < value.length; index++) shape.check(value[index], `${path}[${index}]`, problems);
      }
    },
  };
}

/** Every field is required, and no other fields are allowed. */
export function object<T extends object>(fields: { readonly [K in keyof T]-?: Shape<T[K]> }): Shape<T> {
  return {
    check(value, path, problems) {
      if (!isRecord(value)) {
        problems.push({
          code: 'not-an-object',
          path,
          message: `got ${describeGiven(value)}`,
          need: `an object with ${Object.keys(fields).join(', ')}`,
        });
        return;
      }
      for (const key of Object.keys(value)) {
        if (!Object.hasOwn(fields, key)) {
          problems.push({
            code: 'unknown-field',
            path: join(path, key),
            message: 'this field is not known',
            need: `only ${Object.keys(fields).join(', ')}`,
          });
        }
      }
      for (const key of Object.keys(fields) as (keyof T & string)[]) {
        if (Object.hasOwn(value, key)) fields[key].check(value[key], join(path, key), problems);
        else
          problems.push({
            code: 'missing-field',
            path: join(path, key),
            message: 'this field is missing',
            need: 'a value for it',
          });
      }
    },
  };
}

/** One of several objects, distinguished by `kind`. */
export function variant<T extends { readonly kind: string }>(shapes: {
  readonly [K in T['kind']]: Shape<Extract<T, { kind: K }>>;
}): Shape<T> {
  return {
    check(value, path, problems) {
      const kind = isRecord(value) ? value['kind'] : undefined;
      if (typeof kind === 'string' && Object.hasOwn(shapes, kind)) shapes[kind as T['kind']].check(value, path, problems);
      else
        problems.push({
          code: 'not-a-choice',
          path: join(path, 'kind'),
          message: `got ${describeGiven(kind)}`,
          need: Object.keys(shapes).join(' or '),
        });
    },
  };
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function join(path: string, key: string): string {
  return path === '' ? key : `${path}.${key}`;
}
