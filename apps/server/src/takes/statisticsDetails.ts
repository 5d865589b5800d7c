import type { FaultsView, KeptByDepthView, LooksView, StatisticsDetailsView, TurnsView } from '@still-heron/contract';
import type { EarlierLook, Finding, FocusGrade } from '@still-heron/core';

/** Sums of takes that have everything in common by which the details count them. */
export interface DetailLine {
  readonly lens: string;
  readonly method: string;
  readonly puller: string;
  /** As `2026-03-01`, in UTC */
  readonly day: string;
  readonly faults: readonly Finding[];
  readonly isKept: boolean | null;
  /** Limit below which their zone lies, in mm; -1 above the last one, null if unknown */
  readonly depthGroup: number | null;
  readonly takes: number;
  readonly turnCount: number;
  readonly smoothSum: number;
  readonly settledCount: number;
  readonly settlingSum: number;
  readonly pastZoneCount: number;
  /** Those that were looked at more than once, with their focus and the looks before the last; null without any */
  readonly looked: readonly { readonly focus: FocusGrade | null; readonly looks: readonly EarlierLook[] }[] | null;
}

const BY = ['method', 'lens', 'puller', 'day'] as const;

type Growing<T> = { -readonly [K in keyof T]: T[K] };
type Turned = Growing<Pick<DetailLine, 'turnCount' | 'smoothSum' | 'settledCount' | 'settlingSum' | 'pastZoneCount'>>;

/** Adds up the details of takes, part by part. */
export class DetailSums {
  private readonly faults = new Map<string, { by: FaultsView['by']; name: string; takes: number; found: Map<Finding, number> }>();
  private readonly turns = new Map<string, Turned>();
  private readonly looks = new Map<string, LooksView>();
  private readonly depths = new Map<number | null, KeptByDepthView>();

  add(lines: readonly DetailLine[]): void {
    for (const line of lines) {
      for (const by of BY) this.addFaults(by, line[by], line);
      this.addTurns(line);
      for (const looked of line.looked ?? []) this.addLooks(looked);
      this.addDepth(line);
    }
  }

  get view(): StatisticsDetailsView {
    return {
      faults: [...this.faults.values()]
        .filter(({ found }) => found.size > 0)
        .map(({ by, name, takes, found }) => ({
          by,
          name,
          takes,
          faults: [...found].map(([fault, times]) => ({ fault, takes: times })).sort((a, b) => b.takes - a.takes),
        }))
        .sort((a, b) => BY.indexOf(a.by) - BY.indexOf(b.by) || b.takes - a.takes || a.name.localeCompare(b.name)),
      turns: [...this.turns].map(([day, sums]): TurnsView => turnsOf(day, sums)).sort((a, b) => a.day.localeCompare(b.day)),
      looks: [...this.looks.values()].sort((a, b) => b.looks - a.looks || a.on.localeCompare(b.on)),
      byDepth: [...this.depths.values()].sort((a, b) => (a.toMm ?? Infinity) - (b.toMm ?? Infinity)),
    };
  }

  private addFaults(by: FaultsView['by'], name: string, { faults, takes }: DetailLine): void {
    const key = `${by} ${name}`;
    const group = this.faults.get(key) ?? { by, name, takes: 0, found: new Map<Finding, number>() };
    group.takes += takes;
    for (const fault of faults) group.found.set(fault, (group.found.get(fault) ?? 0) + takes);
    this.faults.set(key, group);
  }

  private addTurns(line: DetailLine): void {
    if (line.turnCount === 0) return;
    const day = this.turns.get(line.day) ?? { turnCount: 0, smoothSum: 0, settledCount: 0, settlingSum: 0, pastZoneCount: 0 };
    for (const name of Object.keys(day) as (keyof Turned)[]) day[name] += line[name];
    this.turns.set(line.day, day);
  }

  /** The last look tells which of the ones before it were right. */
  private addLooks({ looks, focus }: NonNullable<DetailLine['looked']>[number]): void {
    if (focus === null) return;
    for (const look of looks) {
      const { on, magnification, confidence } = look;
      const key = JSON.stringify([on, magnification, confidence]);
      const known = this.looks.get(key) ?? { on, magnification, confidence, looks: 0, right: 0 };
      known.looks++;
      if ((look.focus === 'sharp') === (focus === 'sharp')) known.right++;
      this.looks.set(key, known);
    }
  }

  private addDepth({ depthGroup, isKept, takes }: DetailLine): void {
    if (depthGroup === null || isKept === null) return;
    const toMm = depthGroup < 0 ? null : depthGroup;
    const known = this.depths.get(toMm) ?? { toMm, takes: 0, kept: 0 };
    known.takes += takes;
    if (isKept) known.kept += takes;
    this.depths.set(toMm, known);
  }
}

function turnsOf(day: string, { turnCount, smoothSum, settledCount, settlingSum, pastZoneCount }: Turned): TurnsView {
  return {
    day,
    turns: turnCount,
    smoothness: smoothSum / turnCount,
    settlingS: settledCount === 0 ? null : settlingSum / settledCount,
    pastZone: pastZoneCount,
  };
}
