/** Items of two lists, matched by their ids. */
export function matchItems<T extends { readonly id: string }>(
  before: readonly T[],
  after: readonly T[],
): { readonly added: readonly T[]; readonly removed: readonly T[]; readonly kept: readonly (readonly [was: T, is: T])[] } {
  const was = new Map(before.map((item) => [item.id, item]));
  const is = new Set(after.map(({ id }) => id));
  return {
    added: after.filter(({ id }) => !was.has(id)),
    removed: before.filter(({ id }) => !is.has(id)),
    kept: after.flatMap((item) => {
      const old = was.get(item.id);
      return old ? [[old, item] as const] : [];
    }),
  };
}
