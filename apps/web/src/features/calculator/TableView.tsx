import {
  formatDistance,
  formatDistanceFigure,
  formatStop,
  fNumberOf,
  ringOf,
  stopsAt,
  type UnitSystem,
  type ZoneTable,
  zoneLensOf,
  zoneTable,
  type Lens,
} from '@still-heron/core';
import { Table } from '../../ui/antd/Table';
import { useMemo, useState } from 'react';
import { createPortal, flushSync } from 'react-dom';
import clsx from 'clsx';
import { useSize, type Size } from '../../shared/useSize';
import { printCsv, saveFile } from '../../shared/files/csv';
import { tableDistances } from './tableDistances';
import type { CalculatorProps } from './calculatorProps';
import { Button } from '../../ui/Button';
import styles from './TableView.module.css';
import textStyles from '../../ui/text.module.css';

interface Row {
  readonly key: number;
  readonly distanceMm: number;
}

const COLUMN_PX = 146;
const HEAD_PX = 47;

/** Near and far limits for all stops and distances. The page contains only visible rows; print and file contain all. */
export function TableView({ optics, units }: CalculatorProps) {
  const { lens, stop } = optics;
  const { ref, size } = useSize();
  const [isPrinting, setIsPrinting] = useState(false);
  const { stops, distances, table } = useMemo(() => {
    const offered = stopsAt(lens, optics.focalLengthMm);
    const nearestMm = Math.max(ringOf(lens).closeFocusMm, 4 * optics.focalLengthMm + lens.principalSeparationMm);
    const rows = tableDistances(units, nearestMm);
    const { fNumber: _, ...glass } = zoneLensOf(optics);
    return {
      stops: offered,
      distances: rows,
      table: zoneTable(
        glass,
        offered.map((each) => fNumberOf(lens, each)),
        rows,
      ),
    };
  }, [optics, lens, units]);
  const head = [units === 'metric' ? 'focus m' : 'focus', ...stops.map((each) => formatStop(each, lens.stopScale))];
  const body = () =>
    distances.map((mm, row) => [
      formatDistanceFigure(mm, units),
      ...stops.map((_, k) => cellText(table, row * stops.length + k, units)),
    ]);
  const print = () => {
    flushSync(() => setIsPrinting(true));
    window.print();
    setIsPrinting(false);
  };
  const title = `${lens.name} at ${Number(optics.focalLengthMm.toFixed(1))} mm, ${optics.camera.name}`;
  return (
    <div className={styles.zoneTable}>
      <header>
        <p className={textStyles.muted}>
          near – far for {title}; sharp to {(zoneLensOf(optics).circleOfConfusionMm * 1000).toFixed(1)} µm
        </p>
        <Button onClick={print}>Print</Button>
        <Button onClick={() => saveFile('zone-table.csv', printCsv([head, ...body()]), 'text/csv')}>Save as CSV</Button>
      </header>
      <div className={styles.zoneTableBody} ref={ref}>
        {size && <ZoneRows stops={stops} size={size} distances={distances} units={units} lens={lens} stop={stop} table={table} />}
      </div>
      {isPrinting &&
        createPortal(
          <PrintedTable title={title} units={units} nearestMm={distances[0]!} head={head} body={body()} />,
          document.body,
        )}
    </div>
  );
}

interface PrintedTableProps extends Pick<CalculatorProps, 'units'> {
  readonly title: string;
  readonly nearestMm: number;
  readonly head: readonly string[];
  readonly body: readonly (readonly string[])[];
}

function PrintedTable({ title, units, nearestMm, head, body }: PrintedTableProps) {
  return (
    <div data-testid="paper" className={styles.paper}>
      <h1>{title}</h1>
      <p>
        Near – far, {units === 'metric' ? 'metres' : 'feet and inches'} from the image plane; nearest{' '}
        {formatDistance(nearestMm, units)}. No distance here is a safety distance.
      </p>
      <table>
        <thead>
          <tr>
            {head.map((each) => (
              <th key={each}>{each}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {body.map((cells, row) => (
            <tr key={row}>
              {cells.map((cell, k) => (
                <td key={k}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface ZoneRowsProps extends Pick<CalculatorProps, 'units'> {
  readonly stops: number[];
  readonly size: Size;
  readonly distances: number[];
  readonly lens: Lens;
  readonly stop: number;
  readonly table: ZoneTable;
}

function ZoneRows({ stops, size, distances, units, lens, stop, table }: ZoneRowsProps) {
  return (
    <Table<Row>
      virtual
      size="small"
      pagination={false}
      scroll={{ x: 96 + stops.length * COLUMN_PX, y: Math.max(size.height - HEAD_PX, 120) }}
      dataSource={distances.map((distanceMm, key) => ({ key, distanceMm }))}
      columns={[
        {
          title: units === 'metric' ? 'focus, m' : 'focus',
          width: 96,
          fixed: 'left' as const,
          className: clsx(textStyles.figure, styles.tableFocus),
          render: (_: unknown, { distanceMm }: Row) => formatDistanceFigure(distanceMm, units),
        },
        ...stops.map((each, k) => ({
          title: formatStop(each, lens.stopScale),
          key: String(each),
          width: COLUMN_PX,
          className: clsx(textStyles.figure, Math.abs(each - stop) < 1e-9 && styles.tableHere),
          render: (_: unknown, { key }: Row) => cellText(table, key * stops.length + k, units),
        })),
      ]}
    />
  );
}

function cellText({ nearMm, farMm }: ZoneTable, at: number, units: UnitSystem): string {
  return Number.isNaN(nearMm[at]!)
    ? ''
    : `${formatDistanceFigure(nearMm[at]!, units)} – ${formatDistanceFigure(farMm[at]!, units)}`;
}
