import { type MethodPart, methodParts, ofPart, type ShotPlan } from '../../plan/index.js';
import { type AutofocusRisk, autofocusRisk, evaluateResult } from '../../verdict/index.js';

/** What one part of a shot requires, and what its method makes of it. */
export interface PartFigures {
  readonly part: MethodPart;
  /** Seconds in which something must be sharp in it */
  readonly requiredS: number;
  /** Those of them in which it is, as planned; null for a part that is left to autofocus */
  readonly sharpS: number | null;
  /** The shot with what this part requires alone, for the trials; null for a part without trials */
  readonly plan: ShotPlan | null;
  /** null for a part by hand */
  readonly autofocus: AutofocusRisk | null;
}

/** The parts of a shot, each judged by itself. Parts that are left to autofocus have risks, the others sharp seconds. */
export function partFigures(plan: ShotPlan): PartFigures[] {
  return methodParts(plan).map((part): PartFigures => {
    const own = ofPart(plan, part);
    if (part.method === 'automatic') {
      const autofocus = autofocusRisk(own);
      return { part, requiredS: autofocus.requiredS, sharpS: null, plan: null, autofocus };
    }
    const result = evaluateResult(own);
    const [requiredS, sharpS] = [result?.requiredFrames ?? 0, result?.sharpFrames ?? 0].map((frames) => frames / plan.captureFps);
    return { part, requiredS: requiredS!, sharpS: sharpS!, plan: requiredS! > 0 ? own : null, autofocus: null };
  });
}
