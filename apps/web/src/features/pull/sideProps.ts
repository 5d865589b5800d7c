import type { CompleteVerdict, ShotPlan, UnitSystem } from '@still-heron/core';

export interface SideProps {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
  readonly units: UnitSystem;
}
