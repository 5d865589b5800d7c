import {
  evaluatePull,
  applyBlockingMove,
  type BlockedPlan,
  type PullVerdict,
  type ShotPlan,
  type BlockingMove,
  type BlockingMoveFigure,
  type BlockingMoveValues,
  defaultValues,
} from '@still-heron/core';
import { useMemo, useState } from 'react';
import { useAppDispatch, useAppStore } from '../../app/store';
import { itemSelected, selectSession } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import type { BlockingMoveDraft } from './BlockingMovesPanel';
import { selectedSubject } from './selectedSubject';

interface TriedMove extends BlockedPlan {
  readonly figures: readonly BlockingMoveFigure[];
  readonly values: BlockingMoveValues;
  readonly verdict: PullVerdict;
}

/** Preview of a blocking move that is not applied yet. */
export function useBlockingMoveDraft(plan: ShotPlan) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [draft, setDraft] = useState<BlockingMoveDraft | null>(null);
  const laid = useMemo((): TriedMove | null => {
    if (!draft) return null;
    const values = { ...defaultValues(draft.blockingMove, plan, draft), ...draft.values };
    const tried = applyBlockingMove(draft.blockingMove, plan, draft, values);
    return { ...tried, values, verdict: evaluatePull(tried.plan) };
  }, [draft, plan]);

  function pick(blockingMove: BlockingMove | null): void {
    if (!blockingMove) return setDraft(null);
    const { timeS, selection } = selectSession(store.getState());
    const subjectId = (selectedSubject(plan, selection) ?? plan.subjects[0])?.id ?? null;
    // leave some time for the move
    setDraft({ blockingMove, subjectId, atS: Math.min(timeS, Math.max(plan.durationS - 1, 0)), values: {} });
  }
  function lay(): void {
    if (!draft || !laid) return;
    dispatch(editPlan(`lay in: ${draft.blockingMove.word}`, () => laid.plan));
    dispatch(itemSelected(null));
    setDraft(null);
  }
  return { draft, laid, pick, setDraft, lay };
}
