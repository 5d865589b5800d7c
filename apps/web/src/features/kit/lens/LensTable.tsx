import { cameraOf, FORMATS, lensFigures, type LensQuestion, PLAN_LIMITS, type UnitSystem } from '@still-heron/core';
import { Table } from '../../../ui/antd/Table';
import { useMemo, useState } from 'react';
import { useLensUseQuery } from '../../../shared/api/takesApi';
import { useKit } from '../../../shared/api/useKit';
import { useUnits } from '../../../shared/useUnits';
import { DistanceField } from '../../../ui/fields/DistanceField';
import { OptionalNumberField } from '../../../ui/fields/OptionalNumberField';
import { PageNote } from '../../../ui/PageNote';
import { lensColumns, type LensRow } from './lensColumns';
import styles from './LensTable.module.css';
import textStyles from '../../../ui/text.module.css';

const START = {
  camera: cameraOf(FORMATS.find(({ id }) => id === 's35-16x9')!),
  sharpness: { kind: 'diagonal', divisor: 1500 },
  stop: null,
} as const;

/** Distances that a tape of each kind has a figure for. */
const ROUND: Readonly<Record<UnitSystem, Pick<LensQuestion, 'fromMm' | 'toMm' | 'atMm'>>> = {
  metric: { fromMm: 4000, toMm: 1000, atMm: 2000 },
  imperial: { fromMm: 12 * 304.8, toMm: 4 * 304.8, atMm: 6 * 304.8 },
};

/** All lenses of Kit in one table, at distances that one types. */
export function LensTable() {
  const units = useUnits();
  const { items, isLoaded } = useKit('lenses');
  const { data: uses = [] } = useLensUseQuery();
  const [asked, setAsked] = useState<LensQuestion>(() => ({ ...START, ...ROUND[units] }));
  const rows = useMemo(
    () =>
      items.map(({ id, item: { lens } }): LensRow => ({
        id,
        lens,
        figures: lensFigures(lens, asked),
        use: uses.find((one) => one.lens === lens.name) ?? null,
      })),
    [items, uses, asked],
  );
  if (isLoaded && items.length === 0)
    return (
      <PageNote title="No lens yet.">
        <p>Describe lenses under Lenses: here they stand side by side.</p>
      </PageNote>
    );
  return (
    <div className={styles.page}>
      <Question asked={asked} units={units} onAsk={(changes) => setAsked({ ...asked, ...changes })} />
      <Table<LensRow>
        rowKey="id"
        size="small"
        pagination={false}
        showSorterTooltip={false}
        columns={lensColumns(asked, units)}
        dataSource={rows}
        scroll={{ x: 'max-content' }}
      />
      <p className={textStyles.muted}>
        Room of the hand: on {START.camera.name}, at{' '}
        {asked.stop === null ? 'the widest stop of each lens' : 'this stop, or the widest'}, zooms at their shortest. A lens was
        used when a take was logged with its name.
      </p>
    </div>
  );
}

interface QuestionProps {
  readonly asked: LensQuestion;
  readonly units: UnitSystem;
  readonly onAsk: (changes: Partial<LensQuestion>) => void;
}

function Question({ asked, units, onAsk }: QuestionProps) {
  const range = { minMm: PLAN_LIMITS.distanceMm.min, maxMm: PLAN_LIMITS.distanceMm.max };
  const field = (label: string, key: 'fromMm' | 'toMm' | 'atMm') => (
    <DistanceField label={label} distanceMm={asked[key]} units={units} range={range} onChange={(mm) => onAsk({ [key]: mm })} />
  );
  return (
    <div className={styles.question}>
      {field('turn from', 'fromMm')}
      {field('to', 'toMm')}
      {field('room of the hand at', 'atMm')}
      <OptionalNumberField
        label="stop"
        {...PLAN_LIMITS.stop}
        decimals={1}
        value={asked.stop}
        placeholder="widest"
        onChange={(stop) => onAsk({ stop })}
      />
    </div>
  );
}
