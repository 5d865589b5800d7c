import { arrayContains, asc, desc, eq, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import { takes } from '../database/schema.js';

/** Filters of the log. */
export interface TakeFilter {
  /** Text in slate, title or note */
  readonly search: string;
  readonly isCircled: boolean | null;
  /** A grade; `not-said` for takes of which nobody said and no track shows it */
  readonly focus: string | null;
  /** A fault at a pull or elsewhere, such as `late` */
  readonly fault: string | null;
  /** Takes by a simulator alone, or those of them left out */
  readonly isSimulated: boolean | null;
  /** Name of a lens; null for any */
  readonly lens: string | null;
  readonly method: string | null;
  readonly puller: string | null;
}

/** Sort orders of the log. */
export const LOG_ORDERS = ['newest', 'oldest', 'likeliest', 'unlikeliest'] as const;
export type LogOrder = (typeof LOG_ORDERS)[number];

/** Rows of a page of the log. */
export interface PageRange {
  readonly limit: number;
  readonly offset: number;
}

/** Columns by which each order sorts. */
export const ORDERS: Readonly<Record<LogOrder, readonly SQL[]>> = {
  newest: [desc(takes.rolledAt), desc(takes.number)],
  oldest: [asc(takes.rolledAt), asc(takes.number)],
  likeliest: [sql`${takes.predictedKeepRate} desc nulls last`, desc(takes.rolledAt)],
  unlikeliest: [sql`${takes.predictedKeepRate} asc nulls last`, desc(takes.rolledAt)],
};

/**
 * What a filter asks of a take.
 *
 * @param known - shots of the production: a text is looked for in their slates and titles as well
 */
export function conditionsOf(
  { search, isCircled, isSimulated, focus, fault, lens, method, puller }: TakeFilter,
  known: readonly { readonly id: string; readonly slate: string; readonly title: string }[],
): (SQL | undefined)[] {
  const words = search.toLowerCase();
  const named = known.filter(({ slate, title }) => `${slate} ${title}`.toLowerCase().includes(words)).map(({ id }) => id);
  const inNote = sql`strpos(lower(${takes.take}->>'note'), ${words}) > 0`;
  const found = named.length === 0 ? inNote : or(inArray(takes.shotId, named), inNote);
  return [
    search === '' ? undefined : found,
    isCircled === null ? undefined : eq(takes.isCircled, isCircled),
    isSimulated === null ? undefined : eq(takes.isSimulated, isSimulated),
    focusIs(focus),
    lens === null ? undefined : eq(takes.lens, lens),
    method === null ? undefined : eq(takes.method, method),
    puller === null ? undefined : eq(takes.puller, puller),
    fault === null ? undefined : arrayContains(takes.faults, [fault]),
  ];
}

function focusIs(focus: string | null): SQL | undefined {
  if (focus === null) return undefined;
  return focus === 'not-said' ? isNull(takes.focus) : eq(takes.focus, focus);
}
