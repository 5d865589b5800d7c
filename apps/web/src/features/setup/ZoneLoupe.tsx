import { faceText } from '@still-heron/wording';
import { formatGap, type UnitSystem } from '@still-heron/core';
import { scaleLinear } from 'd3-scale';
import { useSize } from '../../shared/useSize';
import type { ZoneFigures } from './zoneFigures';
import styles from './ZoneLoupe.module.css';
import textStyles from '../../ui/text.module.css';
import zoneStyles from '../../charts/zone.module.css';

const HEIGHT = 150;
/** Pixels per mm: for a whole head; maximum; and width for a thin zone. */
const WHOLE_HEAD = 0.58;
const NEAREST = 1.5;
const THIN_PX = 40;
/** Profile of a head: nose in front of the eye, ear behind it. Typical adult values. */
const NOSE_MM = 35;
const EAR_MM = 85;
const BACK_MM = 165;

interface Props {
  readonly figures: ZoneFigures;
  readonly units: UnitSystem;
}

/** Enlarged zone with a head to scale, its eye in the plane of focus. */
export function ZoneLoupe({ figures: { zone, focusMm }, units }: Props) {
  const { ref, size } = useSize();
  return (
    <figure className={styles.zoneLoupe} ref={ref}>
      {size &&
        size.width > 200 &&
        (focusMm === Infinity || zone.totalMm > 6000 ? (
          <p className={textStyles.muted}>The zone is so deep that a whole head is inside it.</p>
        ) : (
          <Loupe width={size.width} zone={zone} units={units} />
        ))}
    </figure>
  );
}

function Loupe({
  width,
  zone,
  units,
}: {
  readonly width: number;
  readonly zone: ZoneFigures['zone'];
  readonly units: UnitSystem;
}) {
  const { inFrontMm, behindMm } = zone;
  const totalMm = inFrontMm + behindMm;
  // a whole head for a normal zone; enlarged for a thin one, reduced for a deep one
  const pxPerMm = Math.min(Math.min(Math.max(THIN_PX / totalMm, WHOLE_HEAD), NEAREST), (width * 0.62) / totalMm);
  const x = scaleLinear([-1, 1], [width / 2 - pxPerMm, width / 2 + pxPerMm]);
  const eyeY = HEIGHT * 0.5;
  // outside the zone and behind the head
  const behindX = Math.max(x(behindMm), x(BACK_MM)) + 12;
  const isNoseSharp = inFrontMm >= NOSE_MM;
  const isEarSharp = behindMm >= EAR_MM;
  const both = faceText(isNoseSharp, isEarSharp);
  return (
    <>
      <svg width={width} height={HEIGHT} role="img" aria-label={`A head in the zone: ${both}`}>
        <rect x={x(-inFrontMm)} width={x(behindMm) - x(-inFrontMm)} y={0} height={HEIGHT} className={zoneStyles.zoneBand} />
        <Head x={x} eyeY={eyeY} scale={pxPerMm} />
        <line x1={x(0)} x2={x(0)} y1={0} y2={HEIGHT} className={styles.zonePlane} />
        <text x={x(-inFrontMm) - 8} y={20} textAnchor="end" className={styles.zoneLimitFigure}>
          {formatGap(inFrontMm, units)}
        </text>
        <text x={x(-inFrontMm) - 8} y={37} textAnchor="end" className={textStyles.chartLabel}>
          in front
        </text>
        <text x={behindX} y={20} className={styles.zoneLimitFigure}>
          {formatGap(behindMm, units)}
        </text>
        <text x={behindX} y={37} className={textStyles.chartLabel}>
          behind
        </text>
      </svg>
      <figcaption>
        Focused on the eye, <strong>{both}</strong>.
      </figcaption>
    </>
  );
}

function Head({ x, eyeY, scale }: { readonly x: (mm: number) => number; readonly eyeY: number; readonly scale: number }) {
  const at = (behindMm: number, upMm: number) => `${x(behindMm)},${eyeY - upMm * scale}`;
  const profile = [
    `M${at(90, -200)}`,
    `L${at(85, -120)}`,
    `C${at(60, -128)} ${at(20, -125)} ${at(-2, -112)}`,
    `C${at(-14, -105)} ${at(-16, -92)} ${at(-10, -84)}`,
    `L${at(-16, -74)}L${at(-10, -66)}L${at(-14, -56)}`,
    `C${at(-16, -48)} ${at(-NOSE_MM, -46)} ${at(-NOSE_MM, -36)}`,
    `C${at(-28, -22)} ${at(-16, -6)} ${at(-12, 8)}`,
    `C${at(-18, 26)} ${at(-12, 62)} ${at(14, 84)}`,
    `C${at(60, 112)} ${at(150, 96)} ${at(BACK_MM, 22)}`,
    `C${at(172, -30)} ${at(146, -72)} ${at(136, -96)}`,
    `L${at(140, -200)}`,
  ];
  return (
    <g className={styles.zoneHead}>
      <path d={profile.join('')} />
      <path
        d={`M${at(EAR_MM - 12, 2)}C${at(EAR_MM + 4, 18)} ${at(EAR_MM + 22, -2)} ${at(EAR_MM + 8, -22)}C${at(EAR_MM + 2, -36)} ${at(EAR_MM - 10, -40)} ${at(EAR_MM - 8, -28)}`}
      />
      <circle cx={x(2)} cy={eyeY} r={Math.max(2.5, 6 * scale)} className={styles.zoneEye} />
    </g>
  );
}
