import {
  automaticParts,
  autofocusRisk,
  formatTime,
  formatTimeFigure,
  type Method,
  type MethodPart,
  ofPart,
  type PartFigures,
  type ShotPlan,
} from '@still-heron/core';
import type { SentencePart } from '../sentence.js';
import { autofocusReasonText, REFUSAL_WORDS } from '../stop/methodArgumentText.js';
import { METHOD_WORDS } from './methodText.js';

/** When a part of the shot is. */
export function partTimes({ fromS, toS }: Pick<MethodPart, 'fromS' | 'toS'>): string {
  return `${formatTimeFigure(fromS)} to ${formatTime(toS)}`;
}

/** The methods of a shot in the order of its parts. */
export function methodsText({ method, laterMethods }: Pick<ShotPlan, 'method' | 'laterMethods'>): string {
  return methodList([method, ...laterMethods.map((part) => part.method)]);
}

/** Methods that follow one another. */
export function methodList(methods: readonly Method[]): string {
  return methods.map((method) => METHOD_WORDS[method].short).join(', then ');
}

/** What one part of a shot comes to, as planned. */
export function partResult({ requiredS, sharpS, autofocus }: PartFigures): string {
  if (autofocus?.refusal) return `autofocus can’t be used: ${REFUSAL_WORDS[autofocus.refusal]}`;
  if (requiredS === 0) return 'nothing has to be sharp';
  if (autofocus)
    return autofocus.atRiskS > 0
      ? `at risk for ${formatTimeFigure(autofocus.atRiskS)} of ${formatTime(requiredS)}`
      : `no risk is known in ${formatTime(requiredS)}`;
  return `sharp for ${formatTimeFigure(sharpS!)} of ${formatTime(requiredS)}`;
}

/** What is left to autofocus in a shot that is pulled by hand otherwise: when, and its first risk. */
export function automaticPartsSentence(plan: ShotPlan): SentencePart[] {
  return automaticParts(plan).flatMap((part): SentencePart[] => {
    const { refusal, atRiskS, requiredS, spans } = autofocusRisk(ofPart(plan, part));
    if (refusal !== null)
      return [
        { tone: 'soft', text: `From ${partTimes(part)} autofocus can’t be used: ${REFUSAL_WORDS[refusal]}.`, atS: part.fromS },
      ];
    const left = `Left to autofocus from ${partTimes(part)}`;
    if (requiredS === 0) return [{ tone: 'plain', text: `${left}, and nothing has to be sharp then.`, atS: part.fromS }];
    if (atRiskS === 0) return [{ tone: 'plain', text: `${left}, and no risk is known.`, atS: part.fromS }];
    const [first] = spans;
    const what = first ? ` From ${formatTimeFigure(first.fromS)} ${autofocusReasonText(first, plan)}.` : '';
    return [
      {
        tone: 'edge',
        text: `${left}: at risk for ${formatTimeFigure(atRiskS)} of ${formatTime(requiredS)}.${what}`,
        atS: part.fromS,
      },
    ];
  });
}
