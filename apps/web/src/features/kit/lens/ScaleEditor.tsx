import {
  fitHelicoid,
  type Lens,
  type Problem,
  readScale,
  ringOf,
  type RingPoint,
  type UnitSystem,
  type FittedPoint,
} from '@still-heron/core';
import { neededSentence, problemText, problemView } from '@still-heron/wording';
import { Fragment, useState } from 'react';
import clsx from 'clsx';
import { DistanceField } from '../../../ui/fields/DistanceField';
import { NumberField } from '../../../ui/fields/NumberField';
import { askForFile, parseCsv } from '../../../shared/files/csv';
import { ProblemList } from '../../../ui/ProblemList';
import { Calibration } from './Calibration';
import { Button } from '../../../ui/Button';
import kitStyles from '../kit.module.css';
import textStyles from '../../../ui/text.module.css';
import styles from './ScaleEditor.module.css';

interface Props {
  readonly lens: Lens;
  readonly points: readonly RingPoint[];
  /** The points are not a valid scale yet; the lens keeps its old one */
  readonly isDraft: boolean;
  readonly problems: ReadonlyMap<number, Problem>;
  readonly units: UnitSystem;
  readonly onPoints: (name: string, points: readonly RingPoint[]) => void;
  readonly onGiveUp: () => void;
  /** Points to draw during a calibration; null for the lens's own */
  readonly onShow: (points: readonly RingPoint[] | null) => void;
  readonly onThrowAlone: (focusThrowDeg: number) => void;
}

/** Scale points of a ring: typed, read from a file, or from the guided calibration, each with its residual. */
export function ScaleEditor(props: Props) {
  const { lens, points, isDraft, units, onPoints, onGiveUp, onShow, onThrowAlone } = props;
  const [isGuided, setIsGuided] = useState(false);
  const [unread, setUnread] = useState<{ name: string; problems: readonly Problem[] } | null>(null);

  async function readFile(): Promise<void> {
    const file = await askForFile('.csv,.txt,text/csv');
    if (!file) return;
    const reading = readScale(parseCsv(file.text));
    setUnread(reading.status === 'unread' ? { name: file.name, problems: reading.problems } : null);
    if (reading.status === 'read') onPoints(`use the scale of ${file.name}`, reading.items);
  }

  if (lens.response === 'speed') {
    return <SpeedRing />;
  }
  if (isGuided) {
    return (
      <Calibration
        lens={lens}
        units={units}
        onDone={(taken) => {
          onPoints('calibrate the ring', taken);
          setIsGuided(false);
        }}
        onShow={onShow}
        onClose={() => {
          onShow(null);
          setIsGuided(false);
        }}
      />
    );
  }
  const addPoint = () => onPoints('add a scale point', [...points, nextPoint(lens, points)]);
  return (
    <section className={kitStyles.scaleEditor} aria-label="Scale points">
      <h2>Scale {points.length > 0 && <span className={textStyles.muted}>· {points.length} points</span>}</h2>
      {unread && (
        <div role="alert">
          <ProblemList
            title={`Nothing was read from ${unread.name}`}
            problems={unread.problems.map(problemView)}
            onClose={() => setUnread(null)}
          />
        </div>
      )}
      {points.length === 0 ? (
        <p className={textStyles.muted}>
          No points yet: the ring is computed as a helicoid from its throw and close focus. Real rings differ a little from that.
        </p>
      ) : (
        <PointRows {...props} />
      )}
      {isDraft && (
        <p className={textStyles.toneEdge} role="status">
          The ring is unchanged until these points make a scale.{' '}
          <Button look="quiet" onClick={onGiveUp}>
            Discard them
          </Button>
        </p>
      )}
      <ScaleActions
        points={points}
        onGuided={setIsGuided}
        addPoint={addPoint}
        readFile={readFile}
        lens={lens}
        onThrowAlone={onThrowAlone}
      />
    </section>
  );
}

function SpeedRing() {
  return (
    <section className={kitStyles.scaleEditor} aria-label="Scale points">
      <h2>Scale</h2>
      <p className={textStyles.muted}>
        A ring that answers to speed has no scale: a fast turn changes focus more than a slow one. Set it to answer by angle in
        the camera, then set its response on the right.
      </p>
    </section>
  );
}

interface ScaleActionsProps {
  readonly points: readonly RingPoint[];
  readonly onGuided: (value: boolean) => void;
  readonly addPoint: () => void;
  readonly readFile: () => void;
  readonly lens: Lens;
  readonly onThrowAlone: (focusThrowDeg: number) => void;
}

function ScaleActions({ points, onGuided, addPoint, readFile, lens, onThrowAlone }: ScaleActionsProps) {
  return (
    <div className={kitStyles.scaleActions}>
      <Button look={points.length === 0 ? 'main' : 'plain'} onClick={() => onGuided(true)}>
        Calibrate step by step
      </Button>
      <Button onClick={addPoint}>Add a point</Button>
      <Button onClick={() => void readFile()}>Read a CSV file</Button>
      {lens.ring.kind === 'table' && (
        <Button onClick={() => onThrowAlone(Math.round(ringOf(lens).throwDeg))}>Use the throw only</Button>
      )}
    </div>
  );
}

/** Suggested next point: in the middle of the widest gap of the ring. */
function nextPoint(lens: Lens, points: readonly RingPoint[]): RingPoint {
  const ring = ringOf(lens);
  const [farDeg, nearDeg] = [ring.angleAt(ring.farthestMm), ring.angleAt(ring.closeFocusMm)];
  const taken = points.map(({ ringDeg }) => ringDeg);
  if (points.length === 0) return { distanceMm: ring.farthestMm === Infinity ? null : ring.farthestMm, ringDeg: farDeg };
  if (points.length === 1) return { distanceMm: ring.closeFocusMm, ringDeg: Math.round(nearDeg * 10) / 10 };
  const sorted = [...taken].sort((a, b) => a - b);
  const gaps = sorted.slice(1).map((deg, k) => ({ fromDeg: sorted[k]!, width: deg - sorted[k]! }));
  const widest = gaps.reduce((best, gap) => (gap.width > best.width ? gap : best));
  const middle = Math.min(Math.max(widest.fromDeg + widest.width / 2, Math.min(farDeg, nearDeg)), Math.max(farDeg, nearDeg));
  return { distanceMm: Math.round(ring.distanceAt(middle) / 10) * 10, ringDeg: Math.round(middle * 10) / 10 };
}

function PointRows({ lens, points, problems, units, onPoints }: Props) {
  const fit = fitHelicoid(points, lens.focalLengthMm, lens.principalSeparationMm);
  const order = points.map((_, index) => index).sort((a, b) => nearness(points[a]!) - nearness(points[b]!));
  const put = (name: string, index: number, changes: Partial<RingPoint>) =>
    onPoints(
      name,
      points.map((point, k) => (k === index ? { ...point, ...changes } : point)),
    );
  return (
    <table className={styles.scalePoints}>
      <thead>
        <tr>
          <th scope="col">distance</th>
          <th scope="col">reading</th>
          <th scope="col">differs by</th>
          <th scope="col">
            <span className={textStyles.unseen}>remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {order.map((index, row) => {
          const point = points[index]!;
          const fitted = fit?.points.find((item) => item.index === index);
          const problem = problems.get(index);
          return (
            <Fragment key={index}>
              <PointRow
                problem={problem}
                fitted={fitted}
                row={row}
                point={point}
                units={units}
                onPut={put}
                index={index}
                onPoints={onPoints}
                points={points}
              />
              {(problem ?? fitted?.standsOut) && (
                <tr>
                  <td colSpan={4} data-testid="scale-why" className={clsx(textStyles.toneSoft, styles.scaleWhy)}>
                    {problem ? neededSentence(problemText(problem)) : 'far from the others: check the distance and the reading'}
                  </td>
                </tr>
              )}
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}

interface PointRowProps extends Pick<Props, 'units' | 'onPoints' | 'points'> {
  readonly problem: Problem | undefined;
  readonly fitted: FittedPoint | undefined;
  readonly row: number;
  readonly point: RingPoint;
  readonly onPut: (name: string, index: number, changes: Partial<RingPoint>) => void;
  readonly index: number;
}

function PointRow({ problem, fitted, row, point, units, onPut, index, onPoints, points }: PointRowProps) {
  return (
    <tr className={clsx((problem || fitted?.standsOut) && styles.isOff)}>
      <td>
        <DistanceField
          label={`Distance of point ${row + 1}`}
          isBare
          distanceMm={point.distanceMm ?? Infinity}
          units={units}
          testId={`point-distance-${row}`}
          onChange={(mm) => onPut('move a scale point', index, { distanceMm: mm === Infinity ? null : mm })}
        />
      </td>
      <td>
        <NumberField
          label={`Reading of point ${row + 1}`}
          isBare
          unit="°"
          decimals={2}
          step={0.5}
          min={-1440}
          max={1440}
          value={point.ringDeg}
          testId={`point-reading-${row}`}
          onChange={(ringDeg) => onPut('change a scale reading', index, { ringDeg })}
        />
      </td>
      <td className={clsx(textStyles.figure, styles.scaleResidual)}>
        {fitted ? `${fitted.residualDeg < 0 ? '−' : '+'}${Math.abs(fitted.residualDeg).toFixed(1)}°` : '–'}
      </td>
      <td>
        <Button
          look="quiet"
          aria-label={`Remove point ${row + 1}`}
          onClick={() =>
            onPoints(
              'delete a scale point',
              points.filter((_, k) => k !== index),
            )
          }
        >
          ✕
        </Button>
      </td>
    </tr>
  );
}

function nearness({ distanceMm }: RingPoint): number {
  return distanceMm === null ? 0 : 1 / distanceMm;
}
