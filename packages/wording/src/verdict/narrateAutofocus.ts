import { type AutofocusRisk, autofocusRisk, formatTime, formatTimeFigure, type ShotPlan } from '@still-heron/core';
import type { SentencePart } from '../sentence.js';
import { autofocusReasonText, REFUSAL_WORDS } from '../stop/methodArgumentText.js';

/** A shot that is left to autofocus: what puts it at risk, since nothing is pulled. */
export function narrateAutofocus(plan: ShotPlan): SentencePart[] {
  const risk = autofocusRisk(plan);
  const { refusal, requiredS, atRiskS } = risk;
  if (refusal !== null)
    return [
      { tone: 'soft', text: `Autofocus can’t be used: ${REFUSAL_WORDS[refusal]}.` },
      { tone: 'plain', text: 'Choose another method on Stop.' },
    ];
  if (requiredS === 0) return [{ tone: 'plain', text: 'Nothing has to be sharp in this shot.' }];
  if (atRiskS > 0) {
    const whole = `the ${formatTime(requiredS)} that must be sharp`;
    const part = atRiskS >= requiredS - 1e-6 ? `all ${whole}` : `${formatTimeFigure(atRiskS)} of ${whole}`;
    return [{ tone: 'edge', text: `Left to autofocus: at risk for ${part}.` }, ...firstRisk(risk, plan), ...unknownOf(risk)];
  }
  return [
    { tone: 'plain', text: 'Left to autofocus, and no risk is known. Only test takes show how it searches.' },
    ...unknownOf(risk),
  ];
}

function firstRisk({ spans }: AutofocusRisk, plan: ShotPlan): SentencePart[] {
  const [first, ...others] = spans;
  if (!first) return [];
  const again = others.length === 0 ? '' : ` At risk ${others.length === 1 ? 'once' : `${others.length} times`} more.`;
  const what = `From ${formatTimeFigure(first.fromS)} to ${formatTime(first.toS)} ${autofocusReasonText(first, plan)}.`;
  return [{ tone: 'plain', text: `${what}${again}`, atS: first.fromS }];
}

function unknownOf({ isPlaced, areaPercent }: AutofocusRisk): SentencePart[] {
  if (!isPlaced) return [{ tone: 'plain', text: 'Draw the subjects on Floor: then their place in the picture counts.' }];
  if (areaPercent === null) return [{ tone: 'plain', text: 'The autofocus area is not known.' }];
  return [];
}
