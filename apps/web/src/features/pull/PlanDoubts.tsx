import { planNotes, type ShotPlan } from '@still-heron/core';
import { useProductionAngle } from '../setup/PlanNotes';

/** What makes the verdict doubtful, in a line under it: the rest of what the gear says stands in Set-up. */
export function PlanDoubts({ plan }: { readonly plan: ShotPlan }) {
  const shutterAngleDeg = useProductionAngle();
  const doubts = planNotes(plan, { shutterAngleDeg }).filter(({ code }) => DOUBTS.includes(code));
  return doubts.map(({ code, kind, text }) => (
    <p key={code} role="note" className={`plan-doubt ${kind === 'blocks' ? 'tone-soft' : 'tone-edge'}`}>
      {text}
    </p>
  ));
}

/** Those that touch whether the line comes out as drawn. */
const DOUBTS: readonly string[] = ['ring-by-speed', 'stale-marks', 'zoom-not-tested', 'out-of-reach', 'reversed'];
