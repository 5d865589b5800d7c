import {
  activeBeats,
  type CompleteVerdict,
  formatTime,
  formatTimeFigure,
  pictureWidthMm,
  planCircleMm,
  type ShotPlan,
} from '@still-heron/core';
import { hiderName, subjectName } from '../names.js';
import type { SentencePart } from '../sentence.js';

/** Key moments that are missed; they come before everything else. */
export function keyMoments(verdict: CompleteVerdict, plan: ShotPlan): SentencePart[] {
  const missed = verdict.beats.filter(({ isKeyMomentKept }) => isKeyMomentKept === false).map(({ beatId }) => beatId);
  const keys = activeBeats(plan).filter(({ id }) => missed.includes(id));
  if (keys.length === 0) return [];
  const times = keys.map(({ keyMomentS }) => formatTime(keyMomentS!)).join(' and ');
  return [
    {
      tone: 'soft',
      text: keys.length === 1 ? `The key moment at ${times} is missed.` : `The key moments at ${times} are missed.`,
      atS: keys[0]!.keyMomentS!,
    },
  ];
}

/** Who is hidden first, by what and when, and how often that happens again. */
export function whoIsHidden({ hiddenSpans, beats }: CompleteVerdict, plan: ShotPlan): SentencePart[] {
  const [first, ...others] = hiddenSpans;
  if (!first) return [];
  const name = subjectName(plan, first.subjectId);
  const beat = beats.find(({ beatId }) => beatId === first.beatId);
  const { fromS, toS } = beat?.frames === 0 ? plan.beats.find(({ id }) => id === first.beatId)! : first;
  const hidden = beat?.frames === 0 ? 'is never seen, but hidden' : 'is hidden';
  const what = `${name} ${hidden} by ${hiderName(plan, first.by)} from ${formatTimeFigure(fromS)} to ${formatTime(toS)}.`;
  const again = others.length === 0 ? '' : ` Somebody is hidden ${others.length === 1 ? 'once' : `${others.length} times`} more.`;
  return [{ tone: beat?.kept === false ? 'soft' : 'edge', text: `${what}${again}`, atS: first.fromS }];
}

/** The first subject that must be soft and is too sharp. */
export function notSoftEnough({ tooSharpSpans }: CompleteVerdict, plan: ShotPlan): SentencePart[] {
  const [first] = tooSharpSpans;
  if (!first) return [];
  const name = subjectName(plan, first.subjectId);
  const blur = `${first.blurPercent.toFixed(first.blurPercent < 0.1 ? 2 : 1)} %`;
  // a blur below the circle of confusion needs no figure
  const is = first.blurPercent < circlePercent(plan) ? `${name} is sharp` : `${name} blurs to ${blur} of the picture's width`;
  const required =
    first.blurPercent < circlePercent(plan)
      ? `a blur of ${first.requiredPercent} % of the picture's width`
      : `${first.requiredPercent} %`;
  return [
    { tone: 'soft', text: `Too sharp from ${formatTime(first.fromS)}:`, atS: first.fromS },
    { tone: 'plain', text: `${is}, and ${required} is required.` },
  ];
}

/** Circle of confusion in percent of the picture's width. */
function circlePercent({ optics }: ShotPlan): number {
  return (100 * planCircleMm(optics)) / pictureWidthMm(optics);
}

/** The track turns faster than the puller is willing to. */
export function tooFast({ fastest: { timeS, maxHandDegPerS, limitDegPerS } }: CompleteVerdict): SentencePart {
  return {
    tone: 'edge',
    text: `Too hard: at ${formatTime(timeS)} the hand would turn ${maxHandDegPerS.toFixed(0)}°/s, and its limit is ${limitDegPerS.toFixed(0)}°/s.`,
  };
}
