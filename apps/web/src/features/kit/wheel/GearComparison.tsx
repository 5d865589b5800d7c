import { wheelSentence, wheelTimeLines } from '@still-heron/wording';
import {
  ASSUMED_PEAK_DEG_PER_S,
  cameraOf,
  FORMATS,
  type KitLens,
  landingWindow,
  type Lens,
  defaultLens,
  ringOf,
  type Wheel,
  wheelNearerTurns,
  type WheelTurn,
  wheelTurn,
  withinReach,
  zoneLensOf,
} from '@still-heron/core';
import { useState } from 'react';
import clsx from 'clsx';
import { useAppSelector } from '../../../shared/store/hooks';
import { Choice } from '../../../ui/fields/Choice';
import { DistanceField } from '../../../ui/fields/DistanceField';
import { Explain } from '../../../ui/fields/Explain';
import { mediumLens } from '../mediumLens';
import { useKit } from '../../../shared/api/useKit';
import { Sentence } from '../../../ui/Sentence';
import textStyles from '../../../ui/text.module.css';
import styles from './GearComparison.module.css';
import fieldStyles from '../../../ui/fields/fields.module.css';

interface Props {
  readonly wheelId: string;
  readonly wheel: Wheel;
}

const NO_LENS: Lens = defaultLens({ name: '65 mm T2.2', focalLengthMm: 65, closeFocusMm: 650 });

/** Compares wheels by one turn of a ring: width of the landing window in the hand, and time for the turn. */
export function GearComparison({ wheelId, wheel }: Props) {
  const { units } = useAppSelector((state) => state.preferences);
  const { items: lenses } = useKit('lenses');
  const { items: wheels } = useKit('wheels');
  const [lensId, setLensId] = useState<string | null>(null);
  const [fromMm, setFromMm] = useState(4000);
  const [toMm, setToMm] = useState(2000);
  const usable = lenses.filter(({ item }) => item.lens.response !== 'speed');
  const middle = mediumLens(usable);
  const chosen: KitLens | undefined = (usable.find(({ id }) => id === lensId) ?? middle)?.item;
  const lens = chosen?.lens ?? NO_LENS;
  const ring = ringOf(lens);
  const { landsMm, travelDeg, widthDeg } = turnOnLens(lens, fromMm, toMm);
  const turnOf = (one: Wheel) => wheelTurn(one, { travelDeg, windowDeg: widthDeg }, ASSUMED_PEAK_DEG_PER_S);
  const rows = [{ id: wheelId, item: wheel }, ...wheels.filter(({ id }) => id !== wheelId)].map(({ id, item }) => ({
    id,
    item,
    turn: turnOf(item),
  }));
  const here = rows[0]!.turn;
  const widestMm = Math.max(...rows.map(({ turn }) => turn.windowOnDiscMm));
  const range = { minMm: ring.closeFocusMm, maxMm: ring.farthestMm, reason: 'ring' } as const;
  return (
    <>
      <Sentence
        parts={wheelSentence(
          {
            turn: here,
            fromMm: withinReach(ring, fromMm),
            toMm: landsMm,
            lens,
            nearerTurns: wheelNearerTurns(wheel, lens.nearerTurns),
          },
          units,
        )}
      />
      <div className={styles.gearFields}>
        {usable.length > 0 && (
          <Choice
            label="on the lens"
            isSearched
            value={(usable.find(({ id }) => id === lensId) ?? middle!).id}
            choices={usable.map(({ id, item }) => ({ value: id, word: item.lens.name }))}
            onPick={setLensId}
          />
        )}
        <DistanceField label="from" distanceMm={fromMm} units={units} range={range} onChange={setFromMm} />
        <DistanceField label="to" distanceMm={toMm} units={units} range={range} onChange={setToMm} />
        <p className={fieldStyles.fieldHint}>
          the ring turns {travelDeg.toFixed(1)}° and must land within {widthDeg.toFixed(2)}°
        </p>
      </div>
      <GearTable rows={rows} wheelId={wheelId} widestMm={widestMm} />
      <p className={clsx(fieldStyles.fieldHint, styles.gearFoot)}>
        A gear enlarges the landing window and the turn alike: aiming is equally hard, and finer in the hand. A fast rack suffers
        when the hand can’t turn faster, or has to regrip.
      </p>
    </>
  );
}

/** A turn of the ring from one distance to another, with its landing window at the widest stop on a medium format. */
function turnOnLens(lens: Lens, fromMm: number, toMm: number): { landsMm: number; travelDeg: number; widthDeg: number } {
  const ring = ringOf(lens);
  const setup = {
    camera: cameraOf(FORMATS.find(({ id }) => id === 's35-16x9')!),
    lens,
    focalLengthMm: lens.focalLengthMm,
    stop: lens.widestStop,
    sharpness: { kind: 'diagonal', divisor: 1500 } as const,
  };
  const landsMm = withinReach(ring, toMm);
  return {
    landsMm,
    travelDeg: Math.abs(ring.angleAt(landsMm) - ring.angleAt(withinReach(ring, fromMm))),
    widthDeg: landingWindow(zoneLensOf(setup), ring, landsMm).widthDeg,
  };
}

interface GearTableProps extends Pick<Props, 'wheelId'> {
  readonly rows: { id: string; item: Wheel; turn: WheelTurn }[];
  readonly widestMm: number;
}

function GearTable({ rows, wheelId, widestMm }: GearTableProps) {
  return (
    <table data-testid="gear-table" className={styles.gearTable}>
      <thead>
        <tr>
          <th scope="col">wheel</th>
          <th scope="col">gear</th>
          <th scope="col">landing window on the disc</th>
          <th scope="col">turn</th>
          <th scope="col">least time</th>
          <th scope="col">between hard stops</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ id, item, turn }) => (
          <tr key={id} className={clsx(id === wheelId && styles.isHere)}>
            <th scope="row">{item.name}</th>
            <td className={textStyles.figure}>{item.wheelPerRing.toFixed(2)}</td>
            <td>
              <WindowBar turn={turn} widestMm={widestMm} />
            </td>
            <td className={textStyles.figure}>
              {turn.travelDeg.toFixed(0)}°
              {turn.regrips > 0 && <span className={textStyles.muted}> · {turn.regrips + 1} grips</span>}
            </td>
            <td className={textStyles.figure}>
              <Explain what={`Least time with ${item.name}`} lines={wheelTimeLines(turn, item)}>
                {turn.minTimeS.toFixed(2)} s
              </Explain>
            </td>
            <td className={textStyles.figure}>
              {turn.betweenStopsS === null ? (
                <span className={textStyles.muted}>no hard stops</span>
              ) : (
                `${turn.betweenStopsS.toFixed(2)} s`
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function WindowBar({ turn, widestMm }: { readonly turn: WheelTurn; readonly widestMm: number }) {
  return (
    <span className={styles.gearWindow}>
      <span style={{ width: `${(100 * turn.windowOnDiscMm) / widestMm}%` }} />
      <span className={textStyles.figure}>
        {turn.windowOnDiscMm.toFixed(1)} mm · {turn.windowDeg.toFixed(1)}°
      </span>
    </span>
  );
}
