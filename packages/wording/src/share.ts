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
  return `${inHundred(share)} of 100`;
}

/** A share as takes of 100: 0 or 100 only if it is none or all of them. */
export function inHundred(share: number): number {
  const hundredths = Math.round(share * 100);
  return share > 0 && share < 1 ? Math.min(Math.max(hundredths, 1), 99) : hundredths;
}

/** A probability in percent, limited to 1 to 99 %, because an estimate is never certain. */
export function chanceText(chance: number): string {
  return `${Math.round(Math.min(Math.max(chance, 0.01), 0.99) * 100)} %`;
}
