import type { ShotPlan, UnitSystem } from '@still-heron/core';
import { GearFields } from './GearFields';
import { SharpnessFields } from './SharpnessFields';
import { ShotFields } from './ShotFields';
import layoutStyles from '../../ui/layout.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Fields of the set-up in working order. */
export function SetupFields({ plan, units }: Props) {
  return (
    <aside data-testid="side" className={layoutStyles.side} aria-label="Camera, lens and shot">
      <GearFields plan={plan} units={units} />
      <ShotFields plan={plan} />
      <SharpnessFields plan={plan} />
    </aside>
  );
}
