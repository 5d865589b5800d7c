import type { KeepRate } from '@still-heron/core';
import { useSize } from '../../shared/useSize';
import styles from './FrameShares.module.css';

const HEIGHT = 22;
/** Same margins as the time bar below. */
const INSET = { left: 114, right: 122 };

/** Share of trials that are sharp, by frame: it dips where takes are lost. */
export function FrameShares({ rate: { frames } }: { readonly rate: KeepRate }) {
  const { ref, size } = useSize();
  return (
    <div className={styles.frameShares} ref={ref}>
      {size && size.width > 300 && (
        <svg width={size.width} height={HEIGHT} role="img" aria-label="Where takes go soft">
          <title>Share of sharp takes at each frame: a dip is where takes go soft</title>
          <path d={dips(frames, size.width)} className={styles.sharesLost} />
          <path d={spans(frames, size.width)} className={styles.sharesAsked} />
        </svg>
      )}
    </div>
  );
}

function xOf(frame: number, frames: number, width: number): number {
  return INSET.left + ((width - INSET.left - INSET.right) * frame) / Math.max(frames - 1, 1);
}

/** Lost share, drawn downward from the top line. */
function dips(frames: Float64Array, width: number): string {
  let path = '';
  frames.forEach((share, frame) => {
    if (Number.isNaN(share) || share > 0.998) return;
    const x = xOf(frame, frames.length, width);
    path += `M${x.toFixed(1)},4V${(4 + (1 - share) * (HEIGHT - 5)).toFixed(1)}`;
  });
  return path;
}

/** Spans in which something must be sharp. */
function spans(frames: Float64Array, width: number): string {
  let path = '';
  for (let frame = 0; frame < frames.length; frame++) {
    const isRequired = !Number.isNaN(frames[frame]!);
    if (isRequired && (frame === 0 || Number.isNaN(frames[frame - 1]!)))
      path += `M${xOf(frame, frames.length, width).toFixed(1)},2`;
    if (isRequired && (frame === frames.length - 1 || Number.isNaN(frames[frame + 1]!)))
      path += `H${xOf(frame, frames.length, width).toFixed(1)}`;
  }
  return path;
}
