import { type ShotPlan, wheelNearerTurns } from '@still-heron/core';
import { turnsOtherWayText } from '@still-heron/wording';
import { useParams } from 'react-router';
import { useShotRowsQuery } from '../../shared/api/api';
import { useAppSelector } from '../../shared/store/hooks';
import { selectProductionId } from '../shot/savingSlice';
import layoutStyles from '../../ui/layout.module.css';

/** Said where the hand turns the other way to focus nearer than in the shot before. */
export function TurnsOtherWay({ plan }: { readonly plan: ShotPlan }) {
  const { shotId = '' } = useParams();
  const productionId = useAppSelector(selectProductionId);
  const { data: shots = [] } = useShotRowsQuery(productionId ?? '', { skip: !productionId });
  const before = shots[shots.findIndex(({ id }) => id === shotId) - 1];
  const now = wheelNearerTurns(plan.wheel, plan.optics.lens.nearerTurns);
  if (!before?.setup || before.setup.nearerTurns === now) return null;
  return (
    <p role="note" className={layoutStyles.caution} data-testid="turns-other-way">
      {turnsOtherWayText(now, before.slate)}
    </p>
  );
}
