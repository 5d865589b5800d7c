import type { Support } from '@still-heron/core';
import { personOutline } from './personOutline';
import type { ZoneLayout } from './zoneLayout';
import styles from './ZoneDrawing.module.css';
import zoneStyles from '../../charts/zone.module.css';

interface Props {
  readonly support: Support;
  readonly layout: ZoneLayout;
}

/** The camera from the side, with what carries it. */
export function CameraDrawing({ support, layout }: Props) {
  const { cameraX, eyeY, pxPerMm } = layout;
  const unit = Math.max(pxPerMm * 100, 7);
  return (
    <g className={zoneStyles.zoneCamera}>
      <SupportDrawing support={support} layout={layout} unit={unit} />
      <rect
        x={cameraX - unit * 2.4}
        y={eyeY - unit * 0.8}
        width={unit * 2.4}
        height={unit * 1.6}
        rx={2}
        className={zoneStyles.zoneSolid}
      />
      <rect x={cameraX} y={eyeY - unit * 0.55} width={unit * 1.3} height={unit * 1.1} rx={1} className={zoneStyles.zoneSolid} />
      <line x1={cameraX} x2={cameraX} y1={eyeY - unit * 1.5} y2={eyeY + unit * 1.5} className={styles.zoneImagePlane} />
    </g>
  );
}

/** Legs, a dolly, or the person who carries it. A crane, a vehicle and a cable reach out of the drawing. */
function SupportDrawing({ support, layout: { cameraX, eyeY, groundY, pxPerMm }, unit }: Props & { readonly unit: number }) {
  const headX = cameraX - unit;
  const headY = eyeY + unit * 0.6;
  switch (support) {
    case 'legs':
    case 'slider':
      return (
        <>
          <path
            d={`M${headX},${headY}L${headX - unit * 1.6},${groundY}M${headX},${headY}L${headX + unit * 1.6},${groundY}M${headX},${headY}V${groundY}`}
          />
          {support === 'slider' && <path d={`M${headX - unit * 3},${headY + 3}H${headX + unit * 3}`} strokeWidth={3} />}
        </>
      );
    case 'dolly':
      return (
        <>
          <path
            d={`M${headX},${headY}V${groundY - unit}M${headX - unit * 3},${groundY - unit}H${headX + unit * 3}`}
            strokeWidth={3}
          />
          {[-2.3, 2.3].map((at) => (
            <circle key={at} cx={headX + unit * at} cy={groundY - unit * 0.5} r={unit * 0.5} />
          ))}
        </>
      );
    case 'shoulder':
    case 'handheld':
    case 'palm-and-fingers':
    case 'stabiliser': {
      const eyeX = cameraX - unit * 2.4 - 60 * pxPerMm;
      return (
        <>
          <path d={personOutline(eyeX, groundY, pxPerMm, 1)} className={styles.zoneOperator} />
          <circle cx={eyeX - 80 * pxPerMm} cy={groundY - 1640 * pxPerMm} r={105 * pxPerMm} className={styles.zoneOperator} />
        </>
      );
    }
    default:
      return null;
  }
}
