import { ASSUMED_HAND, formatGap, type Landing, type PullAssessment, type ShotPlan, type UnitSystem } from '@still-heron/core';
import type { ReactNode } from 'react';
import { Explain } from '../../ui/fields/Explain';

const GRADE_TONES = { comfortable: 'tone-sharp', workable: 'tone-sharp', tight: 'tone-edge', 'too-hard': 'tone-soft' } as const;

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
    <dl className="hand-facts">
      <Fact what="turn">
        <Explain
          what={wheel ? 'Turn of the wheel' : 'Turn of the ring'}
          lines={[
            `the ring from ${judged.from.ringDeg.toFixed(1)}° to ${judged.to.ringDeg.toFixed(1)}°`,
            ...(wheel
              ? [
                  `the wheel turns ${plan.wheel!.wheelPerRing} × as far; its landing is ${wheel.windowOnDiscMm.toFixed(1)} mm on the disc`,
                  ...(wheel.regrips > 0 ? [`${wheel.regrips} new grips on the way`] : []),
                ]
              : []),
          ]}
        >
          {judged.presses === null ? `${(wheel?.travelDeg ?? judged.travelDeg).toFixed(1)}°` : `${judged.presses} presses`}
        </Explain>
        <span className="haze"> {judged.towards === 'nowhere' ? 'none' : `towards ${judged.towards}`}</span>
      </Fact>
      {judged.presses === null && (
        <Fact what="at most">
          <Explain
            what="Fastest turn of what the hand holds"
            lines={[
              judged.isTracking
                ? 'from moment to moment, as it runs into someone who moves'
                : `${(judged.peakDegPerS / (judged.travelDeg / judged.availableS || 1)).toFixed(3)} × ${judged.travelDeg.toFixed(1)}° / ${judged.availableS.toFixed(2)} s of the ring`,
              `the limit is ${limit.toFixed(0)}°/s: yours, under “How it is shot”`,
            ]}
          >
            {judged.handPeakDegPerS.toFixed(0)}°/s
          </Explain>
          <span className={judged.handPeakDegPerS > limit ? 'tone-soft' : 'haze'}> of {limit.toFixed(0)}</span>
        </Fact>
      )}
      {Math.abs(judged.breathingPercent) >= 0.05 && (
        <Fact what="the picture">
          <Explain
            what="Breathing of the lens on the way"
            lines={[
              `${plan.optics.lens.breathingPercent} % from infinity to close focus, as Kit has it`,
              'in proportion to how far the lens moves out: an assumption',
            ]}
          >
            {Math.abs(judged.breathingPercent).toFixed(1)} %
          </Explain>
          <span className="haze"> {judged.breathingPercent > 0 ? 'wider' : 'narrower'}</span>
        </Fact>
      )}
      <Fact what="a hand needs">
        <Explain
          what="Least time a hand needs"
          lines={
            judged.isAgainstHardStop && wheel?.betweenStopsS !== null && wheel
              ? ['it lands against a hard stop: nothing is aimed at, and only turning takes time']
              : [
                  `${ASSUMED_HAND.reactionS} s + ${ASSUMED_HAND.perBitS} s × ${judged.bits.toFixed(2)} bits`,
                  `bits = log₂(${judged.travelDeg.toFixed(1)}° / ${judged.windowDeg.toFixed(2)}° + 1): the turn over the window it must land in`,
                  `or, if that is longer, what the turn takes at ${limit.toFixed(0)}°/s`,
                  'the hand is an assumption until your own is measured',
                ]
          }
        >
          {judged.neededS.toFixed(2)} s
        </Explain>
      </Fact>
      <Fact what="it has">
        {judged.availableS.toFixed(2)} s{' '}
        <strong className={`grade ${GRADE_TONES[judged.grade]}`}>{judged.grade.replace('-', ' ')}</strong>
      </Fact>
      <Fact what="lands within">
        <Explain
          what="Room where it lands"
          lines={[
            `ring: ${judged.nearRoomDeg.toFixed(2)}° on the near side, ${judged.farRoomDeg.toFixed(2)}° on the far side`,
            `where they stand: ${gapWords(judged.nearRoomMm, units)} nearer, ${gapWords(judged.farRoomMm, units)} farther`,
            `the other way round it would land within ${judged.oppositeLanding.windowDeg.toFixed(1)}°: ${gapWords(judged.oppositeLanding.nearRoomMm, units)} nearer, ${gapWords(judged.oppositeLanding.farRoomMm, units)} farther, ${judged.oppositeLanding.neededS.toFixed(2)} s`,
          ]}
        >
          {judged.windowDeg.toFixed(1)}°
        </Explain>
        <Room at={judged} units={units} />
      </Fact>
      <Fact what="other order">
        {judged.oppositeLanding.windowDeg.toFixed(1)}°
        <Room at={judged.oppositeLanding} units={units} />
      </Fact>
    </dl>
  );
}

function Fact({ what, children }: { readonly what: string; readonly children: ReactNode }) {
  return (
    <div>
      <dt>{what}</dt>
      <dd className="figure">{children}</dd>
    </div>
  );
}

/** Room on both sides of the landing. */
function Room({ at, units }: { readonly at: Landing; readonly units: UnitSystem }) {
  return (
    <span className="haze">
      {' '}
      −{gapWords(at.nearRoomMm, units)} / +{gapWords(at.farRoomMm, units)}
    </span>
  );
}

const gapWords = (mm: number, units: UnitSystem) => (mm === Infinity ? '∞' : formatGap(mm, units));
