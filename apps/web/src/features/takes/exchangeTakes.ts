import type { LoggedTakeView } from '@still-heron/contract';
import {
  type EditorialTake,
  type LoggedTake,
  otioTimeline,
  pullTimes,
  frameRateFigures,
  hitOf,
  isSimulated,
  readTakesJson,
  readTakesTable,
  retime,
  type ShotPlan,
  takesJson,
  takesTable,
  type UnitSystem,
  usableSpansOf,
  webVtt,
} from '@still-heron/core';
import { FINDING_WORDS, focusText, pullTargetText, targetName, TIMELINE_LABELS } from '@still-heron/wording';
import { parseCsv, printCsv } from '../../shared/files/csv';

/** Export formats of takes, besides the report. */
export type TakesFile = 'csv' | 'json' | 'otio' | 'vtt';

/** Takes as the exporters need them. */
export function loggedTakes(views: readonly LoggedTakeView[]): LoggedTake[] {
  return views.map(({ id, slate, number, rolledAt, take }) => ({ id, slate, number, rolledAt, take: { track: null, ...take } }));
}

/** Reads a file of takes; its first letter tells the format. */
export function readTakesFile(text: string): ReturnType<typeof readTakesTable> {
  const given = text.replace(/^\uFEFF/, '').trim();
  return given.startsWith('{') ? readTakesJson(given) : readTakesTable(parseCsv(given));
}

/** Options for retimed takes in the timeline. */
export interface RetimeWish {
  readonly fastest: number;
  readonly wantedScreenS: number | null;
}

/** What an export of takes takes from the plans. */
export interface TakesFileContext {
  /** Plan of their shot, whose cues are exported; null for a whole production */
  readonly plan: ShotPlan | null;
  /** Plan of a take's shot; undefined if deleted */
  readonly planOf: (shotId: string) => ShotPlan | undefined;
  readonly units: UnitSystem;
  /** null for takes at their own speed */
  readonly wish: RetimeWish | null;
}

/** The text of a file of takes. */
export function takesFile(
  kind: TakesFile,
  name: string,
  views: readonly LoggedTakeView[],
  { plan, planOf, units, wish }: TakesFileContext,
): string {
  // an editor has no footage of a simulated take; CSV and JSON say of each what it is
  const real = views.filter(({ take }) => !isSimulated(take));
  switch (kind) {
    case 'csv':
      return printCsv(takesTable(loggedTakes(views)));
    case 'json':
      return takesJson(loggedTakes(views));
    case 'otio':
      return `${JSON.stringify(
        otioTimeline(
          name,
          TIMELINE_LABELS,
          real.map((view) => edited(view, planOf(view.shotId), units, wish)),
        ),
        null,
        1,
      )}\n`;
    case 'vtt':
      return webVtt(name, plan ? planCues(plan, units) : takeCues(real));
  }
}

function edited(
  { slate, number, take }: LoggedTakeView,
  plan: ShotPlan | undefined,
  units: UnitSystem,
  wish: RetimeWish | null,
): EditorialTake {
  const limits = plan &&
    wish && { fastest: wish.fastest, slowest: Math.min(1, frameRateFigures(plan.captureFps, plan.deliveryFps).slowestSpeed) };
  const retiming = limits ? retime(take.durationS, usableSpansOf(take), wish!.wantedScreenS, limits) : null;
  const pulls = (plan ? pullTimes(plan, take) : []).flatMap(({ pullId, timeS }) => {
    const known = take.hits.find((one) => one.pullId === pullId);
    const hit = known && hitOf(known);
    return hit ? [{ name: pullTargetText(pullId, plan!, units), timeS, hit }] : [];
  });
  return { name: `${slate} take ${number}`, number, take, pulls, retiming };
}

/** Cues of a shot as planned. */
function planCues(plan: ShotPlan, units: UnitSystem) {
  return plan.focusTrack.pulls.map(({ startS, durationS, target, cue }) => ({
    fromS: startS,
    toS: startS + durationS,
    text: `pull to ${targetName(target, plan, units)}${cue ? `: ${cue}` : ''}`,
  }));
}

/** Events of takes, in sequence. */
function takeCues(views: readonly LoggedTakeView[]) {
  let atS = 0;
  return views.flatMap(({ slate, number, take }) => {
    const fromS = atS;
    atS += take.durationS;
    const found = [...take.hits.flatMap((one) => hitOf(one) ?? []), ...take.findings.map((one) => one.found)];
    const faults = found.flatMap((one) => (one === 'hit' || one === 'fine' ? [] : FINDING_WORDS[one]));
    return [{ fromS, toS: atS, text: `${slate} take ${number}: ${[focusText(take), ...faults].join(', ')}` }];
  });
}
