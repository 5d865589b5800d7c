import {
  type ComingPull,
  formatDistance,
  formatDistanceFigure,
  type LineTarget,
  type RingFigure,
  type ShotPlan,
  targetName,
  type UnitSystem,
} from '@still-heron/core';

/** Numbers a hand reads: whole degrees, tenths below ten. */
export function degrees(deg: number): string {
  return `${deg < 9.95 ? deg.toFixed(1) : deg.toFixed(0)}°`;
}

/** A distance in the large: its figure, and its unit where it has one of its own. */
export function figureAndUnit(mm: number, units: UnitSystem): { figure: string; unit: string } {
  const figure = formatDistanceFigure(mm, units);
  const whole = formatDistance(mm, units);
  return { figure, unit: whole.startsWith(figure) ? whole.slice(figure.length).trim() : '' };
}

/** Where the ring is, on the wheel and in the zone. */
export function ringWords({ wheelDeg, zone }: RingFigure, plan: Pick<ShotPlan, 'wheel'>, units: UnitSystem): string {
  const what = plan.wheel ? 'wheel' : 'ring';
  return `${what} ${degrees(wheelDeg)} · zone ${formatDistanceFigure(zone.nearMm, units)} – ${formatDistanceFigure(zone.farMm, units)}`;
}

/** Whom or what a pull goes to: the letter of its mark and whose it is, or a distance. */
export function pullName({ target }: Pick<ComingPull, 'target'>, plan: ShotPlan, units: UnitSystem): string {
  return targetName(target, plan, units);
}

/** Whom a target belongs to, by name; empty for a plain distance. */
export function whose(target: LineTarget, { marks, subjects }: Pick<ShotPlan, 'marks' | 'subjects'>): string {
  const id =
    target.kind === 'subject'
      ? target.subjectId
      : target.kind === 'mark' || target.kind === 'blur'
        ? marks.find((mark) => mark.id === target.markId)?.subjectId
        : undefined;
  return subjects.find((subject) => subject.id === id)?.name ?? '';
}

/** How the hand turns for a pull: which way, how far, how long. */
export function turnWords({ way, travelDeg, durationS }: ComingPull): string {
  return `${degrees(travelDeg)} ${way}, in ${durationS.toFixed(1)} s`;
}

/** What sets a pull off that waits: "on the line: “…”". */
export function eventWords({ cueKind, cue }: Pick<ComingPull, 'cueKind' | 'cue'>): string {
  const on = { clock: '', line: 'on the line', look: 'on the look', hand: 'on the hand' }[cueKind];
  return [on, cue].filter(Boolean).join(': ');
}

/** What is counted down to: tenths of a second, never below nothing. */
export function countdown(seconds: number): string {
  return Math.max(0, seconds).toFixed(1);
}
