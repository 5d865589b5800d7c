import { addPull, removeBeat, removePull, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { memo, Suspense, useState } from 'react';
import { useAfterDrag } from '../../shared/gestures/dragging';
import { lazyPart } from '../../shared/lazyPart';
import { useKeys } from '../../shared/keys/useKeys';
import { axisChosen } from '../../shared/preferences';
import { useAppDispatch, useAppSelector, useAppStore } from '../../shared/store/hooks';
import { itemSelected, selectSession } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';
import { useUnits } from '../../shared/useUnits';
import { useVerdict } from '../shot/useVerdict';
import { PullChart } from './PullChart';
import { Fixes } from './Fixes';
import { nextPull } from './nextPull';
import { PullSide } from './PullSide';
import { SubjectForm } from './SubjectForm';
import { Transport } from './Transport';
import { PlanWarnings } from './PlanWarnings';
import { useTimeViewKeys } from './useTimeView';
import { usePlaying, usePlayKeys } from '../shot/usePlaying';
import { VerdictSentence } from './VerdictSentence';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './PullPage.module.css';

const SolverPanel = lazyPart(() => import('./SolverPanel').then(({ SolverPanel }) => SolverPanel));

/** Pull step: the focus track over time with marks, pulls and verdict. */
export function PullPage() {
  const plan = useAppSelector(selectPlan)!;
  const units = useUnits();
  const judged = useVerdict();
  const verdict = judged?.verdict.status === 'judged' && isSameShape(judged.plan, plan) ? judged.verdict : null;
  // after the first subject, the next one is typed into the form of the side column
  const [isAdding, setIsAdding] = useState(false);
  const [isSolving, setIsSolving] = useState(false);
  usePullKeys(plan);
  useKeys('l', () => setIsSolving(!isSolving));
  usePlaying(plan.durationS);
  if (plan.subjects.length === 0 && plan.marks.length === 0) return <FirstDistance onAdded={() => setIsAdding(true)} />;
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={layoutStyles.surface}>
        <VerdictSentence judged={judged} units={units} />
        <AboveChart plan={plan} units={units} isSolving={isSolving} onSolve={setIsSolving} />
        <PullChart plan={plan} verdict={verdict} units={units} />
      </div>
      <PullSide plan={plan} verdict={verdict} units={units} isAdding={isAdding} />
    </div>
  );
}

interface AboveChartProps {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly isSolving: boolean;
  readonly onSolve: (isSolving: boolean) => void;
}

/** What stands between the sentence and the chart. It takes no part in a drag, and its plan at rest is no matter of the page. */
function AboveChart({ plan, ...rest }: AboveChartProps) {
  return <RestingParts plan={useAfterDrag(plan)} {...rest} />;
}

const RestingParts = memo(function RestingParts({ plan, units, isSolving, onSolve }: AboveChartProps) {
  return (
    <>
      <Fixes plan={plan} units={units} />
      <PlanWarnings plan={plan} />
      <Transport plan={plan} isSolving={isSolving} onSolve={() => onSolve(!isSolving)} />
      {isSolving && (
        <Suspense>
          <SolverPanel plan={plan} units={units} onDone={() => onSolve(false)} />
        </Suspense>
      )}
    </>
  );
});

/** Whether a verdict of an older plan still fits the chart: same subjects and same pulls. */
function isSameShape(judged: ShotPlan, now: ShotPlan): boolean {
  const ids = (plan: ShotPlan) => [...plan.subjects, ...plan.focusTrack.pulls, ...plan.beats].map(({ id }) => id).join();
  return judged === now || (ids(judged) === ids(now) && judged.optics.lens === now.optics.lens);
}

function FirstDistance({ onAdded }: { readonly onAdded: () => void }) {
  return (
    <div className={styles.firstDistance}>
      <h1>Who must be sharp first?</h1>
      <p className={textStyles.muted}>
        Measure with a tape from the mark on the camera body to the eyes, and type what the tape says.
      </p>
      <SubjectForm isFirst onAdded={onAdded} />
      <p className={textStyles.muted}>For example 2.4 · 240cm · 7'11 · 95in · inf</p>
    </div>
  );
}

function usePullKeys(plan: ShotPlan): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  usePlayKeys(plan);
  useTimeViewKeys(plan);
  useKeys('n', () => document.getElementById('new-subject-name')?.focus(), { preventDefault: true });
  useKeys('h', () => dispatch(axisChosen(store.getState().preferences.axis === 'hand' ? 'distance' : 'hand')));
  useKeys('p', () => {
    const { timeS, selection } = selectSession(store.getState());
    const next = nextPull(plan, timeS, selection?.id);
    if (next) dispatch(editPlan(`pull to ${next.mark.letter}`, (now) => addPull(now, next.mark.id, next.atS)));
  });
  useKeys('esc', () => dispatch(itemSelected(null)));
  useKeys('delete, backspace', () => {
    const { selection } = selectSession(store.getState());
    if (selection?.kind === 'move') dispatch(editPlan('delete a pull', (now) => removePull(now, selection.id)));
    if (selection?.kind === 'beat') dispatch(editPlan('delete a span', (now) => removeBeat(now, selection.id)));
    if (selection) dispatch(itemSelected(null));
  });
}
