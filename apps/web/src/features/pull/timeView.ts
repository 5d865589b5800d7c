import type { TimeView } from '../shot/sessionSlice';

/** The shortest stretch that is shown. */
const SHORTEST_S = 0.5;

/** A stretch drawn larger or smaller around a time, within the shot; null for all of it. */
export function zoomed(view: TimeView, factor: number, aroundS: number, durationS: number): TimeView | null {
  const lengthS = Math.max((view.toS - view.fromS) / factor, Math.min(SHORTEST_S, durationS));
  if (lengthS >= durationS - 1e-6) return null;
  const share = (aroundS - view.fromS) / (view.toS - view.fromS);
  return moved({ fromS: aroundS - lengthS * share, toS: aroundS + lengthS * (1 - share) }, 0, durationS);
}

/** A stretch moved along, within the shot. */
export function moved({ fromS, toS }: TimeView, byS: number, durationS: number): TimeView {
  const lengthS = toS - fromS;
  const startS = Math.min(Math.max(fromS + byS, 0), durationS - lengthS);
  return { fromS: startS, toS: startS + lengthS };
}
