import { type DepthOfField, formatDistance, formatStop, type ShotPlan, type UnitSystem } from '@still-heron/core';

/** What the facts of a zone are told from. Lengths in mm. */
export interface ZoneFactFigures {
  readonly zone: DepthOfField;
  readonly fNumber: number;
  readonly circleMm: number;
  readonly focusMm: number;
  readonly fieldWidthMm: number;
  readonly fieldHeightMm: number;
}

/** A figure of the zone with its formula and current values. */
export interface ZoneFact {
  readonly word: string;
  readonly value: string;
  readonly what: string;
  readonly lines: readonly string[];
}

export function zoneFacts(figures: ZoneFactFigures, plan: ShotPlan, units: UnitSystem): ZoneFact[] {
  const { zone, fNumber, circleMm, focusMm } = figures;
  const { lens, stop, camera } = plan.optics;
  const given = `f ${rounded(plan.optics.focalLengthMm, 4)} mm · N ${rounded(fNumber, 4)} · C ${rounded(circleMm, 3)} mm · d ${formatDistance(focusMm, units)}`;
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
        `sensor ${camera.sensorWidthMm} × ${camera.sensorHeightMm} mm / magnification ${rounded(zone.magnification, 3)}`,
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
      value: `f/${rounded(fNumber, 3)}`,
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

function rounded(value: number, digits: number): string {
  return String(Number(value.toPrecision(digits)));
}
