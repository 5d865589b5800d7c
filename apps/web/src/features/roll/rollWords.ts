import {
  type UpcomingPull,
  formatDistance,
  formatDistanceFigure,
  type FocusTarget,
  type RingFigure,
  type ShotPlan,
  targetName,
  type UnitSystem,
} from '@still-heron/core';

/** Degrees for the hand: whole, below ten with a decimal. */
export function degrees(deg: number): string {
  return `${deg < 9.95 ? deg.toFixed(1) : deg.toFixed(0)}°`;
}

/** A distance as figure and unit, for large type. */
export function figureAndUnit(mm: number, units: UnitSystem): { figure: string; unit: string } {
  const figure = formatDistanceFigure(mm, units);
  const whole = formatDistance(mm, units);
  return { figure, unit: whole.startsWith(figure) ? whole.slice(figure.length).trim() : '' };
}

/** Position of the ring: wheel degrees and zone. */
export function ringWords({ wheelDeg, zone }: RingFigure, plan: Pick<ShotPlan, 'wheel'>, units: UnitSystem): string {
  const what = plan.wheel ? 'wheel' : 'ring';
  return `${what} ${degrees(wheelDeg)} · zone ${formatDistanceFigure(zone.nearMm, units)} – ${formatDistanceFigure(zone.farMm, units)}`;
}

/** Target of a pull: letter and subject of its mark, or a distance. */
export function pullName({ target }: Pick<UpcomingPull, 'target'>, plan: ShotPlan, units: UnitSystem): string {
  return targetName(target, plan, units);
}

/** Subject of a target; empty for a plain distance. */
export function whose(target: FocusTarget, { marks, subjects }: Pick<ShotPlan, 'marks' | 'subjects'>): string {
  const id =
    target.kind === 'subject'
      ? target.subjectId
      : target.kind === 'mark' || target.kind === 'blur'
        ? marks.find((mark) => mark.id === target.markId)?.subjectId
        : undefined;
  return subjects.find((subject) => subject.id === id)?.name ?? '';
}

/** Turn of a pull: direction, degrees and duration. */
export function turnWords({ way, travelDeg, durationS }: UpcomingPull): string {
  return `${degrees(travelDeg)} ${way}, in ${durationS.toFixed(1)} s`;
}

/** Trigger of a waiting pull: "on the line: “…”". */
export function eventWords({ trigger, cue }: Pick<UpcomingPull, 'trigger' | 'cue'>): string {
  const on = { clock: '', 'spoken-line': 'on the line', look: 'on the look', hand: 'on the hand' }[trigger];
  return [on, cue].filter(Boolean).join(': ');
}

/** Countdown in tenths of a second, never negative. */
export function countdown(seconds: number): string {
  return Math.max(0, seconds).toFixed(1);
}
