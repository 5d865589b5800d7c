import type { ShotPlan, ShotTime } from '@still-heron/core';

/** A duration for planning: 35 min, 1 h 20. */
export function minutesWords(minutes: number): string {
  const whole = Math.max(1, Math.round(minutes));
  if (whole < 60) return `${whole} min`;
  return `${Math.floor(whole / 60)} h${whole % 60 === 0 ? '' : ` ${String(whole % 60).padStart(2, '0')}`}`;
}

/** Planned number of takes; for a one-chance shot, its probability. */
export function takesWords({ takes, chance }: ShotTime, { goals, schedule }: Pick<ShotPlan, 'goals' | 'schedule'>): string {
  if (goals.isOneChance) return `one chance: ${percent(chance)} kept`;
  if (takes === null) return 'no number of takes is enough';
  const plural = `${takes} ${takes === 1 ? 'take' : 'takes'}`;
  return schedule.takes === null ? `plan ${plural}` : `${plural} planned: ${percent(chance)} for one kept`;
}

/** Explains takes and minutes with this shot's values. */
export function timeLines(
  { takes, chance, minutes }: ShotTime,
  { schedule, durationS, goals }: Pick<ShotPlan, 'schedule' | 'durationS' | 'goals'>,
  keepRate: number,
): string[] {
  if (takes === null || minutes === null)
    return [`one take is kept with ${percent(keepRate)}: nobody shoots as many as nine chances of ten need`];
  const why = goals.isOneChance
    ? 'it happens once'
    : schedule.takes === null
      ? 'as many as keep one nine times of ten'
      : 'as typed';
  return [
    `${takes} ${takes === 1 ? 'take' : 'takes'}, ${why}: each is kept with ${percent(keepRate)}, one of them with ${percent(chance)}`,
    `${schedule.setUpMin} min setting up + ${takes} × ${durationS.toFixed(1)} s + ${takes - 1} × ${schedule.betweenTakesS} s between takes`,
    'setting up and the time between takes are typed, or assumed, under “What is wanted, and the day”',
  ];
}

/** Limited to 1 to 99 %, because an estimate is never certain. */
function percent(chance: number): string {
  return `${Math.round(Math.min(Math.max(chance, 0.01), 0.99) * 100)} %`;
}
