import type { Landing, PullAssessment, ShotPlan, UnitSystem, WheelTurn } from '@still-heron/core';
import { breathingLines, landingLines, neededTimeLines, peakSpeedLines, roomText, turnLines } from '@still-heron/wording';
import type { ReactNode } from 'react';
import clsx from 'clsx';
import { Explain } from '../../ui/fields/Explain';
import textStyles from '../../ui/text.module.css';
import styles from './PullEffort.module.css';

const GRADE_TONES = {
  comfortable: textStyles.toneSharp,
  workable: textStyles.toneSharp,
  tight: textStyles.toneEdge,
  'too-hard': textStyles.toneSoft,
} as const;

interface Props {
  readonly judged: PullAssessment;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Effort of a pull for the hand: turn, speed, needed and available time, and landing room in both directions. */
export function PullEffort({ judged, plan, units }: Props) {
  const { wheel } = judged;
  const limit = plan.maxHandDegPerS;
  return (
    <dl className={styles.handFacts}>
      <TurnFact wheel={wheel} judged={judged} plan={plan} />
      {judged.presses === null && <SpeedFact judged={judged} limit={limit} />}
      {Math.abs(judged.breathingPercent) >= 0.05 && <BreathingFact plan={plan} judged={judged} />}
      <Fact what="needs">
        <Explain what="Time that a hand needs" lines={neededTimeLines(judged, plan)}>
          {judged.neededS.toFixed(2)} s
        </Explain>
      </Fact>
      <Fact what="has">
        {judged.availableS.toFixed(2)} s{' '}
        <strong className={clsx(styles.grade, GRADE_TONES[judged.grade])}>{judged.grade.replace('-', ' ')}</strong>
      </Fact>
      <Fact what="landing window">
        <Explain what="Room at the landing" lines={landingLines(judged, units)}>
          {judged.windowDeg.toFixed(1)}°
        </Explain>
        <Room at={judged} units={units} />
      </Fact>
      <Fact what="opposite direction">
        {judged.oppositeLanding.windowDeg.toFixed(1)}°
        <Room at={judged.oppositeLanding} units={units} />
      </Fact>
    </dl>
  );
}

interface TurnFactProps extends Pick<Props, 'judged' | 'plan'> {
  readonly wheel: WheelTurn | null;
}

function TurnFact({ wheel, judged, plan }: TurnFactProps) {
  return (
    <Fact what="turn">
      <Explain what={wheel ? 'Turn of the wheel' : 'Turn of the ring'} lines={turnLines(judged, plan)}>
        {judged.presses === null ? `${(wheel?.travelDeg ?? judged.travelDeg).toFixed(1)}°` : `${judged.presses} presses`}
      </Explain>
      <span className={textStyles.muted}> {judged.towards === 'nowhere' ? 'none' : `towards ${judged.towards}`}</span>
    </Fact>
  );
}

interface SpeedFactProps extends Pick<Props, 'judged'> {
  readonly limit: number;
}

function SpeedFact({ judged, limit }: SpeedFactProps) {
  return (
    <Fact what="peak speed">
      <Explain what="Peak speed of the wheel or ring" lines={peakSpeedLines(judged, limit)}>
        {judged.handPeakDegPerS.toFixed(0)}°/s
      </Explain>
      <span className={judged.handPeakDegPerS > limit ? textStyles.toneSoft : textStyles.muted}> of {limit.toFixed(0)}</span>
    </Fact>
  );
}

function BreathingFact({ plan, judged }: Pick<Props, 'plan' | 'judged'>) {
  return (
    <Fact what="breathing">
      <Explain what="Change of the picture by breathing" lines={breathingLines(plan)}>
        {Math.abs(judged.breathingPercent).toFixed(1)} %
      </Explain>
      <span className={textStyles.muted}> {judged.breathingPercent > 0 ? 'wider' : 'narrower'}</span>
    </Fact>
  );
}

function Fact({ what, children }: { readonly what: string; readonly children: ReactNode }) {
  return (
    <div>
      <dt>{what}</dt>
      <dd className={textStyles.figure}>{children}</dd>
    </div>
  );
}

/** Room on both sides of the landing. */
function Room({ at, units }: { readonly at: Landing; readonly units: UnitSystem }) {
  return (
    <span className={textStyles.muted}>
      {' '}
      −{roomText(at.nearRoomMm, units)} / +{roomText(at.farRoomMm, units)}
    </span>
  );
}
