import {
  comparePlans,
  describeGearChange,
  formatTimeFigure,
  type GearChange,
  gearChanges,
  type GearPart,
  type KitNow,
  letGo,
  type PlanComparison,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { Button } from 'antd';
import { useMemo } from 'react';
import { useKit } from '../kit/useKit';
import { useEdit } from './useEdit';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

const PART_WORDS: Readonly<Record<GearPart, string>> = { camera: 'camera', lens: 'lens', wheel: 'wheel', rig: 'rig' };

/** The shot's gear as the kit has it now: undefined parts are those the kit has no more. Null while the kit is on its way. */
function useKitNow(plan: ShotPlan): KitNow | null {
  const cameras = useKit('cameras');
  const lenses = useKit('lenses');
  const wheels = useKit('wheels');
  const rigs = useKit('rigs');
  const { camera, lensId, wheelId, rigId } = plan.kit;
  return useMemo(() => {
    if (![cameras, lenses, wheels, rigs].every(({ isLoaded }) => isLoaded)) return null;
    const find = <T,>(items: readonly { readonly id: string; readonly item: T }[], id: string | null | undefined) =>
      items.find((view) => view.id === id)?.item;
    const now = {
      camera: find(cameras.items, camera?.id),
      lens: find(lenses.items, lensId),
      wheel: find(wheels.items, wheelId),
      rig: find(rigs.items, rigId),
    };
    return Object.fromEntries(Object.entries(now).filter(([, item]) => item !== undefined)) as KitNow;
    // the lists are new objects at every render; what they hold is not
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [cameras.items, lenses.items, wheels.items, rigs.items, camera, lensId, wheelId, rigId]);
}

/** What of the shot's gear is not as the kit has it now; null while the kit is on its way. */
export function useGearChanges(plan: ShotPlan): readonly GearChange[] | null {
  const now = useKitNow(plan);
  return useMemo(() => now && gearChanges(plan, now), [plan, now]);
}

/** The kit has changed since the shot took its gear: what differs, what that would do to the shot, and taking it over or not. */
export function GearChanges({ plan, units }: Props) {
  const changes = useGearChanges(plan) ?? [];
  return changes.map((change) => <OneChange key={change.part} change={change} plan={plan} units={units} />);
}

function OneChange({ change: { part, takenOver }, plan, units }: Props & { readonly change: GearChange }) {
  const edit = useEdit();
  const word = PART_WORDS[part];
  const keep = () => edit(`keep the shot’s own ${word}`, (now) => letGo(now, part));
  if (takenOver === null) {
    return (
      <aside className="gear-change" role="status">
        <p>
          <strong>The {word} is no more in Kit.</strong> The shot keeps what it took.
        </p>
        <Button onClick={keep}>Keep it as the shot’s own</Button>
      </aside>
    );
  }
  const differences = describeGearChange(plan, takenOver, part, units);
  return (
    <aside className="gear-change" role="status" aria-label={`The ${word} has changed in Kit`}>
      <p>
        <strong>The {word} has changed in Kit since this shot took it over:</strong> {differences.join('; ') || 'in its parts'}.{' '}
        <span className="gear-effect">{effectOf(comparePlans(plan, takenOver), plan, takenOver)}</span>
      </p>
      <Button type="primary" onClick={() => edit(`take over the ${word}`, () => takenOver)}>
        Take it over
      </Button>
      <Button onClick={keep}>Keep the shot’s</Button>
    </aside>
  );
}

/** In a sentence, what taking it over would do: sharp time, and how far marks move on the ring or the wheel. */
function effectOf({ sharpBeforeS, sharpAfterS, marks }: PlanComparison, plan: ShotPlan, after: ShotPlan): string {
  const parts: string[] = [];
  if (sharpBeforeS !== null && sharpAfterS !== null)
    parts.push(
      Math.abs(sharpAfterS - sharpBeforeS) < 0.05
        ? `sharp as long as before, ${formatTimeFigure(sharpAfterS)} s`
        : `sharp ${formatTimeFigure(sharpBeforeS)} s → ${formatTimeFigure(sharpAfterS)} s`,
    );
  const moved = marks.filter(({ beforeDeg, afterDeg }) => Math.abs(afterDeg - beforeDeg) >= 0.05);
  const [most] = [...moved].sort((a, b) => Math.abs(b.afterDeg - b.beforeDeg) - Math.abs(a.afterDeg - a.beforeDeg));
  const where = (after.wheel ?? plan.wheel) ? 'wheel' : 'ring';
  if (most) parts.push(`${most.letter} goes from ${most.beforeDeg.toFixed(1)}° to ${most.afterDeg.toFixed(1)}° of the ${where}`);
  const stale = after.marks.filter((mark, index) => mark.stale !== null && plan.marks[index]?.stale === null).length;
  if (stale > 0) parts.push(`${stale} ${stale === 1 ? 'distance' : 'distances'} to be measured again`);
  return parts.length === 0 ? 'It would change nothing in this shot.' : `In this shot: ${parts.join(', ')}.`;
}
