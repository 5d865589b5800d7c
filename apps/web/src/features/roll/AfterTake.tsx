import { type TakeVerdict, type UnitSystem, verdictOf } from '@still-heron/core';
import { KEPT_INPUT, practiceText, refusalText, takeVerdictText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useMemo, useState, useSyncExternalStore } from 'react';
import { problemOf } from '../../shared/api/api';
import { useSaveTakeMutation } from '../../shared/api/takesApi';
import { useKeys } from '../../shared/keys/useKeys';
import { type Draft, draftOf, takeOfDraft } from '../takes/draft';
import { LookFirst } from '../takes/LookFirst';
import { RecoveryLines } from '../takes/RecoveryLines';
import { TakeChart } from '../takes/TakeChart';
import { TakeForm } from '../takes/TakeForm';
import { turnRows } from '../takes/turnRows';
import { TurnTable } from '../takes/TurnTable';
import { LastRun } from './LastRun';
import type { FinishedRoll } from './rollMoment';
import { sending } from './sendTakes';
import { Button } from '../../ui/Button';
import styles from './AfterTake.module.css';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly shotId: string;
  readonly units: UnitSystem;
  readonly ended: FinishedRoll;
  /** The run before it; null if there is none */
  readonly before: FinishedRoll | null;
  readonly onDone: () => void;
}

/** The take just rolled: its track against the plan, editable before it is put away. */
export function AfterTake({ shotId, units, ended, before, onDone }: Props) {
  const { plan } = ended;
  const notices = useNotices();
  const { isPractice } = ended;
  const logged = useSyncExternalStore(sending.subscribe, () => sending.loggedAs(ended.id));
  const { unsent, refusal } = useSyncExternalStore(sending.subscribe, sending.state);
  const [save, { isLoading }] = useSaveTakeMutation();
  const [draft, setDraft] = useState<Draft>(() => draftOf(ended.take));
  const pullIds = useMemo(
    () => (ended.take.track === null ? plan.focusTrack.pulls.map(({ id }) => id) : ended.take.hits.map(({ pullId }) => pullId)),
    [plan, ended],
  );
  const verdict = useMemo(() => verdictOf(plan, ended.take, ended.pace), [plan, ended]);

  async function put(): Promise<void> {
    if (!logged || isLoading) return;
    const take = takeOfDraft(draft, ended.take);
    const { error } = await save({ shotId, id: logged.id, version: logged.version, take });
    if (error) notices.fail(refusalText(`Take ${logged.number} was not changed`, problemOf(error).body, KEPT_INPUT));
    else onDone();
  }
  useKeys('t', () => void put());
  const waiting =
    unsent > 0 ? 'The take is kept on this device, and will be logged when the server answers again.' : 'Logging the take …';
  return (
    <section className={styles.afterTake} aria-label="After the take">
      {ended.loopPullId !== null && <LastRun ended={ended} before={before} units={units} />}
      {verdict && ended.loopPullId === null && <AfterTrack ended={ended} before={before} units={units} verdict={verdict} />}
      {!isPractice && <LookFirst plan={plan} take={ended.take} pace={ended.pace} />}
      {isPractice && <PracticeEnd ended={ended} onDone={onDone} />}
      {!isPractice && logged && (
        <TakeForm
          draft={draft}
          plan={plan}
          units={units}
          number={logged.number}
          pullIds={pullIds}
          take={ended.take}
          isLogging={isLoading}
          onChange={setDraft}
          onLog={() => void put()}
        />
      )}
      {!isPractice && !logged && (
        <p data-testid="sentence" className={layoutStyles.sentence} role="status">
          {refusal ? `The server refused it: ${refusal}. It stays on this device.` : waiting}
        </p>
      )}
    </section>
  );
}

/** What the track of a run shows: in a sentence, as a curve, and turn by turn beside the run before. */
function AfterTrack({ ended, before, units, verdict }: Omit<Props, 'shotId' | 'onDone'> & { readonly verdict: TakeVerdict }) {
  const { plan, take, pace } = ended;
  return (
    <>
      <p data-testid="sentence" className={layoutStyles.sentence} role="status">
        <span className={verdict.isKept ? textStyles.toneSharp : textStyles.toneSoft}>
          {takeVerdictText(verdict, plan, units)}
        </span>
      </p>
      <TakeChart plan={plan} verdict={verdict} take={take} pace={pace} units={units} />
      <div className={styles.afterTurns}>
        <TurnTable wheel={plan.wheel} rows={turnRows(take, plan, units, before?.take)} />
        <RecoveryLines take={take} />
      </div>
    </>
  );
}

function PracticeEnd({ ended, onDone }: Pick<Props, 'ended' | 'onDone'>) {
  return (
    <div className={styles.afterPractice}>
      <p className={textStyles.muted}>{practiceText(ended.pace.rate)}: not a take.</p>
      <Button look="main" onClick={onDone}>
        Done
      </Button>
    </div>
  );
}
