import { type Take, unpackTrack } from '@still-heron/core';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useMemo } from 'react';
import styles from './TrackStrip.module.css';

const [WIDTH, HEIGHT, MARGIN] = [600, 48, 3];
/** Points that are drawn: more than one in two pixels is not seen. */
const POINTS = 300;

/** The ring of a take over its time, as a ground for its spans. Nothing without a track. */
export function TrackStrip({ take }: { readonly take: Pick<Take, 'durationS'> & Partial<Pick<Take, 'track'>> }) {
  const { track, durationS } = take;
  const path = useMemo(() => (track ? pathOf(track, durationS) : null), [track, durationS]);
  if (path === null) return null;
  return (
    <svg
      className={styles.strip}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      role="img"
      aria-label="The ring over the time of the take"
    >
      <path d={path} vectorEffect="non-scaling-stroke" />
    </svg>
  );
}

function pathOf(packed: string, durationS: number): string | null {
  const { hz, ringDeg } = unpackTrack(packed);
  const [low = 0, high = 1] = extent(ringDeg);
  const y = scaleLinear([low, Math.max(high, low + 1)], [HEIGHT - MARGIN, MARGIN]);
  const x = scaleLinear([0, Math.max(durationS, 1 / hz)], [0, WIDTH]);
  const every = Math.max(1, Math.ceil(ringDeg.length / POINTS));
  const points = [...ringDeg.keys()].filter((k) => k % every === 0);
  return line<number>(
    (k) => x(k / hz),
    (k) => y(ringDeg[k]!),
  )(points);
}
