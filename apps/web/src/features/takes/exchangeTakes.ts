import type { LoggedTakeView } from '@still-heron/contract';
import {
  askedPlaces,
  type EditorialTake,
  type FindingPlace,
  type LoggedTake,
  otioTimeline,
  problem,
  pullTimes,
  frameRateFigures,
  hitOf,
  isSamePlace,
  isSimulated,
  readTakesJson,
  readTakesTable,
  recoveryOf,
  retime,
  rollClock,
  type ShotPlan,
  TAKES_FORMAT,
  takesJson,
  type UnitSystem,
  usableSpansOf,
  type VttCue,
  webVtt,
} from '@still-heron/core';
import {
  FINDING_WORDS,
  findingPlaceText,
  focusText,
  HIT_WORDS,
  NOT_SAID,
  pullsSheet,
  pullTargetText,
  RECOVERY_WORDS,
  type SheetTake,
  takesSheet,
  targetName,
  TIMELINE_LABELS,
} from '@still-heron/wording';
import { parseCsv, printCsv } from '../../shared/files/csv';

/** Export formats of takes, besides the report. `pulls` is a sheet with a line for each pull. */
export type TakesFile = 'csv' | 'pulls' | 'json' | 'otio' | 'vtt';

/** Takes as the exporters need them. */
export function loggedTakes(views: readonly LoggedTakeView[]): LoggedTake[] {
  return views.map(({ id, slate, number, rolledAt, take }) => ({ id, slate, number, rolledAt, take: { track: null, ...take } }));
}

/** Reads a file of takes; its first letter tells the format. CSV of an earlier version is read as well; a sheet for people is refused. */
export function readTakesFile(text: string): ReturnType<typeof readTakesTable> {
  const given = text.replace(/^\uFEFF/, '').trim();
  if (given.startsWith('{')) return readTakesJson(given);
  const table = parseCsv(given);
  const headings = table[0] ?? [];
  if (!SHEET_ONLY.some((heading) => headings.includes(heading))) return readTakesTable(table);
  return { status: 'unread', problems: [problem('wrong-file', '', { file: 'takes', format: TAKES_FORMAT })] };
}

/** Headings that only sheets for people have. */
const SHEET_ONLY = ['focus by its track', 'pull to'];

/** Options for retimed takes in the timeline. */
export interface RetimeWish {
  readonly fastest: number;
  readonly wantedScreenS: number | null;
}

/** What an export of takes takes from the plans. */
export interface TakesFileContext {
  /** Plan of their shot, whose cues are exported if it has no takes; null for a whole production */
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
      return sheetFile(takesSheet(sheetTakes(views, planOf, units)));
    case 'pulls':
      return sheetFile(pullsSheet(sheetTakes(views, planOf, units)));
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
      // without a take a shot has its plan
      return webVtt(name, plan && real.length === 0 ? planCues(plan, units) : takeCues(real, planOf, units));
  }
}

/** A sheet for people. Spreadsheets take letters beyond ASCII for others without the mark at its beginning. */
function sheetFile(table: readonly (readonly string[])[]): string {
  return `\uFEFF${printCsv(table)}`;
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

/** Takes with the names of their shots; a deleted shot has none. */
function sheetTakes(views: readonly LoggedTakeView[], planOf: TakesFileContext['planOf'], units: UnitSystem): SheetTake[] {
  return views.map(({ shotId, slate, title, number, rolledAt, take }) => {
    const plan = planOf(shotId);
    return {
      ...{ slate, title, number, rolledAt, take },
      stopScale: plan?.optics.lens.stopScale ?? 'T',
      pullName: (pullId) => (plan ? pullTargetText(pullId, plan, units) : pullId),
      placeName: (at) => (plan ? findingPlaceText(at, plan) : at.kind),
    };
  });
}

/** Takes in sequence: each as a whole, what of it can be used or is cut out, its pulls with their faults, and faults elsewhere. */
function takeCues(views: readonly LoggedTakeView[], planOf: TakesFileContext['planOf'], units: UnitSystem): VttCue[] {
  let startS = 0;
  return views.flatMap(({ shotId, slate, number, take }) => {
    const atS = startS;
    startS += take.durationS;
    const plan = planOf(shotId);
    const cue = (fromS: number, toS: number, text: string): VttCue => ({ fromS: atS + fromS, toS: atS + toS, text });
    const whole = [`${slate} take ${number}: ${focusText(take)}`, take.isCircled && 'circled', take.isNoGood && 'no good'];
    return [
      cue(0, take.durationS, whole.filter(Boolean).join(', ')),
      ...usableSpansOf(take).map(({ fromS, toS }) => cue(fromS, toS, 'use')),
      ...take.focusChecks.map(({ fromS, toS }) => cue(fromS, toS, 'cut out: focus check')),
      ...take.recoveries.map((one) => cue(one.fromS, one.toS, `lost, and back: ${recoveryWord(one)}`)),
      ...(plan ? pullTimes(plan, take) : []).map(({ pullId, timeS }) => {
        const { durationS } = plan!.focusTrack.pulls.find(({ id }) => id === pullId)!;
        const known = take.hits.find((one) => one.pullId === pullId);
        const hit = known && hitOf(known);
        const words = hit ? `: ${HIT_WORDS[hit]}` : '';
        return cue(timeS, timeS + durationS, `pull to ${pullTargetText(pullId, plan!, units)}${words}`);
      }),
      ...(plan ? take.findings : []).flatMap(({ at, found }) => {
        if (found === 'fine') return [];
        const timeS = placeTimeS(at, plan!, take);
        return timeS === null ? [] : [cue(timeS, timeS + FAULT_S, `${FINDING_WORDS[found]}: ${findingPlaceText(at, plan!)}`)];
      }),
    ];
  });
}

function recoveryWord(one: LoggedTakeView['take']['recoveries'][number]): string {
  const grade = recoveryOf(one);
  return grade === null ? NOT_SAID : RECOVERY_WORDS[grade];
}

/** A fault at a place is shown for this long. */
const FAULT_S = 2;

/** Time of a place in the take: a pull that waited for its cue makes what follows later. */
function placeTimeS(at: FindingPlace, plan: ShotPlan, { cues }: LoggedTakeView['take']): number | null {
  if (at.kind === 'time') return at.timeS;
  const place = askedPlaces(plan).find((one) => isSamePlace(one.at, at));
  return place ? rollClock(plan, cues).realSAt(place.timeS) : null;
}
