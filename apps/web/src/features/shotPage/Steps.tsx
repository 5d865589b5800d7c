import {
  activeBeats,
  automaticParts,
  autofocusRisk,
  floorTimes,
  isAllAutomatic,
  type KeepRate,
  ringOf,
  placementOf,
  sharpBeatsAt,
  type ShotPlan,
  staleMarks,
} from '@still-heron/core';
import { memo, useMemo } from 'react';
import { NavLink } from 'react-router';
import clsx from 'clsx';
import { useAfterDrag } from '../../shared/gestures/dragging';
import { useAppSelector } from '../../shared/store/hooks';
import { useGearChanges } from '../setup/GearChanges';
import { selectPlan } from '../shot/shotSlice';
import { useKeepRate } from '../shot/useKeepRate';
import { type PlanVerdict, useVerdict } from '../shot/useVerdict';
import { Key } from '../../ui/Key';
import barStyles from '../../ui/frame/bars.module.css';
import styles from './Steps.module.css';
import textStyles from '../../ui/text.module.css';

type StepState = 'untouched' | 'in-progress' | 'ready' | 'check';

const SIGNS: Readonly<Record<StepState, string>> = { untouched: '○', 'in-progress': '◐', ready: '●', check: '▲' };

const WORDS: Readonly<Record<StepState, string>> = {
  untouched: 'untouched',
  'in-progress': 'in progress',
  ready: 'ready',
  check: 'check this',
};

/** Steps of a shot in working order, each with its state as a sign and a word. */
export function Steps({ shotId }: { readonly shotId: string }) {
  const plan = useAfterDrag(useAppSelector(selectPlan)!);
  const judged = useVerdict();
  const changes = useGearChanges(plan);
  const rate = useKeepRate()?.rate ?? null;
  const setup = useMemo(() => setupState(plan, changes?.length ?? 0), [plan, changes]);
  const floor = useMemo(() => floorState(plan), [plan]);
  return <StepLinks shotId={shotId} setup={setup} floor={floor} pull={pullState(plan, judged)} stop={stopState(plan, rate)} />;
}

type Planned = 'setup' | 'floor' | 'pull' | 'stop';

/** The links alone, which change less often than the plan. */
const StepLinks = memo(function StepLinks({
  shotId,
  ...states
}: { readonly shotId: string } & Readonly<Record<Planned, StepState>>) {
  const steps: readonly { path: string; name: string; state: StepState | null; key?: number }[] = [
    { path: 'setup', name: 'Set-up', state: states.setup },
    { path: 'floor', name: 'Floor', state: states.floor },
    { path: 'pull', name: 'Pull', state: states.pull },
    { path: 'stop', name: 'Stop', state: states.stop },
    { path: 'roll', name: 'Roll', state: null, key: 6 },
    { path: 'takes', name: 'Takes', state: null, key: 7 },
  ];
  return (
    <nav className={barStyles.steps} aria-label="Steps of the shot">
      {steps.map(({ path, name, state, key }, index) => (
        <NavLink
          key={path}
          to={`/shots/${shotId}/${path}`}
          className={({ isActive }) => clsx(barStyles.step, state && styles[`step-${state}`], isActive && barStyles.isHere)}
        >
          {state && (
            <span className={styles.stepSign} aria-hidden="true">
              {SIGNS[state]}
            </span>
          )}
          {name}
          {state && <span className={textStyles.unseen}>, {WORDS[state]}</span>}
          <Key aria-hidden="true">{key ?? index + 1}</Key>
        </NavLink>
      ))}
    </nav>
  );
});

/** Set-up needs attention if a mark is out of the ring's range, distances are stale, or the kit has changed. */
function setupState(plan: ShotPlan, changes: number): StepState {
  const { closeFocusMm, farthestMm } = ringOf(plan.optics.lens);
  const isOutside = plan.marks.some(
    ({ distanceMm }) => (distanceMm ?? Infinity) < closeFocusMm || (distanceMm ?? Infinity) > farthestMm,
  );
  const isBySpeed = plan.optics.lens.response === 'speed' && !isAllAutomatic(plan);
  const isDoubtful = staleMarks(plan).length > 0 || isBySpeed;
  return isOutside || isDoubtful || changes > 0 ? 'check' : 'ready';
}

/** The floor is optional. It needs attention if a subject stands where it can't be focused on while it must be sharp. */
function floorState(plan: ShotPlan): StepState {
  if (plan.floor === null) return 'untouched';
  const times = [...floorTimes(plan), ...activeBeats(plan).map(({ fromS }) => fromS)];
  const isWrong = plan.subjects.some((subject) =>
    times.some(
      (timeS) =>
        sharpBeatsAt(plan, timeS).some(({ subjectId }) => subjectId === subject.id) &&
        !['before-the-camera', 'not-on-the-floor'].includes(placementOf(plan, subject, timeS)),
    ),
  );
  if (isWrong) return 'check';
  return plan.subjects.length > 0 ? 'ready' : 'in-progress';
}

function pullState(plan: ShotPlan, judged: PlanVerdict | null): StepState {
  if (plan.marks.length === 0) return 'untouched';
  if (!judged || judged.verdict.status === 'incomplete') return 'in-progress';
  if (isAllAutomatic(plan)) return autofocusState(plan);
  if (judged.verdict.outcome !== 'sharp') return 'check';
  return automaticParts(plan).length > 0 ? autofocusState(plan) : 'ready';
}

/** Focus that is left to the camera needs attention while it is at risk, or can't be used. */
function autofocusState(plan: ShotPlan): StepState {
  const { refusal, atRiskS } = autofocusRisk(plan);
  return refusal === null && atRiskS === 0 ? 'ready' : 'check';
}

/** Stop needs attention while the keep rate is below the target. */
function stopState(plan: ShotPlan, rate: KeepRate | null): StepState {
  if (isAllAutomatic(plan) && plan.beats.length > 0) return autofocusState(plan);
  if (!rate) return 'untouched';
  if (rate.keepRate < plan.goals.targetKeepRate) return 'check';
  return automaticParts(plan).length > 0 ? autofocusState(plan) : 'ready';
}
