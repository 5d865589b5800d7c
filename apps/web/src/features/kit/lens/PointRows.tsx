import { type FittedPoint, fitHelicoid, type Lens, type Problem, type RingPoint, type UnitSystem } from '@still-heron/core';
import { neededSentence, problemText } from '@still-heron/wording';
import { Fragment } from 'react';
import clsx from 'clsx';
import { DistanceField } from '../../../ui/fields/DistanceField';
import { NumberField } from '../../../ui/fields/NumberField';
import { Button } from '../../../ui/Button';
import textStyles from '../../../ui/text.module.css';
import styles from './PointRows.module.css';

export interface PointRowsProps {
  readonly lens: Lens;
  readonly points: readonly RingPoint[];
  readonly problems: ReadonlyMap<number, Problem>;
  readonly units: UnitSystem;
  readonly onPoints: (name: string, points: readonly RingPoint[]) => void;
}

/** Scale points in a table, the farthest first, each with its difference from a smooth scale. */
export function PointRows({ lens, points, problems, units, onPoints }: PointRowsProps) {
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

interface PointRowProps extends Pick<PointRowsProps, 'units' | 'onPoints' | 'points'> {
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
