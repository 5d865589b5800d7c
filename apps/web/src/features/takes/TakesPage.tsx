import type { TakeRowView } from '@still-heron/contract';
import { refusalText, KEPT_INPUT } from '@still-heron/wording';
import { isUsable, newTake, type ShotPlan } from '@still-heron/core';
import { useNotices } from '../../ui/notices/notices';
import { useState } from 'react';
import { useParams } from 'react-router';
import clsx from 'clsx';
import { problemOf } from '../../shared/api/api';
import { useLogTakeMutation, useTakesQuery } from '../../shared/api/takesApi';
import { Unreachable } from '../../ui/Unreachable';
import { useAppSelector, useAppStore } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { readOptions } from '../../shared/rollOptions';
import { selectProductionId, selectSaving } from '../shot/savingSlice';
import { selectDocument, selectPlan } from '../shot/shotSlice';
import { useKeepRate } from '../shot/useKeepRate';
import { useUnits } from '../../shared/useUnits';
import { Corrections } from './Corrections';
import { type Draft, freshDraft, takeOfDraft } from './draft';
import { EditorialPanel } from './EditorialPanel';
import { MeasuredErrorsPanel } from './MeasuredErrorsPanel';
import { TakeForm } from './TakeForm';
import { TakeList } from './TakeList';
import { useAdvice } from './useAdvice';
import layoutStyles from '../../ui/layout.module.css';
import styles from './TakesPage.module.css';
import textStyles from '../../ui/text.module.css';

/** Takes step: log each take, corrections, and whether to go again. */
export function TakesPage() {
  const { shotId = '' } = useParams();
  const plan = useAppSelector(selectPlan)!;
  const { data: takes, error, refetch } = useTakesQuery(shotId);
  if (error && !takes) return <Unreachable error={error} retry={() => void refetch()} />;
  if (!takes) return null;
  return <Log shotId={shotId} plan={plan} takes={takes} />;
}

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly takes: readonly TakeRowView[];
}

function Log({ shotId, plan, takes }: Props) {
  const units = useUnits();
  const productionId = useAppSelector(selectProductionId) ?? '';
  const slate = useAppSelector((state) => selectDocument(state)?.slate ?? '');
  const store = useAppStore();
  const notices = useNotices();
  const [logTake, { isLoading }] = useLogTakeMutation();
  const [draft, setDraft] = useState<Draft>(freshDraft);
  const rate = useKeepRate()?.rate ?? null;
  const { next, tone, text } = useAdvice(plan, takes);
  const pullIds = plan.focusTrack.pulls.map(({ id }) => id);
  const number = (takes.at(-1)?.number ?? 0) + 1;

  async function log(): Promise<void> {
    if (isLoading) return;
    const empty = newTake(plan, selectSaving(store.getState()).baseVersion);
    const settings = { ...empty.gear, puller: readOptions(window.localStorage).puller };
    const take = takeOfDraft(draft, { ...empty, gear: settings, predictedKeepRate: rate?.keepRate ?? null }, pullIds);
    const { error } = await logTake({ shotId, rolledAt: new Date().toISOString(), take });
    if (error) notices.fail(refusalText(`Take ${number} was not logged`, problemOf(error).body, KEPT_INPUT));
    else setDraft(freshDraft());
  }
  useKeys('t', () => void log());

  return (
    <div className={layoutStyles.stepPage}>
      <div className={clsx(layoutStyles.surface, styles.takesSurface)}>
        <p className={layoutStyles.sentence} role="status" data-testid="go-again">
          <span className={clsx(!(tone === 'plain') && textStyles[`tone-${tone}`])}>{text}</span>
        </p>
        <TakeForm
          draft={draft}
          plan={plan}
          units={units}
          number={number}
          pullIds={pullIds}
          isLogging={isLoading}
          onChange={setDraft}
          onLog={() => void log()}
        />
        <TakeList shotId={shotId} plan={plan} takes={takes} units={units} />
      </div>
      <aside data-testid="side" className={layoutStyles.side} aria-label="What to change">
        <Corrections corrections={next.corrections} plan={plan} units={units} />
        <EditorialPanel productionId={productionId} shot={{ id: shotId, slate, plan }} takes={takes} />
        <MeasuredErrorsPanel plan={plan} takes={takes} />
        <Prediction takes={takes} />
      </aside>
    </div>
  );
}

/** Compares the predicted keep rates of the takes with their results. */
function Prediction({ takes }: { readonly takes: readonly TakeRowView[] }) {
  const foreseen = takes.flatMap(({ take }) => (take.predictedKeepRate === null ? [] : take));
  if (foreseen.length === 0) return null;
  const expected = foreseen.reduce((sum, { predictedKeepRate }) => sum + predictedKeepRate!, 0);
  return (
    <section>
      <h2>Predicted and actual</h2>
      <p>
        <strong>{foreseen.filter(isUsable).length}</strong> of {foreseen.length} usable;{' '}
        {expected.toFixed(foreseen.length < 10 ? 1 : 0)} were predicted.
      </p>
      {foreseen.length < FEW && <p className={textStyles.muted}>Too few takes to compare yet.</p>}
    </section>
  );
}

/** With fewer takes, a rate says little. */
const FEW = 6;
