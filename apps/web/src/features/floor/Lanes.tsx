import type { CompleteVerdict, ShotPlan, TimeSpan } from '@still-heron/core';
import { memo, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { createFramings } from '../../shared/workers/evaluator';
import type { Framings } from '../../shared/workers/protocol';
import { subjectColour } from '../../charts/subjectColour';
import { framingText } from '@still-heron/wording';
import { type Lane, lanesOf } from './lanesLayout';
import styles from './Lanes.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
}

/** One lane per subject under the time bar: in the picture (thin), sharp (full), soft but required (hatched). */
export const Lanes = memo(function Lanes({ plan, verdict }: Props) {
  const framings = useFramings(plan);
  const lanes = useMemo(() => lanesOf(plan, verdict, framings), [plan, verdict, framings]);
  return (
    <ul className={styles.lanes} aria-label="Who is in frame, and sharp, when">
      {lanes.map((lane) => (
        <LaneRow key={lane.subjectId} lane={lane} durationS={plan.durationS} />
      ))}
    </ul>
  );
});

/** When the subjects of a plan are in the picture, at most a few frames behind during a drag. Null before the first answer. */
function useFramings(plan: ShotPlan): Framings | null {
  const [framings] = useState(createFramings);
  useEffect(() => () => framings.forget(), [framings]);
  useEffect(() => framings.ask(plan), [framings, plan]);
  return useSyncExternalStore(framings.subscribe, framings.latest)?.result ?? null;
}

function LaneRow({ lane, durationS }: { readonly lane: Lane; readonly durationS: number }) {
  const words = framingText(lane, durationS);
  const bars = (spans: readonly TimeSpan[], kind: string, className?: string) =>
    spans.map(({ fromS, untilS }) => (
      <span
        key={`${kind}${fromS}`}
        className={className}
        style={{ left: `${(100 * fromS) / durationS}%`, width: `${(100 * (untilS - fromS)) / durationS}%` }}
      />
    ));
  return (
    <li title={words}>
      <span className={styles.laneName} style={{ color: subjectColour(lane.subjectIndex) }}>
        {lane.name}
      </span>
      <span className={styles.laneTrack} style={{ color: subjectColour(lane.subjectIndex) }}>
        {bars(lane.framed ?? [], 'framed')}
        {bars(lane.sharp, 'sharp', styles.laneSharp)}
        {bars(lane.soft, 'soft', styles.laneSoft)}
      </span>
      <span className={textStyles.unseen}>{words}</span>
    </li>
  );
}
