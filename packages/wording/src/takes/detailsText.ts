import {
  type EarlierLook,
  type Finding,
  formatGap,
  recoveryOf,
  spanWords,
  type Take,
  type UnitSystem,
  ZONE_DEPTH_LIMITS_MM,
} from '@still-heron/core';
import { counted } from '../figure.js';
import { FINDING_WORDS } from './findingText.js';
import { FOCUS_GRADE_WORDS } from './takeText.js';
import { CONFIDENCE_WORDS, RECOVERY_WORDS } from './turnText.js';

/** Takes whose zone is as deep: "up to 20 mm", "20 to 50 mm", "more than 1 m". @param toMm - upper limit; null above the last one */
export function depthGroupText(toMm: number | null, units: UnitSystem): string {
  const limits: readonly number[] = ZONE_DEPTH_LIMITS_MM;
  const last = limits[limits.length - 1]!;
  if (toMm === null) return `more than ${formatGap(last, units)}`;
  const fromMm = limits[limits.indexOf(toMm) - 1];
  return fromMm === undefined ? `up to ${formatGap(toMm, units)}` : `${formatGap(fromMm, units)} to ${formatGap(toMm, units)}`;
}

/** Faults of a group of takes: "late in 5, overshot in 2, of 12 takes". */
export function faultTimesText(faults: readonly { readonly fault: Finding; readonly takes: number }[], takes: number): string {
  return `${faults.map((one) => `${FINDING_WORDS[one.fault]} in ${one.takes}`).join(', ')}, of ${counted(takes, 'take')}`;
}

/** A day's turns: "24 turns: 91 % smooth, settled in 0.12 s, 3 past the zone". */
export function turnsOfDayText({
  turns,
  smoothness,
  settlingS,
  pastZone,
}: {
  readonly turns: number;
  readonly smoothness: number;
  readonly settlingS: number | null;
  readonly pastZone: number;
}): string {
  const settled = settlingS === null ? 'none settled' : `settled in ${settlingS.toFixed(2)} s`;
  return `${counted(turns, 'turn')}: ${Math.round(smoothness * 100)} % smooth, ${settled}, ${pastZone} past the zone`;
}

/** A look at the focus: "on the small display, 4 ×, sure: sharp". */
export function lookText({
  on,
  magnification,
  confidence,
  focus,
}: Omit<EarlierLook, 'focus'> & { readonly focus?: EarlierLook['focus'] }): string {
  const parts = [
    on === '' ? 'display not said' : `on ${on}`,
    magnification !== null && `${magnification} ×`,
    confidence !== null && CONFIDENCE_WORDS[confidence],
  ];
  return `${parts.filter(Boolean).join(', ')}${focus ? `: ${FOCUS_GRADE_WORDS[focus]}` : ''}`;
}

/** Where somebody was lost in a take and came back: "1.2 to 1.8 s, jerked". Without what nobody said and no track shows. */
export function recoveryLines(take: Pick<Take, 'recoveries' | 'startTimecode' | 'gear'>): string[] {
  return take.recoveries.flatMap((recovery) => {
    const grade = recoveryOf(recovery);
    return grade === null ? [] : `${spanWords(recovery, take)}, ${RECOVERY_WORDS[grade]}`;
  });
}
