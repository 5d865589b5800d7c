import type { CompleteVerdict, ShotPlan, TimeSpan } from '@still-heron/core';
import { memo, useMemo } from 'react';
import { subjectColour } from '../../charts/subjectColour';
import { framingWords, type Lane, lanesOf } from './lanesLayout';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
}

/** One lane per subject under the time bar: in the picture (thin), sharp (full), soft but required (hatched). */
export const Lanes = memo(function Lanes({ plan, verdict }: Props) {
  const lanes = useMemo(() => lanesOf(plan, verdict), [plan, verdict]);
  return (
    <ul className="lanes" aria-label="Who is in frame, and sharp, when">
      {lanes.map((lane) => (
        <LaneRow key={lane.subjectId} lane={lane} durationS={plan.durationS} />
      ))}
    </ul>
  );
});

function LaneRow({ lane, durationS }: { readonly lane: Lane; readonly durationS: number }) {
  const words = framingWords(lane, durationS);
  const bars = (spans: readonly TimeSpan[], className: string) =>
    spans.map(({ fromS, untilS }) => (
      <span
        key={`${className}${fromS}`}
        className={className}
        style={{ left: `${(100 * fromS) / durationS}%`, width: `${(100 * (untilS - fromS)) / durationS}%` }}
      />
    ));
  return (
    <li title={words}>
      <span className="lane-name" style={{ color: subjectColour(lane.current) }}>
        {lane.name}
      </span>
      <span className="lane-track" style={{ color: subjectColour(lane.current) }}>
        {bars(lane.framed ?? [], 'lane-framed')}
        {bars(lane.sharp, 'lane-sharp')}
        {bars(lane.soft, 'lane-soft')}
      </span>
      <span className="unseen">{words}</span>
    </li>
  );
}
