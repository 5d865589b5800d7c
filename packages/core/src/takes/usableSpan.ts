/** An unbroken usable stretch of a take. */
export interface UsableSpan {
  readonly fromS: number;
  readonly toS: number;
}
