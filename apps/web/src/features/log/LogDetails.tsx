import type { FaultsView, LooksView, StatisticsDetailsView } from '@still-heron/contract';
import type { UnitSystem } from '@still-heron/core';
import { depthGroupText, faultTimesText, lookText, methodName, turnsOfDayText } from '@still-heron/wording';
import { useState } from 'react';
import { useStatisticsDetailsQuery } from '../../shared/api/takesApi';
import { WordChoice } from '../../ui/fields/WordChoice';
import { Unreachable } from '../../ui/Unreachable';
import { Kept } from './Kept';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './LogDetails.module.css';

interface Props {
  readonly productionId: string;
  readonly withSimulated: boolean;
  readonly units: UnitSystem;
}

/** Faults, turns, depth and looks: read when they are asked for. */
export function LogDetails(props: Props) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <details className={layoutStyles.moreOfIt} onToggle={({ currentTarget }) => setIsOpen(currentTarget.open)}>
      <summary>Faults, depth, turns, looks</summary>
      {isOpen && <Details {...props} />}
    </details>
  );
}

function Details({ productionId, withSimulated, units }: Props) {
  const { data, error, refetch } = useStatisticsDetailsQuery({ productionId, withSimulated });
  if (error && !data) return <Unreachable error={error} retry={() => void refetch()} />;
  if (!data) return null;
  return (
    <>
      <Faults faults={data.faults} />
      <Kept
        title="Kept, by depth of the zone"
        views={data.byDepth.map(({ toMm, takes, kept }) => ({ name: depthGroupText(toMm, units), takes, kept }))}
      />
      <Turns turns={data.turns} />
      <Looks looks={data.looks} />
    </>
  );
}

const BY = [
  { value: 'method', word: 'method' },
  { value: 'lens', word: 'lens' },
  { value: 'puller', word: 'person' },
  { value: 'day', word: 'day' },
] as const;

function Faults({ faults }: { readonly faults: readonly FaultsView[] }) {
  const [by, setBy] = useState<FaultsView['by']>('method');
  return (
    <section aria-label="Faults">
      <h2>Faults</h2>
      <WordChoice label="Faults by" chosen={by} choices={BY} onChoose={setBy} />
      <ul className={styles.lines}>
        {faults
          .filter((group) => group.by === by)
          .map((group) => (
            <li key={group.name}>
              <strong>{groupName(group)}</strong> {faultTimesText(group.faults, group.takes)}
            </li>
          ))}
      </ul>
      {faults.length === 0 && <p className={textStyles.muted}>No fault was said, and no track shows one.</p>}
    </section>
  );
}

function groupName({ by, name }: FaultsView): string {
  if (by === 'method') return methodName(name);
  return name || 'unknown';
}

function Turns({ turns }: { readonly turns: StatisticsDetailsView['turns'] }) {
  if (turns.length === 0) return null;
  return (
    <section aria-label="Turns by day">
      <h2>Turns by day</h2>
      <ul className={styles.lines}>
        {turns.map((day) => (
          <li key={day.day}>
            <strong className={textStyles.figure}>{day.day.slice(5)}</strong> {turnsOfDayText(day)}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Which way of looking was right, by what a later look found. */
function Looks({ looks }: { readonly looks: readonly LooksView[] }) {
  if (looks.length === 0) return null;
  return (
    <section aria-label="Looks that were right">
      <h2>First looks that were right</h2>
      <ul className={styles.lines}>
        {looks.map((look) => (
          <li key={lookText(look)}>
            {lookText(look)}:{' '}
            <strong className={textStyles.figure}>
              {look.right} of {look.looks}
            </strong>
          </li>
        ))}
      </ul>
    </section>
  );
}
