import type { TakeRowView } from '@still-heron/contract';
import { isKeptTake, isSimulated, type ShotPlan } from '@still-heron/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import clsx from 'clsx';
import { useTakesQuery } from '../../shared/api/takesApi';
import { Unreachable } from '../../ui/Unreachable';
import { useAppSelector } from '../../shared/store/hooks';
import { selectProductionId } from '../shot/savingSlice';
import { selectDocument, selectPlan } from '../shot/shotSlice';
import { useUnits } from '../../shared/useUnits';
import { Corrections } from './Corrections';
import { type Draft, freshDraft } from './draft';
import { EditorialPanel } from './EditorialPanel';
import { LoggedTake } from './LoggedTake';
import { MeasuredErrorsPanel } from './MeasuredErrorsPanel';
import { NewTake } from './NewTake';
import { TakeList } from './TakeList';
import { useAdvice } from './useAdvice';
import layoutStyles from '../../ui/layout.module.css';
import styles from './TakesPage.module.css';
import textStyles from '../../ui/text.module.css';

/** Takes step: log each take, put logged ones right, corrections, and whether to go again. */
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
  const { next, tone, text } = useAdvice(plan, takes);
  const [openId, setOpenId] = useState<string | null>(null);
  const [draft, setDraft] = useState<Draft>(freshDraft);
  // a look at another take loses nothing that was changed of this one
  const [kept, setKept] = useState<Readonly<Record<string, Draft | undefined>>>({});
  const number = (takes.at(-1)?.number ?? 0) + 1;
  return (
    <div className={layoutStyles.stepPage}>
      <div className={clsx(layoutStyles.surface, styles.takesSurface)}>
        <p className={layoutStyles.sentence} role="status" data-testid="go-again">
          <span className={clsx(!(tone === 'plain') && textStyles[`tone-${tone}`])}>{text}</span>
        </p>
        {openId === null ? (
          <NewTake shotId={shotId} plan={plan} units={units} number={number} draft={draft} onDraft={setDraft} />
        ) : (
          <LoggedTake
            key={openId}
            id={openId}
            shotId={shotId}
            units={units}
            plan={plan}
            kept={kept[openId]}
            onKeep={(changed) => setKept((all) => ({ ...all, [openId]: changed }))}
            onDone={() => setOpenId(null)}
          />
        )}
        <TakeList shotId={shotId} plan={plan} takes={takes} units={units} openId={openId} onOpen={setOpenId} />
      </div>
      <aside data-testid="side" className={layoutStyles.side} aria-label="What to change">
        <Corrections next={next} plan={plan} units={units} />
        <EditorialPanel productionId={productionId} shot={{ id: shotId, slate, plan }} takes={takes} />
        <MeasuredErrorsPanel plan={plan} takes={takes} />
        <Prediction takes={takes} />
      </aside>
    </div>
  );
}

/** Compares the predicted keep rates of the takes with their results. */
function Prediction({ takes }: { readonly takes: readonly TakeRowView[] }) {
  // a take of which nobody said was neither; one of a simulator is no evidence
  const foreseen = takes.flatMap(({ take }) =>
    take.predictedKeepRate === null || isKeptTake(take) === null || isSimulated(take) ? [] : take,
  );
  if (foreseen.length === 0) return null;
  const expected = foreseen.reduce((sum, { predictedKeepRate }) => sum + predictedKeepRate!, 0);
  return (
    <section>
      <h2>Predicted and actual</h2>
      <p>
        <strong>{foreseen.filter(isKeptTake).length}</strong> of {foreseen.length} kept;{' '}
        {expected.toFixed(foreseen.length < 10 ? 1 : 0)} were predicted.
      </p>
      {foreseen.length < FEW && <p className={textStyles.muted}>Too few takes to compare yet.</p>}
    </section>
  );
}

/** With fewer takes, a rate says little. */
const FEW = 6;
