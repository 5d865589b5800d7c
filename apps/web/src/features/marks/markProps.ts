import type { Mark, ShotPlan, UnitSystem } from '@still-heron/core';

/** What each part of a mark's card needs. */
export interface MarkProps {
  readonly mark: Mark;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}
