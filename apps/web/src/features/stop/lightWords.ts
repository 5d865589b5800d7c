import type { LightBalance, ShotPlan } from '@still-heron/core';

/** Changed settings with their new values. */
export function balanceWords({ iso, ndStops, shutterAngleDeg, lampFactor }: LightBalance, { exposure }: ShotPlan): string {
  const parts: string[] = [];
  if (Math.abs(ndStops - exposure.ndStops) > 0.02)
    parts.push(ndStops < 0.05 ? 'all ND out' : `ND ${Number(ndStops.toFixed(1))} ${ndStops === 1 ? 'stop' : 'stops'}`);
  if (Math.abs(lampFactor - 1) > 0.01) parts.push(`lamps ×${lampFactor < 1 ? lampFactor.toFixed(2) : lampFactor.toFixed(1)}`);
  if (Math.abs(shutterAngleDeg - exposure.shutterAngleDeg) > 0.05) parts.push(`shutter ${shutterAngleDeg.toFixed(1)}°`);
  if (Math.abs(Math.log2(iso / exposure.iso)) > 0.02) parts.push(`ISO ${Math.round(iso)}`);
  return parts.join(' + ');
}
