import { formatDistance, formatStop, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { Explain } from '../../ui/fields/Explain';
import type { ZoneFigures } from './zoneFigures';
import styles from './ZoneFacts.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly figures: ZoneFigures;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

const figure = (value: number, digits: number) => String(Number(value.toPrecision(digits)));

/** Figures of the zone, each with its formula and current values. */
export function ZoneFacts({ figures, plan, units }: Props) {
  const { circleMm, airyMm } = figures;
  const { lens, stop } = plan.optics;
  const facts = factsOf(figures, plan, units);
  return (
    <div data-testid="zone-facts" className={styles.zoneFacts}>
      <dl>
        {facts.map(({ word, value, what, lines }) => (
          <div key={word}>
            <dt>{word}</dt>
            <dd className={textStyles.figure}>
              <Explain what={what} lines={lines}>
                {value}
              </Explain>
            </dd>
          </div>
        ))}
      </dl>
      {airyMm > circleMm && (
        <p className={textStyles.toneEdge} role="note">
          At {formatStop(stop, lens.stopScale)} diffraction makes every point {(airyMm * 1000).toFixed(1)} µm wide, more than the{' '}
          {(circleMm * 1000).toFixed(1)} µm of the circle of confusion: the whole picture gets a little soft. Open up for full
          sharpness.
        </p>
      )}
    </div>
  );
}

interface Fact {
  readonly word: string;
  readonly value: string;
  readonly what: string;
  readonly lines: readonly string[];
}

function factsOf(figures: ZoneFigures, plan: ShotPlan, units: UnitSystem): Fact[] {
  const { zone, fNumber, circleMm, focusMm } = figures;
  const { lens, stop, camera } = plan.optics;
  const given = `f ${figure(plan.optics.focalLengthMm, 4)} mm · N ${figure(fNumber, 4)} · C ${figure(circleMm, 3)} mm · d ${formatDistance(focusMm, units)}`;
  const said = (mm: number) => formatDistance(mm, units);
  return [
    {
      word: 'near',
      value: said(zone.nearMm),
      what: 'Near limit of the zone',
      lines: ['u f² / (f² + N C (u − f)), as a tape distance', given, 'for a thin lens; u is the distance from the lens'],
    },
    {
      word: 'far',
      value: said(zone.farMm),
      what: 'Far limit of the zone',
      lines: ['u f² / (f² − N C (u − f)), as a tape distance', given, 'infinite if N C (u − f) is f² or more'],
    },
    {
      word: 'hyperfocal',
      value: said(zone.hyperfocalMm),
      what: 'Hyperfocal distance',
      lines: ['f² / (N C) + f, as a tape distance', given, 'focused there, everything from half of it to infinity is sharp'],
    },
    {
      word: 'picture',
      value: figures.fieldWidthMm === Infinity ? '∞' : `${said(figures.fieldWidthMm)} wide`,
      what: 'Size of the picture at the plane of focus',
      lines: [
        `sensor ${camera.sensorWidthMm} × ${camera.sensorHeightMm} mm / magnification ${figure(zone.magnification, 3)}`,
        `${said(figures.fieldHeightMm)} high`,
      ],
    },
    {
      word: 'limit',
      value: `${(circleMm * 1000).toFixed(1)} µm`,
      what: 'Circle of confusion',
      lines: [circleLine(plan), 'a blur up to this width on the sensor counts as sharp'],
    },
    {
      word: lens.stopScale === 'T' ? 'f-number' : 'stop',
      value: `f/${figure(fNumber, 3)}`,
      what: 'f-number',
      lines: [
        lens.stopScale === 'T'
          ? `${formatStop(stop, 'T')} × √${lens.transmittance}: the zone depends on the f-number, exposure on the T-stop`
          : 'the lens is engraved in f-numbers',
        lens.stopScale === 'T' ? `${lens.transmittance} of the light passes the glass: assumed unless measured` : '',
      ].filter(Boolean),
    },
  ];
}

function circleLine({ optics: { camera, sharpness } }: ShotPlan): string {
  switch (sharpness.kind) {
    case 'diagonal':
      return `diagonal of ${camera.sensorWidthMm} × ${camera.sensorHeightMm} mm / ${sharpness.divisor}`;
    case 'photosite':
      return `${sharpness.count} × ${camera.sensorWidthMm} mm / ${camera.photositesWide} pixels`;
    case 'viewer':
      return `${camera.sensorHeightMm} mm × ${sharpness.viewingDistancePictureHeights} × tan 1′`;
  }
}
