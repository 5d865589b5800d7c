import { describeGiven, type Problem } from './problems.js';

/**
 * Declared shape of a JSON value. It checks a value from outside and reports every problem. Each shape is declared against its
 * type, so that the two can't differ.
 */
export interface Shape<T> {
  /** Appends the problems of the value to `problems`. */
  check(value: unknown, path: string, problems: Problem[]): void;
  /** The same as JSON Schema (2020-12), for descriptions of the API */
  readonly schema: JsonSchema;
  /** For the compiler only: ties the shape to its type. */
  readonly type?: T;
}

/** A JSON Schema, as far as shapes need it. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/** Closed range of a quantity. */
export interface Limit {
  readonly min: number;
  readonly max: number;
  readonly whole?: boolean;
}

export function quantity({ min, max, whole = false }: Limit): Shape<number> {
  return {
    schema: { type: whole ? 'integer' : 'number', minimum: min, maximum: max },
    check(value, path, problems) {
      const values = { given: describeGiven(value), min, max, isWhole: whole };
      if (typeof value !== 'number' || !Number.isFinite(value)) problems.push({ code: 'not-a-number', path, values });
      else if (value < min || value > max) problems.push({ code: 'out-of-range', path, values });
      else if (whole && !Number.isInteger(value)) problems.push({ code: 'not-whole', path, values });
    },
  };
}

/** What no text may contain: control characters except tab and line break, and half a surrogate pair. */
export const UNSTORABLE = /[\0-\x08\v\f\x0e-\x1f\x7f-\x9f]|[\ud800-\udfff]/u;

/** Spaces, and characters that show nothing, such as one of no width or a blank of another script. */
const UNSEEN = /[\p{Z}\p{Cc}\p{Cf}\u034f\u115f\u1160\u2800\u3164\uffa0]/gu;

/** Length of a text without spaces and without characters that show nothing. */
export function seenLength(text: string): number {
  return text.replace(UNSEEN, '').length;
}

export function text({ min = 0, max }: { min?: number; max: number }): Shape<string> {
  return {
    schema: { type: 'string', minLength: min, maxLength: max },
    check(value, path, problems) {
      if (typeof value !== 'string') problems.push({ code: 'not-text', path, values: { given: describeGiven(value), min, max } });
      else if (min > 0 && (value.trim().length < min || seenLength(value) === 0))
        problems.push({ code: 'too-short', path, values: { min, max } });
      else if (UNSTORABLE.test(value)) problems.push({ code: 'bad-characters', path, values: {} });
      else if (value.length > max) problems.push({ code: 'too-long', path, values: { length: value.length, min, max } });
    },
  };
}

export function oneOf<const T extends string | number>(...values: readonly T[]): Shape<T> {
  return {
    schema: { enum: values },
    check(value, path, problems) {
      if ((values as readonly unknown[]).includes(value)) return;
      problems.push({ code: 'not-a-choice', path, values: { given: describeGiven(value), choices: values.map(String) } });
    },
  };
}

export function boolean(): Shape<boolean> {
  return {
    schema: { type: 'boolean' },
    check(value, path, problems) {
      if (typeof value !== 'boolean') problems.push({ code: 'not-yes-or-no', path, values: { given: describeGiven(value) } });
    },
  };
}

export function nullable<T>(shape: Shape<T>): Shape<T | null> {
  return {
    schema: { anyOf: [shape.schema, { type: 'null' }] },
    check(value, path, problems) {
      if (value !== null) shape.check(value, path, problems);
    },
  };
}

export function list<T>(shape: Shape<T>, { min = 0, max }: { min?: number; max: number }): Shape<readonly T[]> {
  return {
    schema: { type: 'array', items: shape.schema, minItems: min, maxItems: max },
    check(value, path, problems) {
      if (!Array.isArray(value)) {
        problems.push({ code: 'not-a-list', path, values: { given: describeGiven(value) } });
      } else if (value.length > max) {
        problems.push({ code: 'too-many', path, values: { count: value.length, max, counted: 'items' } });
      } else if (value.length < min) {
        problems.push({ code: 'too-few', path, values: { count: value.length, min, counted: 'items' } });
      } else {
        // not forEach, which skips holes
        for (let index = 0; index < value.length; index++) shape.check(value[index], `${path}[${index}]`, problems);
      }
    },
  };
}

/** Every field is required, and no other fields are allowed. */
export function object<T extends object>(fields: { readonly [K in keyof T]-?: Shape<T[K]> }): Shape<T> {
  const shapes = Object.entries<Shape<unknown>>(fields);
  return {
    schema: {
      type: 'object',
      properties: Object.fromEntries(shapes.map(([key, { schema }]) => [key, schema])),
      required: Object.keys(fields),
      additionalProperties: false,
    },
    check(value, path, problems) {
      if (!isRecord(value)) {
        problems.push({ code: 'not-an-object', path, values: { given: describeGiven(value), fields: Object.keys(fields) } });
        return;
      }
      for (const key of Object.keys(value)) {
        if (!Object.hasOwn(fields, key)) {
          problems.push({ code: 'unknown-field', path: join(path, key), values: { fields: Object.keys(fields) } });
        }
      }
      for (const key of Object.keys(fields) as (keyof T & string)[]) {
        if (Object.hasOwn(value, key)) fields[key].check(value[key], join(path, key), problems);
        else problems.push({ code: 'missing-field', path: join(path, key), values: {} });
      }
    },
  };
}

/** One of several objects, distinguished by `kind`. */
export function variant<T extends { readonly kind: string }>(shapes: {
  readonly [K in T['kind']]: Shape<Extract<T, { kind: K }>>;
}): Shape<T> {
  return {
    schema: { oneOf: Object.values<Shape<unknown>>(shapes).map(({ schema }) => schema) },
    check(value, path, problems) {
      const kind = isRecord(value) ? value['kind'] : undefined;
      if (typeof kind === 'string' && Object.hasOwn(shapes, kind)) shapes[kind as T['kind']].check(value, path, problems);
      else
        problems.push({
          code: 'not-a-choice',
          path: join(path, 'kind'),
          values: { given: describeGiven(kind), choices: Object.keys(shapes) },
        });
    },
  };
}

/** Whether a value is an object with fields: neither null nor a list. */
export function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function join(path: string, key: string): string {
  return path === '' ? key : `${path}.${key}`;
}
