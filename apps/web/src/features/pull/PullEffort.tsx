import {
  ASSUMED_HAND,
  formatGap,
  type Landing,
  type PullAssessment,
  type ShotPlan,
  type UnitSystem,
  type WheelTurn,
} from '@still-heron/core';
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
        <Explain
          what="Time that a hand needs"
          lines={
            judged.isAgainstHardStop && wheel?.betweenStopsS !== null && wheel
              ? ['the pull lands against a hard stop: it needs no aim, only time to turn']
              : [
                  `${ASSUMED_HAND.reactionS} s + ${ASSUMED_HAND.perBitS} s × ${judged.bits.toFixed(2)} bits of difficulty`,
                  `bits = log₂(${judged.travelDeg.toFixed(1)}° / ${judged.windowDeg.toFixed(2)}° + 1): turn over landing window`,
                  `at least the time for the turn at ${limit.toFixed(0)}°/s`,
                  'the hand is assumed until your own is measured',
                ]
          }
        >
          {judged.neededS.toFixed(2)} s
        </Explain>
      </Fact>
      <Fact what="has">
        {judged.availableS.toFixed(2)} s{' '}
        <strong className={clsx(styles.grade, GRADE_TONES[judged.grade])}>{judged.grade.replace('-', ' ')}</strong>
      </Fact>
      <Fact what="landing window">
        <Explain
          what="Room at the landing"
          lines={[
            `ring: ${judged.nearRoomDeg.toFixed(2)}° on the near side, ${judged.farRoomDeg.toFixed(2)}° on the far side`,
            `on the floor: ${gapWords(judged.nearRoomMm, units)} nearer, ${gapWords(judged.farRoomMm, units)} farther`,
            `in the opposite direction the window is ${judged.oppositeLanding.windowDeg.toFixed(1)}°: ${gapWords(judged.oppositeLanding.nearRoomMm, units)} nearer, ${gapWords(judged.oppositeLanding.farRoomMm, units)} farther, ${judged.oppositeLanding.neededS.toFixed(2)} s`,
          ]}
        >
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
      <Explain
        what={wheel ? 'Turn of the wheel' : 'Turn of the ring'}
        lines={[
          `the ring from ${judged.from.ringDeg.toFixed(1)}° to ${judged.to.ringDeg.toFixed(1)}°`,
          ...(wheel
            ? [
                `the wheel turns ${plan.wheel!.wheelPerRing} × as far; it must land within ${wheel.windowOnDiscMm.toFixed(1)} mm on its disc`,
                ...(wheel.regrips > 0 ? [`the hand has to regrip ${wheel.regrips} times`] : []),
              ]
            : []),
        ]}
      >
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
      <Explain
        what="Peak speed of the wheel or ring"
        lines={[
          judged.isTracking
            ? 'computed frame by frame, because the pull runs to a moving subject'
            : `${(judged.peakDegPerS / (judged.travelDeg / judged.availableS || 1)).toFixed(3)} × ${judged.travelDeg.toFixed(1)}° / ${judged.availableS.toFixed(2)} s of the ring`,
          `the limit is ${limit.toFixed(0)}°/s: yours, under “Hand and shot”`,
        ]}
      >
        {judged.handPeakDegPerS.toFixed(0)}°/s
      </Explain>
      <span className={judged.handPeakDegPerS > limit ? textStyles.toneSoft : textStyles.muted}> of {limit.toFixed(0)}</span>
    </Fact>
  );
}

function BreathingFact({ plan, judged }: Pick<Props, 'plan' | 'judged'>) {
  return (
    <Fact what="breathing">
      <Explain
        what="Change of the picture by breathing"
        lines={[
          `breathing of the lens: ${plan.optics.lens.breathingPercent} % from infinity to close focus`,
          'in proportion to the extension of the lens: an assumption',
        ]}
      >
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
      −{gapWords(at.nearRoomMm, units)} / +{gapWords(at.farRoomMm, units)}
    </span>
  );
}

const gapWords = (mm: number, units: UnitSystem) => (mm === Infinity ? '∞' : formatGap(mm, units));
