/** An object of a saved file, of which nothing is known yet. */
export type Json = Readonly<Record<string, unknown>>;

/** A copy with some keys renamed; keys that are missing stay missing. */
export function renamed(item: Json, names: Readonly<Record<string, string>>): Json {
  return Object.fromEntries(Object.entries(item).map(([key, value]) => [names[key] ?? key, value]));
}

/** Items of a list of a saved object; none if it is no list. An item that is no object counts as an empty one. */
export function itemsOf(parent: Json, key: string): Json[] {
  return (Array.isArray(parent[key]) ? (parent[key] as unknown[]) : []).map((item) => (isRecord(item) ? item : {}));
}

export function isRecord(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
