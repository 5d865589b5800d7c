/** One question to the server's clock. Own times in ms on this device's clock. */
export interface ClockAnswer {
  readonly sentMs: number;
  readonly heardMs: number;
  readonly serverMs: number;
}

/** How the clocks stand to each other. */
export interface ClockOffset {
  /** What is added to this device's clock to get the server's */
  readonly offsetMs: number;
  /** No more than this is it off by: half of how long the answer took */
  readonly withinMs: number;
}

/**
 * The offset that is known best: of the question that was answered quickest, taken to be asked half-way.
 *
 * @param answers - at least one
 */
export function clockOffset(answers: readonly ClockAnswer[]): ClockOffset {
  const [best] = [...answers].sort((a, b) => a.heardMs - a.sentMs - (b.heardMs - b.sentMs));
  const { sentMs, heardMs, serverMs } = best!;
  return { offsetMs: serverMs - (sentMs + heardMs) / 2, withinMs: (heardMs - sentMs) / 2 };
}

/** This device's clock, in ms: it never jumps, whatever is done to the time of day. */
export function ownMs(): number {
  return performance.timeOrigin + performance.now();
}
