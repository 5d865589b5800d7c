import {
  formatStop,
  isUsable,
  rankSpans,
  frameRateFigures,
  type Repair,
  screenTimeS,
  spanWords,
  type StopScale,
  type Take,
  usableSpansOf,
} from '@still-heron/core';
import { ReportPages } from './report-pages.js';

/** A shot with its takes, for the editor's report. */
export interface ReportedShot {
  readonly slate: string;
  readonly title: string;
  readonly captureFps: number;
  readonly deliveryFps: number;
  readonly stopScale: StopScale;
  /** Target of a pull, as its shot names it */
  readonly pullName: (pullId: string) => string;
  readonly takes: readonly { readonly number: number; readonly take: Omit<Take, 'track'> }[];
}

/** Number of best spans listed before the takes. */
const BEST = 5;

const REPAIRS: Readonly<Record<Repair, string>> = {
  reversed: 'played backwards',
  'focus-check-cut': 'wobble cut out',
  retimed: 'speed changed',
  'blur-added': 'blur added',
};

/**
 * The editor's report as a PDF: best spans, what to cut out, circled takes, and why a soft one is kept.
 *
 * @returns the whole file
 */
export function editorReport(production: string, shots: readonly ReportedShot[], madeAt: Date): Promise<Buffer> {
  const pages = new ReportPages(`${production}: takes for the edit`, madeAt);
  pages.say(production, { size: 20, weight: 'strong' });
  const all = shots.flatMap(({ takes }) => takes.map(({ take }) => take));
  const usable = all.filter(isUsable).length;
  const repaired = all.filter(({ repairs }) => repairs.length > 0).length;
  const what = `${all.length} ${all.length === 1 ? 'take' : 'takes'}, ${usable} to use, ${repaired} repaired`;
  pages.say(`Takes for the edit, ${madeAt.toISOString().slice(0, 10)}. ${what}.`, { tone: 'haze' });
  for (const shot of shots) sayShot(pages, shot);
  if (all.length === 0) pages.say('No take has been logged yet.', { gap: 18 });
  return pages.finish(production);
}

function sayShot(pages: ReportPages, shot: ReportedShot): void {
  const { slate, title, captureFps, deliveryFps, takes } = shot;
  pages.rule();
  pages.say(`${slate}  ${title}`, { size: 14, weight: 'strong' });
  const { stretch } = frameRateFigures(captureFps, deliveryFps);
  const lasts = `, shown at ${deliveryFps}: everything lasts ${Number(stretch.toFixed(2))} times as long`;
  pages.say(`${captureFps} fps${stretch === 1 ? '' : lasts}`, { tone: 'haze' });
  for (const [index, span] of rankSpans(takes).slice(0, BEST).entries()) {
    const { take } = takes.find(({ number }) => number === span.number)!;
    const onScreen = screenTimeS(span.lengthS, captureFps, deliveryFps).toFixed(1);
    pages.say(`${index + 1}.  take ${span.number}   ${spanWords(span, take)}   ${onScreen} s on the screen`, {
      tone: 'good',
      weight: index === 0 ? 'strong' : 'plain',
    });
  }
  for (const { number, take } of takes) sayTake(pages, number, take, shot);
}

function sayTake(pages: ReportPages, number: number, take: Omit<Take, 'track'>, shot: ReportedShot): void {
  const { pullName, stopScale } = shot;
  const { gear, focusChecks, repairs } = take;
  const head = [
    `Take ${number}`,
    take.isCircled && 'circled',
    take.focus ?? 'not looked at',
    take.performance && `performance ${take.performance}`,
    take.isCutShort && 'cut short',
    gear.isReversed && 'SHOT BACKWARDS',
  ];
  pages.say(head.filter(Boolean).join(', '), { weight: 'strong', gap: 7, isHead: true });
  const spans = (list: Parameters<typeof spanWords>[0][]) => list.map((span) => spanWords(span, take)).join('; ');
  const usable = usableSpansOf(take);
  const faults = take.hits
    .filter(({ hit }) => hit !== 'hit')
    .map(({ hit, pullId }) => `${hit.replace('-', ' ')} at ${pullName(pullId)}`);
  const stop = formatStop(gear.stop, stopScale);
  const lines = [
    `${gear.lens}, ${stop}, ${gear.camera}${gear.puller ? `, pulled by ${gear.puller}` : ''}`,
    usable.length > 0 && `use ${spans(usable)}`,
    focusChecks.length > 0 && `cut out ${spans([...focusChecks])}: the ring was rocked to check`,
    faults.length > 0 && `focus: ${faults.join(', ')}`,
    repairs.length > 0 && `repairs: ${repairs.map((repair) => REPAIRS[repair]).join(', ')}`,
    take.whyKept && `kept although soft: ${take.whyKept}`,
    take.note && take.note !== take.whyKept && take.note,
    take.checkedOn && `checked on ${take.checkedOn}${take.checkMagnification ? ` at ${take.checkMagnification} times` : ''}`,
  ];
  for (const line of lines) if (line) pages.say(line, { indent: 12 });
}
