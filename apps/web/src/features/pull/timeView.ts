import type { TimeView } from '../shot/sessionSlice';

/** Shortest visible time span. */
const SHORTEST_S = 0.5;

/** Zooms a time span around a time, within the shot; null for the whole shot. */
export function zoomed(view: TimeView, factor: number, aroundS: number, durationS: number): TimeView | null {
  const lengthS = Math.max((view.toS - view.fromS) / factor, Math.min(SHORTEST_S, durationS));
  if (lengthS >= durationS - 1e-6) return null;
  const share = (aroundS - view.fromS) / (view.toS - view.fromS);
  return moved({ fromS: aroundS - lengthS * share, toS: aroundS + lengthS * (1 - share) }, 0, durationS);
}

/** Moves a time span within the shot. */
export function moved({ fromS, toS }: TimeView, byS: number, durationS: number): TimeView {
  const lengthS = toS - fromS;
  const startS = Math.min(Math.max(fromS + byS, 0), durationS - lengthS);
  return { fromS: startS, toS: startS + lengthS };
}
