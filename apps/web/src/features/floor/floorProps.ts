import type { ShotPlan, UnitSystem } from '@still-heron/core';

export interface FloorSideProps {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}
