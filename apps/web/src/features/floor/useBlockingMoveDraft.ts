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
  subjectsFor,
} from '@still-heron/core';
import { BLOCKING_MOVE_WORDS } from '@still-heron/wording';
import { useMemo, useState } from 'react';
import { useAppDispatch, useAppStore } from '../../shared/store/hooks';
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
  const tried = useMemo((): TriedMove | null => {
    if (!draft) return null;
    const values = { ...defaultValues(draft.blockingMove, plan, draft), ...draft.values };
    const applied = applyBlockingMove(draft.blockingMove, plan, draft, values);
    return { ...applied, values, verdict: evaluatePull(applied.plan) };
  }, [draft, plan]);

  function pick(blockingMove: BlockingMove | null): void {
    if (!blockingMove) return setDraft(null);
    const { timeS, selection } = selectSession(store.getState());
    const possible = subjectsFor(blockingMove, plan);
    const selected = selectedSubject(plan, selection);
    const subjectId = (possible.find(({ id }) => id === selected?.id) ?? possible[0])?.id ?? null;
    // leave some time for the move
    setDraft({ blockingMove, subjectId, atS: Math.min(timeS, Math.max(plan.durationS - 1, 0)), values: {} });
  }
  function apply(): void {
    if (!draft || !tried) return;
    dispatch(editPlan(`blocking move: ${BLOCKING_MOVE_WORDS[draft.blockingMove.id].name}`, () => tried.plan));
    dispatch(itemSelected(null));
    setDraft(null);
  }
  return { draft, tried, pick, setDraft, apply };
}
