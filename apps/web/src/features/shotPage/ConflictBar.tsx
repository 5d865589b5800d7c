import type { ShotDocument, ShotView } from '@still-heron/contract';
import { HEADINGS, mergePlans, mergeValue, type ClashRule, type Sides } from '@still-heron/core';
import { differenceSummary, savedByText, shotDifferenceLines } from '@still-heron/wording';
import { useMemo } from 'react';
import { api } from '../../shared/api/api';
import { useRevisionQuery } from '../../shared/api/revisionsApi';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { deviceId } from '../../shared/thisDevice';
import { useUnits } from '../../shared/useUnits';
import { ConflictChoice } from '../../ui/ConflictChoice';
import { shotSaver } from '../shot/saving';
import { savingActions, selectSaving } from '../shot/savingSlice';
import { documentEdited, selectDocument } from '../shot/shotSlice';
import styles from './ConflictBar.module.css';

/** Edit conflict of a shot: shows what each side changed, and lets the user choose. Undo brings back what was not chosen. */
export function ConflictBar() {
  const { status, stored, baseVersion } = useAppSelector(selectSaving);
  const document = useAppSelector(selectDocument);
  if (status !== 'conflict' || !stored || !document) return null;
  return <Conflict stored={stored} mine={document} baseVersion={baseVersion} />;
}

interface Props {
  readonly stored: ShotView;
  readonly mine: ShotDocument;
  /** Version that both sides have changed */
  readonly baseVersion: number;
}

function Conflict({ stored, mine, baseVersion }: Props) {
  const dispatch = useAppDispatch();
  const { data: base, isError } = useRevisionQuery({ shotId: stored.id, version: baseVersion });
  const sides = useMemo(() => (base ? { base, mine, theirs: documentOf(stored) } : null), [base, mine, stored]);
  const both = useMemo(() => sides && merged(sides, 'mine'), [sides]);
  const time = new Date(stored.updatedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

  /** What is stored now: others may have saved again since the conflict was found. */
  async function newest(): Promise<ShotView> {
    const { data } = await dispatch(api.endpoints.shot.initiate(stored.id, { forceRefetch: true, subscribe: false }));
    const now = data ?? stored;
    dispatch(savingActions.conflictFound(now));
    return now;
  }
  async function keepMine(): Promise<void> {
    // the stored version becomes an undo step below the own one
    dispatch(documentEdited({ document: documentOf(await newest()), name: 'the version saved elsewhere' }));
    dispatch(documentEdited({ document: mine, name: 'keep mine' }));
    dispatch(savingActions.conflictResolved());
  }
  async function acceptTheirs(): Promise<void> {
    const theirs = await newest();
    dispatch(documentEdited({ document: documentOf(theirs), name: 'use the version saved elsewhere' }));
    await dispatch(shotSaver.acceptStored(theirs));
  }
  async function keepBoth(): Promise<void> {
    const now = base && merged({ base, mine, theirs: documentOf(await newest()) }, 'mine');
    // with what was saved since, it may no longer be possible: then the bar says so
    if (!now) return;
    dispatch(documentEdited({ document: now, name: 'keep the changes of both' }));
    dispatch(savingActions.conflictResolved());
  }
  return (
    <ConflictChoice
      onMine={() => void keepMine()}
      onTheirs={() => void acceptTheirs()}
      both={both ? { label: 'Keep both', onChoose: () => void keepBoth() } : undefined}
      details={sides && <Details sides={sides} both={both} />}
    >
      <strong>
        This shot was saved {savedByText(stored.savedBy, deviceId())} at {time}.
      </strong>
      {isError && ` Yours differs in ${differenceSummary(mine, stored)}.`}
    </ConflictChoice>
  );
}

interface DetailsProps {
  readonly sides: Sides<ShotDocument>;
  /** The changes of both, with mine where they clash; null if they can’t be put together */
  readonly both: ShotDocument | null;
}

/** What each side changed, and what both did. */
function Details({ sides, both }: DetailsProps) {
  const units = useUnits();
  const { base, mine, theirs } = sides;
  const withTheirs = useMemo(() => merged(sides, 'theirs'), [sides]);
  const clashes = both && withTheirs ? shotDifferenceLines(withTheirs, both, units) : [];
  return (
    <div className={styles.details}>
      <Lines title="There" lines={shotDifferenceLines(base, theirs, units)} />
      <Lines title="Here" lines={shotDifferenceLines(base, mine, units)} />
      {clashes.length > 0 && <Lines title="Both changed this, and “Keep both” keeps yours: there → here" lines={clashes} />}
      {!both && <p>The two can’t be put together: both added something, or one’s times no longer fit the other’s.</p>}
    </div>
  );
}

/** Lines of each list; further ones are only counted. */
const MAX_LINES = 5;

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  return (
    <section>
      <h2>{title}</h2>
      <ul>
        {lines.slice(0, MAX_LINES).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > MAX_LINES && <li>and {lines.length - MAX_LINES} more</li>}
        {lines.length === 0 && <li>nothing</li>}
      </ul>
    </section>
  );
}

function documentOf({ scene, slate, title, plan }: ShotDocument): ShotDocument {
  return { scene, slate, title, plan };
}

/** Both sides' changes in one shot; null if they can’t be put together. */
function merged({ base, mine, theirs }: Sides<ShotDocument>, rule: ClashRule): ShotDocument | null {
  const plan = mergePlans({ base: base.plan, mine: mine.plan, theirs: theirs.plan }, rule);
  if (!plan) return null;
  const [scene, slate, title] = HEADINGS.map((part) =>
    mergeValue({ base: base[part], mine: mine[part], theirs: theirs[part] }, rule),
  ) as [string, string, string];
  return { scene, slate, title, plan };
}
