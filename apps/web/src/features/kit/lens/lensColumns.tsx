import type { LensUseView } from '@still-heron/contract';
import {
  formatDistance,
  formatGap,
  formatStop,
  isZoom,
  type Lens,
  type LensFigures,
  type LensQuestion,
  type UnitSystem,
} from '@still-heron/core';
import type { TableColumns } from '../../../ui/antd/Table';
import { Link } from 'react-router';
import textStyles from '../../../ui/text.module.css';

/** A lens of Kit with its figures, and how often it was used; null if never. */
export interface LensRow {
  readonly id: string;
  readonly lens: Lens;
  readonly figures: LensFigures;
  readonly use: LensUseView | null;
}

/** Missing figures come last when the least is first. */
const order = (of: (row: LensRow) => number | null) => (a: LensRow, b: LensRow) => (of(a) ?? Infinity) - (of(b) ?? Infinity);
const degrees = (deg: number | null) => (deg === null ? 'not on the ring' : `${deg.toFixed(deg < 10 ? 1 : 0)}°`);

function figure(title: string, of: (row: LensRow) => number | null, text: (row: LensRow) => string) {
  return {
    title,
    key: title,
    align: 'right' as const,
    className: textStyles.figure ?? '',
    sorter: order(of),
    render: (_: unknown, row: LensRow) => text(row),
  };
}

/** Columns of the table of lenses, for the distances that are compared. */
export function lensColumns({ fromMm, toMm, atMm }: LensQuestion, units: UnitSystem): TableColumns<LensRow> {
  const at = formatDistance(atMm, units);
  return [
    {
      title: 'lens',
      key: 'lens',
      fixed: 'left',
      sorter: (a, b) => a.lens.focalLengthMm - b.lens.focalLengthMm || a.lens.name.localeCompare(b.lens.name),
      render: (_, { id, lens }) => <Link to={`/kit/lenses/${id}`}>{lens.name}</Link>,
    },
    figure(
      'throw',
      ({ figures }) => figures.throwDeg,
      ({ figures }) => degrees(figures.throwDeg),
    ),
    figure(
      'close focus',
      ({ figures }) => figures.closeFocusMm,
      ({ figures }) => formatDistance(figures.closeFocusMm, units),
    ),
    figure(
      'widest stop',
      ({ lens }) => lens.widestStop,
      ({ lens }) => widestText(lens),
    ),
    figure(
      `${formatDistance(fromMm, units)} to ${formatDistance(toMm, units)}`,
      ({ figures }) => figures.betweenDeg,
      ({ figures }) => degrees(figures.betweenDeg),
    ),
    figure(
      `room at ${at}`,
      ({ figures }) => figures.roomDeg,
      ({ figures }) => degrees(figures.roomDeg),
    ),
    figure(
      `a degree at ${at}`,
      ({ figures }) => figures.shiftPerDegMm,
      ({ figures: { shiftPerDegMm } }) => (shiftPerDegMm === null ? 'not on the ring' : formatGap(shiftPerDegMm, units)),
    ),
    ...fittingColumns(),
  ];
}

/** What does not depend on a distance. */
function fittingColumns(): TableColumns<LensRow> {
  return [
    {
      title: 'nearer',
      key: 'nearer',
      sorter: (a, b) => a.lens.nearerTurns.localeCompare(b.lens.nearerTurns),
      render: (_, { lens }) => lens.nearerTurns,
    },
    {
      title: 'gear',
      key: 'gear',
      sorter: (a, b) => a.lens.gear.localeCompare(b.lens.gear),
      render: (_, { lens }) => lens.gear || 'none',
    },
    figure(
      'takes',
      ({ use }) => use?.takes ?? 0,
      ({ use }) => (use ? `${use.usable} usable of ${use.takes}` : 'none'),
    ),
    {
      title: 'last used',
      key: 'used',
      sorter: (a, b) => (a.use?.lastUsedAt ?? '').localeCompare(b.use?.lastUsedAt ?? ''),
      render: (_, { use }) => use?.lastUsedAt.slice(0, 10) ?? 'never',
    },
  ];
}

function widestText(lens: Lens): string {
  const wide = formatStop(lens.widestStop, lens.stopScale);
  const isSame = !isZoom(lens) || lens.widestStopLong === lens.widestStop;
  return isSame ? wide : `${wide} – ${formatStop(lens.widestStopLong, lens.stopScale)}`;
}
