import { isUsable, rankSpans, type StopScale, type Take } from '@still-heron/core';
import {
  NO_TAKES,
  type PlaceNames,
  reportFrameRates,
  reportMissing,
  reportSpan,
  reportSummary,
  reportTakeHead,
  reportTakeLines,
  reportTitle,
} from '@still-heron/wording';
import { ReportPages } from './report-pages.js';

/** A shot with its takes, for the editor's report. */
export interface ReportedShot {
  readonly slate: string;
  readonly title: string;
  readonly captureFps: number;
  readonly deliveryFps: number;
  readonly stopScale: StopScale;
  /** Names of its pulls and other places */
  readonly names: PlaceNames;
  readonly takes: readonly { readonly number: number; readonly rolledAt: string; readonly take: Omit<Take, 'track'> }[];
}

/** Number of best spans listed before the takes. */
const BEST = 5;

/**
 * The editor's report as a PDF: best spans, what to cut out, circled takes, and why a soft one is kept.
 *
 * @returns the whole file
 */
export function editorReport(production: string, shots: readonly ReportedShot[], madeAt: Date): Promise<Buffer> {
  const pages = new ReportPages(reportTitle(production), madeAt);
  pages.say(production, { size: 20, weight: 'strong' });
  const all = shots.flatMap(({ takes }) => takes.map(({ take }) => take));
  const usable = all.filter(isUsable).length;
  const repaired = all.filter(({ repairs }) => repairs.length > 0).length;
  pages.say(reportSummary(madeAt, { all: all.length, usable, repaired }), { tone: 'haze' });
  for (const shot of shots) sayShot(pages, shot);
  if (all.length === 0) pages.say(NO_TAKES, { gap: 18 });
  return pages.finish(production);
}

function sayShot(pages: ReportPages, shot: ReportedShot): void {
  const { slate, title, captureFps, deliveryFps, stopScale, takes, names } = shot;
  pages.rule();
  pages.say(`${slate}  ${title}`, { size: 14, weight: 'strong' });
  pages.say(reportFrameRates(captureFps, deliveryFps), { tone: 'haze' });
  for (const [index, span] of rankSpans(takes).slice(0, BEST).entries()) {
    const { take } = takes.find(({ number }) => number === span.number)!;
    pages.say(reportSpan(index, span, take, shot), { tone: 'good', weight: index === 0 ? 'strong' : 'plain' });
  }
  const missing = reportMissing(takes.map(({ number }) => number));
  if (missing) pages.say(missing, { tone: 'haze' });
  for (const { number, rolledAt, take } of takes) {
    pages.say(reportTakeHead(number, rolledAt, take), { weight: 'strong', gap: 7, isHead: true });
    for (const line of reportTakeLines(take, stopScale, names)) pages.say(line, { indent: 12 });
  }
}
