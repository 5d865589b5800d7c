import type { LensSetup, UnitSystem } from '@still-heron/core';

export interface CalculatorProps {
  readonly optics: LensSetup;
  readonly units: UnitSystem;
  /** Sets the stop of the shown set-up */
  readonly onStop: (stop: number) => void;
}
