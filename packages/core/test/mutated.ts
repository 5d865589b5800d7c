import { isRecord } from '../src/shape';
import { numbersFrom } from './randomPlans';

type JsonValue = null | boolean | number | string | readonly JsonValue[] | { readonly [key: string]: JsonValue };

/** A JSON Schema as the core's shapes write it. */
interface Schema {
  readonly minimum?: number;
  readonly maximum?: number;
  readonly type?: string;
  readonly enum?: readonly JsonValue[];
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly items?: Schema;
  readonly properties?: Readonly<Record<string, Schema>>;
}

/** A value in a document that can be changed, with what its schema allows there. */
interface Leaf {
  readonly path: readonly (string | number)[];
  readonly value: JsonValue;
  readonly schema: Schema;
}

/** Changes at most this many values of a document. */
const MAX_CHANGES = 4;

/**
 * A document near a valid one: one to four of its values lie at or around a limit, or are another choice, null, another list. Many of these
 * documents are invalid; the caller keeps what the checker lets in.
 *
 * @param schema - JSON Schema of the document, as the core declares it
 */
export function mutated(document: unknown, schema: unknown, seed: number): unknown {
  const next = numbersFrom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  let now = structuredClone(document) as JsonValue;
  const changes = 1 + Math.floor(next() * MAX_CHANGES);
  for (let change = 0; change < changes; change++) {
    const { path, value, schema: allowed } = pick(leavesOf(now, schema as Schema));
    now = put(now, path, otherValue(value, allowed, pick, next));
  }
  return now;
}

function otherValue(value: JsonValue, schema: Schema, pick: <T>(list: readonly T[]) => T, next: () => number): JsonValue {
  const alternatives = schema.anyOf ?? [schema];
  const one = pick(alternatives);
  if (one.type === 'null') return null;
  if (one.enum) return pick(one.enum);
  if (one.type === 'boolean') return next() < 0.5;
  if (Array.isArray(value)) return pick([[], value.slice(0, -1), value.slice(1), [...value, ...value.slice(-1)]]);
  if (one.type !== 'number' && one.type !== 'integer') return value;
  const { minimum: low = -1e9, maximum: high = 1e9 } = one;
  const between = low + (high - low) * next();
  const given = typeof value === 'number' ? value : between;
  const around = [
    low,
    high,
    low + (high - low) * 1e-9,
    high - (high - low) * 1e-9,
    between,
    0,
    given * 1.001,
    given * 0.5,
    given * 3,
  ];
  const chosen = pick(around);
  return one.type === 'integer' ? Math.round(chosen) : chosen;
}

/** Every value of a document that its schema describes. */
function leavesOf(value: JsonValue, schema: Schema, path: readonly (string | number)[] = []): Leaf[] {
  const described = schemaFor(value, schema);
  if (Array.isArray(value)) {
    const items = value.flatMap((item, index) => leavesOf(item, described.items ?? {}, [...path, index]));
    return [{ path, value, schema: described }, ...items];
  }
  if (isRecord(value)) {
    const own = path.length > 0 && schema.anyOf ? [{ path, value, schema }] : [];
    const inside = Object.entries(value).flatMap(([key, item]) =>
      leavesOf(item, described.properties?.[key] ?? {}, [...path, key]),
    );
    return [...own, ...inside];
  }
  return [{ path, value, schema }];
}

/** The schema that describes a value, if there are several: chosen by the value's kind or type. */
function schemaFor(value: JsonValue, schema: Schema): Schema {
  const choices = schema.oneOf ?? schema.anyOf;
  if (!choices) return schema;
  const kindOf = ({ properties }: Schema) => properties?.['kind']?.enum?.[0];
  const fits = (one: Schema) =>
    isRecord(value) && 'kind' in value ? kindOf(one) === value['kind'] : (one.type ?? 'object') === typeOf(value);
  const found = choices.map((one) => ((one.oneOf ?? one.anyOf) ? schemaFor(value, one) : one)).find(fits);
  return found ?? choices[0]!;
}

function typeOf(value: JsonValue): string {
  if (value === null) return 'null';
  return Array.isArray(value) ? 'array' : typeof value;
}

function put(document: JsonValue, path: readonly (string | number)[], value: JsonValue): JsonValue {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(document)) return document.map((item, index) => (index === key ? put(item, rest, value) : item));
  const record = document as Readonly<Record<string, JsonValue>>;
  return { ...record, [key]: put(record[key]!, rest, value) };
}
