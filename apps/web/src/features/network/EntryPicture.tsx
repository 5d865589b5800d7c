import { useMemo } from 'react';
import { encode } from 'uqr';
import styles from './NetworkPage.module.css';

/** Modules of light around the code that a camera needs. */
const BORDER = 4;

/** QR code of an address. It stays dark on light in every light, as cameras want it. */
export function EntryPicture({ address, label }: { readonly address: string; readonly label: string }) {
  const { path, size } = useMemo(() => {
    const code = encode(address, { border: BORDER, ecc: 'M' });
    const dark = code.data.flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x} ${y}h1v1h-1z`] : [])));
    return { path: dark.join(''), size: code.size };
  }, [address]);
  return (
    <svg className={styles.picture} viewBox={`0 0 ${size} ${size}`} role="img" aria-label={label} shapeRendering="crispEdges">
      <rect width={size} height={size} fill="white" />
      <path d={path} fill="black" />
    </svg>
  );
}
