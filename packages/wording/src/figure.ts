/** A number with up to three decimals, without trailing zeros. */
export function figure(value: number): string {
  return String(Number(value.toFixed(3)));
}

/** "1 take", "3 takes". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** "A, B and C". */
export function listed(items: readonly string[]): string {
  return items.join(', ').replace(/, ([^,]*)$/, ' and $1');
}
