import { automaticParts, type ShotPlan } from '@still-heron/core';
import type { PullChartLayout } from './pullChartLayout';
import styles from './AutomaticParts.module.css';

/** Where focus is left to autofocus while it is pulled in other parts. */
export function AutomaticParts({
  plan,
  layout: { x, left, right, top, bottom },
}: {
  readonly plan: ShotPlan;
  readonly layout: PullChartLayout;
}) {
  return automaticParts(plan).map(({ fromS, toS }) => {
    const [fromX, toX] = [Math.max(x(fromS), left), Math.min(x(toS), right)];
    if (toX <= fromX) return null;
    return (
      <g key={fromS} className={styles.automatic} data-testid="automatic-part">
        <rect x={fromX} y={top} width={toX - fromX} height={bottom - top} />
        <text x={fromX + 8} y={bottom - 10}>
          left to autofocus
        </text>
      </g>
    );
  });
}
