/** Pause before the first further attempt, and the longest one. */
const FIRST_MS = 1500;
const LONGEST_MS = 30_000;

/**
 * Pauses between attempts at something that fails for a while: each twice as long as the one before it, up to half a minute. Then a server that
 * has trouble is left in peace, and one that was restarted is found at once.
 */
export function growingPauses() {
  let nextMs = FIRST_MS;
  return {
    nextMs(): number {
      const pauseMs = nextMs;
      nextMs = Math.min(2 * pauseMs, LONGEST_MS);
      return pauseMs;
    },
    /** It has worked: the next failure is a first one. */
    reset(): void {
      nextMs = FIRST_MS;
    },
  };
}
