import {
  type CueTrigger,
  type Entrance,
  type FollowPace,
  formatDistance,
  formatDistanceFigure,
  formatGap,
  type FocusTarget,
  type RingFigure,
  type ShotPlan,
  type UnitSystem,
  type UpcomingPull,
  type ZonePlace,
} from '@still-heron/core';
import { subjectName } from '../names.js';

/** Degrees for the hand: whole, below ten with a decimal. */
export function degreesText(deg: number): string {
  return `${deg < 9.95 ? deg.toFixed(1) : deg.toFixed(0)}°`;
}

/** A distance as figure and unit, for large type. */
export function figureAndUnit(mm: number, units: UnitSystem): { figure: string; unit: string } {
  const figure = formatDistanceFigure(mm, units);
  const whole = formatDistance(mm, units);
  return { figure, unit: whole.startsWith(figure) ? whole.slice(figure.length).trim() : '' };
}

/** Position of the ring: wheel degrees and zone. */
export function ringText({ wheelDeg, zone }: RingFigure, plan: Pick<ShotPlan, 'wheel'>, units: UnitSystem): string {
  const what = plan.wheel ? 'wheel' : 'ring';
  return `${what} ${degreesText(wheelDeg)} · zone ${formatDistanceFigure(zone.nearMm, units)} – ${formatDistanceFigure(zone.farMm, units)}`;
}

/** Where the ring goes before the next take: "Back to A: 2.90 m, wheel 82°." */
export function backToStartText(name: string, figure: RingFigure, plan: Pick<ShotPlan, 'wheel'>, units: UnitSystem): string {
  const distance = formatDistance(figure.distanceMm, units);
  const turned = `${plan.wheel ? 'wheel' : 'ring'} ${degreesText(figure.wheelDeg)}`;
  return name === distance ? `Back to ${distance}, ${turned}.` : `Back to ${name}: ${distance}, ${turned}.`;
}

/** Name of the subject of a target; empty for a plain distance. */
export function targetSubjectName(target: FocusTarget, { marks, subjects }: Pick<ShotPlan, 'marks' | 'subjects'>): string {
  const markId = target.kind === 'mark' || target.kind === 'blur' ? target.markId : null;
  const id = target.kind === 'subject' ? target.subjectId : marks.find((mark) => mark.id === markId)?.subjectId;
  return subjects.find((subject) => subject.id === id)?.name ?? '';
}

/** Turn of a pull: degrees, direction and duration. */
export function turnText({ way, travelDeg, durationS }: Pick<UpcomingPull, 'way' | 'travelDeg' | 'durationS'>): string {
  return `${degreesText(travelDeg)} ${way}, in ${durationS.toFixed(1)} s`;
}

const TRIGGERS: Readonly<Record<CueTrigger, string>> = {
  clock: '',
  'spoken-line': 'on the spoken line',
  look: 'on the look',
  hand: 'on the hand signal',
};

/** Cue of a waiting pull: "on the spoken line: “…”". */
export function cueText({ trigger, cue }: Pick<UpcomingPull, 'trigger' | 'cue'>): string {
  return [TRIGGERS[trigger], cue].filter(Boolean).join(': ');
}

/** Countdown in tenths of a second, never negative. */
export function countdownText(seconds: number): string {
  return Math.max(0, seconds).toFixed(1);
}

/** What becomes of somebody and the zone: "Ines enters the zone", "Ines stays in the zone". */
export function zoneLabel({ subjectId, isInside, changesInS }: ZonePlace, plan: Pick<ShotPlan, 'subjects'>): string {
  const [stays, changes] = isInside ? ['stays in', 'leaves'] : ['stays outside', 'enters'];
  return `${subjectName(plan, subjectId)} ${changesInS === null ? stays : changes} the zone`;
}

/** Room to the limits of the zone: "0.42 m to its near limit, 0.80 m to its far one", "0.30 m in front of it". */
export function zoneRoomText({ toNearMm, toFarMm }: ZonePlace, units: UnitSystem): string {
  if (toNearMm < 0) return `${formatGap(-toNearMm, units)} in front of it`;
  if (toFarMm < 0) return `${formatGap(-toFarMm, units)} behind it`;
  const far = toFarMm === Infinity ? 'no far limit' : `${formatGap(toFarMm, units)} to its far one`;
  return `${formatGap(toNearMm, units)} to its near limit, ${far}`;
}

/** Practice by its speed: "Practice", "Practice at 50 %". */
export function practiceText(rate: number): string {
  return rate === 1 ? 'Practice' : `Practice at ${Math.round(rate * 100)} %`;
}

/** Room for words beside a figure that is read from two metres. */
const MAX_HINT = 90;

/**
 * What is to be focused on at a target, and how its mark is known: "near eye · chin up · red tape · or the lamp instead". Empty if nothing is known.
 */
export function targetHintText(
  target: FocusTarget,
  { marks, subjects, floor }: Pick<ShotPlan, 'marks' | 'subjects' | 'floor'>,
): string {
  const markId = target.kind === 'mark' || target.kind === 'blur' ? target.markId : null;
  const mark = marks.find(({ id }) => id === markId);
  const subjectId = target.kind === 'subject' ? target.subjectId : mark?.subjectId;
  const subject = subjects.find(({ id }) => id === subjectId);
  const reference = floor?.landmarks.find(({ id }) => id === mark?.focusReferenceId);
  const parts = [
    mark?.detail || subject?.detail,
    mark?.pose,
    mark && mark.tapeColour !== null && mark.tapeShape !== 'none' && `${mark.tapeColour} tape`,
    reference && `or ${reference.name} instead`,
  ];
  const text = parts.filter(Boolean).join(' · ');
  return text.length <= MAX_HINT ? text : `${text.slice(0, MAX_HINT - 1).trimEnd()}…`;
}

/** Pace of a follow: "18°/s nearer, fastest 42°/s in 1.2 s". */
export function paceText({ degPerS, way, fastest }: FollowPace): string {
  const now = `${degPerS.toFixed(0)}°/s ${way}`;
  return fastest
    ? `${now}, fastest ${fastest.degPerS.toFixed(0)}°/s in ${countdownText(fastest.inS)} s`
    : `${now}, the fastest now`;
}

const SIDES: Readonly<Record<Entrance['side'], string>> = {
  left: 'from the left',
  right: 'from the right',
  ahead: 'straight ahead',
};

/** Who comes into the picture next: "Hand cart comes in from the left in 2.1 s". */
export function entranceText({ subjectId, side, timeS }: Entrance, planS: number, plan: Pick<ShotPlan, 'subjects'>): string {
  return `${subjectName(plan, subjectId)} comes in ${SIDES[side]} in ${countdownText(timeS - planS)} s`;
}
