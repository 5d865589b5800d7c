import { formatDistance, formatStop, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { Explain } from '../../ui/fields/Explain';
import type { ZoneFigures } from './zoneFigures';

interface Props {
  readonly figures: ZoneFigures;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

const figure = (value: number, digits: number) => String(Number(value.toPrecision(digits)));

/** Figures of the zone, each with its formula and current values. */
export function ZoneFacts({ figures, plan, units }: Props) {
  const { zone, fNumber, circleMm, focusMm, airyMm } = figures;
  const { lens, stop, camera } = plan.optics;
  const given = `f ${figure(plan.optics.focalLengthMm, 4)} mm · N ${figure(fNumber, 4)} · C ${figure(circleMm, 3)} mm · d ${formatDistance(focusMm, units)}`;
  const said = (mm: number) => formatDistance(mm, units);
  const facts = [
    {
      word: 'near',
      value: said(zone.nearMm),
      what: 'Near limit of the zone',
      lines: [
        'u f² / (f² + N C (u − f)), as a tape distance',
        given,
        'computed for a thin lens; u is the distance from the lens',
      ],
    },
    {
      word: 'far',
      value: said(zone.farMm),
      what: 'Far limit of the zone',
      lines: ['u f² / (f² − N C (u − f)), as a tape distance', given, 'infinite once N C (u − f) reaches f²'],
    },
    {
      word: 'hyperfocal',
      value: said(zone.hyperfocalMm),
      what: 'Hyperfocal distance',
      lines: ['f² / (N C) + f, as a tape distance', given, 'focused here, all from half of it on is sharp'],
    },
    {
      word: 'picture there',
      value: figures.fieldWidthMm === Infinity ? '∞' : `${said(figures.fieldWidthMm)} wide`,
      what: 'What the picture takes in at the plane of focus',
      lines: [
        `sensor ${camera.sensorWidthMm} × ${camera.sensorHeightMm} mm over magnification ${figure(zone.magnification, 3)}`,
        `${said(figures.fieldHeightMm)} high`,
      ],
    },
    {
      word: 'sharp means',
      value: `${(circleMm * 1000).toFixed(1)} µm`,
      what: 'Circle of confusion',
      lines: [circleLine(plan), 'a blur up to this wide on the sensor passes for sharp'],
    },
    {
      word: lens.stopScale === 'T' ? 'geometric' : 'stop',
      value: `f/${figure(fNumber, 3)}`,
      what: 'Geometric stop',
      lines: [
        lens.stopScale === 'T'
          ? `${formatStop(stop, 'T')} × √${lens.transmittance}: the zone goes by it, exposure by the T-stop`
          : 'the lens is engraved in geometric stops',
        lens.stopScale === 'T' ? `${lens.transmittance} of the light passes the glass: an assumption unless measured` : '',
      ].filter(Boolean),
    },
  ];
  return (
    <div className="zone-facts">
      <dl>
        {facts.map(({ word, value, what, lines }) => (
          <div key={word}>
            <dt>{word}</dt>
            <dd className="figure">
              <Explain what={what} lines={lines}>
                {value}
              </Explain>
            </dd>
          </div>
        ))}
      </dl>
      {airyMm > circleMm && (
        <p className="tone-edge" role="note">
          At {formatStop(stop, lens.stopScale)} diffraction makes every point {(airyMm * 1000).toFixed(1)} µm wide, more than the{' '}
          {(circleMm * 1000).toFixed(1)} µm that pass for sharp: the whole picture softens a little. Open up for full sharpness.
        </p>
      )}
    </div>
  );
}

function circleLine({ optics: { camera, sharpness } }: ShotPlan): string {
  switch (sharpness.kind) {
    case 'diagonal':
      return `diagonal of ${camera.sensorWidthMm} × ${camera.sensorHeightMm} mm / ${sharpness.divisor}`;
    case 'photosite':
      return `${sharpness.count} × ${camera.sensorWidthMm} mm / ${camera.photositesWide} photosites`;
    case 'viewer':
      return `${camera.sensorHeightMm} mm × ${sharpness.viewingDistancePictureHeights} × tan 1′`;
  }
}
