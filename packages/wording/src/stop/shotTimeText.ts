import type { ShotPlan, ShotTime } from '@still-heron/core';
import { counted } from '../figure.js';
import { chanceText } from '../share.js';

/** A duration for planning: "35 min", "1 h 20 min". */
export function minutesText(minutes: number): string {
  const whole = Math.max(1, Math.round(minutes));
  if (whole < 60) return `${whole} min`;
  return `${Math.floor(whole / 60)} h${whole % 60 === 0 ? '' : ` ${String(whole % 60).padStart(2, '0')} min`}`;
}

/** Planned number of takes; for a one-chance shot, its probability. */
export function plannedTakesText({ takes, chance }: ShotTime, { goals, schedule }: Pick<ShotPlan, 'goals' | 'schedule'>): string {
  if (goals.isOneChance) return `one chance: kept with ${chanceText(chance)}`;
  if (takes === null) return 'no number of takes is enough';
  if (schedule.takes === null) return `plan ${counted(takes, 'take')}`;
  return `${counted(takes, 'take')} planned: one is kept with ${chanceText(chance)}`;
}

/** Explains takes and minutes with this shot's values. */
export function shotTimeLines(
  { takes, chance, minutes }: ShotTime,
  { schedule, durationS, goals }: Pick<ShotPlan, 'schedule' | 'durationS' | 'goals'>,
  keepRate: number,
): string[] {
  if (takes === null || minutes === null)
    return [`One take is kept with ${chanceText(keepRate)}. For a chance of 90 %, too many takes would be needed.`];
  const whenRepeated = schedule.takes === null ? 'enough for a chance of 90 %' : 'as typed';
  const why = goals.isOneChance ? 'it happens once' : whenRepeated;
  return [
    `${counted(takes, 'take')} (${why}): each is kept with ${chanceText(keepRate)}, at least one with ${chanceText(chance)}.`,
    `${schedule.setUpMin} min set-up + ${takes} × ${durationS.toFixed(1)} s + ${takes - 1} × ${schedule.betweenTakesS} s between takes.`,
    'Set-up and the time between takes are typed or assumed under “Goals and schedule”.',
  ];
}
