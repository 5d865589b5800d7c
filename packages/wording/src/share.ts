/**
 * A share of takes: "90 of 100 takes". Rounding never claims none or all of them.
 *
 * @param share - 0 to 1
 */
export function takesOf100(share: number): string {
  return `${of100(share)} takes`;
}

/** "90 of 100". */
export function of100(share: number): string {
  const isInside = share > 0 && share < 1;
  const hundredths = Math.round(share * 100);
  return `${isInside ? Math.min(Math.max(hundredths, 1), 99) : hundredths} of 100`;
}

/** A probability in percent, limited to 1 to 99 %, because an estimate is never certain. */
export function chanceText(chance: number): string {
  return `${Math.round(Math.min(Math.max(chance, 0.01), 0.99) * 100)} %`;
}
