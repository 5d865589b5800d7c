import type { ShotPlan, UnitSystem } from '@still-heron/core';
import { CameraFields } from './CameraFields';
import { LensFields } from './LensFields';
import { SharpnessFields } from './SharpnessFields';
import { ShotFields } from './ShotFields';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** What is on the camera and how it runs, in the order in which one asks. */
export function SetupFields({ plan, units }: Props) {
  return (
    <aside className="side setup-fields" aria-label="Camera, lens and shot">
      <CameraFields plan={plan} />
      <LensFields plan={plan} units={units} />
      <ShotFields plan={plan} />
      <SharpnessFields plan={plan} />
    </aside>
  );
}
