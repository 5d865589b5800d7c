import type { StatisticsView } from '@still-heron/contract';
import { FINDINGS } from '@still-heron/core';
import { FINDING_WORDS, FOCUS_GRADE_WORDS, methodName, NOT_SAID } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { Input } from '../../ui/antd/Input';
import { Select } from '../../ui/antd/Select';
import { useEffect, useRef, useState } from 'react';
import type { LogOrder, LogQuery } from './logQuery';
import styles from './LogFilters.module.css';

interface Props {
  readonly query: LogQuery;
  readonly statistics: StatisticsView;
  readonly onChange: (changes: Partial<LogQuery>) => void;
}

const ORDERS: readonly { readonly value: LogOrder; readonly label: string }[] = [
  { value: 'newest', label: 'newest first' },
  { value: 'oldest', label: 'oldest first' },
  { value: 'likeliest', label: 'highest keep rate first' },
  { value: 'unlikeliest', label: 'lowest keep rate first' },
];
/** Delay from the last letter to the search. */
const PAUSE_MS = 250;
const FAULTS = FINDINGS.filter((found) => found !== 'fine');

/** Search and filters of the log. */
export function LogFilters({ query, statistics, onChange }: Props) {
  const options = (views: readonly { name: string }[], label = (name: string) => name) =>
    views.flatMap(({ name }) => (name === '' ? [] : [{ value: name, label: label(name) }]));
  return (
    <div className={styles.logFilters} role="search">
      <Search value={query.search} onChange={(search) => onChange({ search })} />
      <Narrow
        label="focus"
        value={query.focus}
        options={[...Object.entries(FOCUS_GRADE_WORDS), ['not-said', NOT_SAID] as const].map(([value, label]) => ({
          value,
          label,
        }))}
        onChange={(focus) => onChange({ focus: focus as LogQuery['focus'] })}
      />
      <Narrow
        label="fault"
        value={query.fault}
        options={FAULTS.map((fault) => ({ value: fault, label: FINDING_WORDS[fault] }))}
        onChange={(fault) => onChange({ fault: fault as LogQuery['fault'] })}
      />
      <Narrow label="lens" value={query.lens} options={options(statistics.byLens)} onChange={(lens) => onChange({ lens })} />
      <Narrow
        label="method"
        value={query.method}
        options={options(statistics.byMethod, (name) => methodName(name))}
        onChange={(method) => onChange({ method })}
      />
      {statistics.byPuller.some(({ name }) => name !== '') && (
        <Narrow
          label="pulled by"
          anyWord="any puller"
          value={query.puller}
          options={options(statistics.byPuller)}
          onChange={(puller) => onChange({ puller })}
        />
      )}
      <Checkbox checked={query.isCircled} onChange={({ target }) => onChange({ isCircled: target.checked })}>
        circled
      </Checkbox>
      {(statistics.simulated > 0 || query.withSimulated) && (
        <Checkbox checked={query.withSimulated} onChange={({ target }) => onChange({ withSimulated: target.checked })}>
          with {statistics.simulated} simulated
        </Checkbox>
      )}
      <Select
        aria-label="Order"
        value={query.order}
        options={[...ORDERS]}
        onChange={(order: LogOrder) => onChange({ order })}
        popupMatchSelectWidth={false}
      />
    </div>
  );
}

interface NarrowProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** Label without a choice, if “any” is not enough */
  readonly anyWord?: string;
  readonly onChange: (value: string) => void;
}

function Narrow({ label, value, options, anyWord, onChange }: NarrowProps) {
  return (
    <Select
      aria-label={label}
      value={value}
      options={[{ value: '', label: anyWord ?? `any ${label}` }, ...options]}
      onChange={onChange}
      popupMatchSelectWidth={false}
    />
  );
}

function Search({ value, onChange }: { readonly value: string; readonly onChange: (value: string) => void }) {
  const [typed, setTyped] = useState(value);
  // keep other filters that changed in the meantime
  const newest = useRef(onChange);
  useEffect(() => {
    newest.current = onChange;
  });
  useEffect(() => {
    if (typed === value) return undefined;
    const timer = setTimeout(() => newest.current(typed), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [typed, value]);
  return (
    <Input
      className={styles.logSearch}
      aria-label="Find in slate, title or note"
      placeholder="find in slate, title, note"
      value={typed}
      maxLength={120}
      allowClear
      onChange={({ target }) => setTyped(target.value)}
    />
  );
}
