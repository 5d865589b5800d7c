import type { Beat, CompleteVerdict, ShotPlan } from '@still-heron/core';
import { BeatBar, type SoftStrip } from './BeatBar';
import type { ReadChart } from './Handle';
import type { PullChartLayout } from './pullChartLayout';
import styles from './BeatLanes.module.css';

interface Props {
  readonly layout: PullChartLayout;
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
  readonly chart: ReadChart;
}

/** Lanes of beats, one per subject. A beat is hatched where its requirement is not met. */
export function BeatLanes({ layout, plan, verdict, chart }: Props) {
  const { lanes, left, right, laneHeight: high } = layout;
  const strips = stripsOf(layout, verdict);
  const judged = new Map(verdict?.beats.map((beat) => [beat.beatId, beat]));
  return lanes.map(({ subjectId, subjectIndex, y, beats }) => (
    <g key={subjectId}>
      <line x1={left} x2={right} y1={y + high / 2} y2={y + high / 2} className={styles.laneLine} />
      {beats.map(({ beat, x, width }) => (
        <BeatBar
          key={beat.id}
          {...{ beat, x, width, y, high, left, right, subjectIndex, chart }}
          name={plan.subjects[subjectIndex]!.name}
          keyX={beat.keyMomentS === null ? null : layout.x(beat.keyMomentS)}
          strips={strips.get(beat.id) ?? NONE}
          share={shareOf(judged.get(beat.id))}
          isKeyMomentMissed={judged.get(beat.id)?.isKeyMomentKept === false}
        />
      ))}
    </g>
  ));
}

const NONE: readonly SoftStrip[] = [];

/** Share of a beat that is kept, if that is too little. */
function shareOf(judged: CompleteVerdict['beats'][number] | undefined): string {
  return judged && !judged.kept ? `${Math.floor(judged.share * 100)} %` : '';
}

/** By beat: where its requirement is not met, and where its subject is hidden. */
function stripsOf({ x }: PullChartLayout, verdict: CompleteVerdict | null): ReadonlyMap<Beat['id'], readonly SoftStrip[]> {
  const strips = new Map<string, SoftStrip[]>();
  const add = (isHidden: boolean, spans: readonly { beatId: string; fromS: number; toS: number }[] = []) => {
    for (const { beatId, fromS, toS } of spans) {
      const strip = { isHidden, x: x(fromS), width: Math.max(2, x(toS) - x(fromS)) };
      strips.set(beatId, [...(strips.get(beatId) ?? []), strip]);
    }
  };
  add(false, verdict?.softSpans);
  add(false, verdict?.tooSharpSpans);
  add(true, verdict?.hiddenSpans);
  return strips;
}
