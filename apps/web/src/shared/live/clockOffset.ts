/** One exchange with the server's clock. Own times in ms of this device's clock. */
export interface ClockAnswer {
  readonly sentMs: number;
  readonly heardMs: number;
  readonly serverMs: number;
}

/** Offset between this device's clock and the server's. */
export interface ClockOffset {
  /** Added to this device's clock, it gives the server's */
  readonly offsetMs: number;
  /** Maximum error: half of the round-trip time */
  readonly withinMs: number;
}

/**
 * Best known offset: from the fastest exchange, assuming equal delay in both directions.
 *
 * @param answers - at least one
 */
export function clockOffset(answers: readonly ClockAnswer[]): ClockOffset {
  const [best] = [...answers].sort((a, b) => a.heardMs - a.sentMs - (b.heardMs - b.sentMs));
  const { sentMs, heardMs, serverMs } = best!;
  return { offsetMs: serverMs - (sentMs + heardMs) / 2, withinMs: (heardMs - sentMs) / 2 };
}

/** Monotonic time of this device in ms, unaffected by changes of the system clock. */
export function ownMs(): number {
  return performance.timeOrigin + performance.now();
}
