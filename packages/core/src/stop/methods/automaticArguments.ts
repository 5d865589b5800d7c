import type { ShotPlan } from '../../plan/index.js';
import type { AutofocusRisk, AutofocusSpan } from '../../verdict/index.js';
import type { ActionFacts } from './actionFacts.js';
import { type Arguments, type MethodArgument, thoseThatHold } from './methodArgument.js';

/** Arguments for and against autofocus, or why it can't be used. */
export function automaticArguments(
  { isAlone, needsRemote, areHandsNeeded, known }: ActionFacts,
  { refusal, isLensTested, isModeTested, areaPercent, isPlaced, atRiskS, requiredS, spans }: AutofocusRisk,
  { optics: { lens } }: ShotPlan,
): Arguments & { readonly isRefused: boolean } {
  if (refusal !== null) return { isRefused: true, pro: [], contra: [{ code: refusal }] };
  return {
    isRefused: false,
    pro: thoseThatHold([
      [areHandsNeeded, { code: 'hands-needed' }],
      [!areHandsNeeded && (isAlone || needsRemote), { code: 'hands-are-busy' }],
      [known === 'unknown', { code: 'nothing-known' }],
    ]),
    contra: [
      ...thoseThatHold([
        [atRiskS > 0, { code: 'at-risk', forS: atRiskS, ofS: requiredS }],
        ...byReason(spans),
        [!isPlaced, { code: 'place-unknown' }],
        [isPlaced && areaPercent === null, { code: 'area-unknown' }],
        [!isModeTested, { code: 'mode-untested' }],
        [!isLensTested, { code: 'lens-untested' }],
        [!lens.reportsData, { code: 'no-lens-data' }],
        [known === 'known', { code: 'a-hand-is-safer' }],
      ]),
      { code: 'not-computable' },
    ],
  };
}

/** Each reason for each subject once, with how long it lasts in all. */
function byReason(spans: readonly AutofocusSpan[]): [holds: boolean, argument: MethodArgument][] {
  const found = new Map<string, { span: AutofocusSpan; forS: number }>();
  for (const span of spans) {
    const key = JSON.stringify([span.subjectId, span.reason]);
    const known = found.get(key) ?? { span, forS: 0 };
    found.set(key, { span: known.span, forS: known.forS + span.toS - span.fromS });
  }
  return [...found.values()].map(({ span, forS }) => [true, { code: 'autofocus-risk', span, forS }]);
}
