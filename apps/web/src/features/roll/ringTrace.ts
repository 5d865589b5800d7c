/** Actual path of the ring in a roll: plan time in s, and ring angle. */
export type RingTrace = readonly (readonly [planS: number, ringDeg: number])[];

/** Plan time between two points: about one frame on the screen. */
const STEP_S = 0.015;
/** Number of points that are kept. */
const MAX_POINTS = 600;

/** The path with the ring's place now. Time that stands still, in a wait or a count-in, adds nothing. */
export function longerTrace(trace: RingTrace, planS: number, ringDeg: number | null): RingTrace {
  if (ringDeg === null || planS <= (trace.at(-1)?.[0] ?? -1) + STEP_S) return trace;
  return [...trace.slice(1 - MAX_POINTS), [planS, ringDeg]];
}
