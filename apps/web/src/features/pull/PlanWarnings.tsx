import { planNotes, type ShotPlan } from '@still-heron/core';
import { useProductionAngle } from '../setup/PlanNotes';

/** Warnings that affect the verdict, in a line below it. Set-up shows all others. */
export function PlanWarnings({ plan }: { readonly plan: ShotPlan }) {
  const shutterAngleDeg = useProductionAngle();
  const doubts = planNotes(plan, { shutterAngleDeg }).filter(({ code }) => VERDICT_WARNINGS.includes(code));
  return doubts.map(({ code, kind, text }) => (
    <p key={code} role="note" className={`plan-doubt ${kind === 'blocks' ? 'tone-soft' : 'tone-edge'}`}>
      {text}
    </p>
  ));
}

/** Codes of warnings that affect whether the track comes out as planned. */
const VERDICT_WARNINGS: readonly string[] = ['ring-by-speed', 'stale-marks', 'zoom-not-tested', 'out-of-reach', 'reversed'];
