import {
  type HandWheel,
  type Motor,
  restingMotor,
  ringReach,
  type RingSourceOfTake,
  runMotor,
  type ShotPlan,
  turnWheel,
} from '@still-heron/core';
import type { TurnedBy } from '../../shared/rollOptions';

/** What turns the ring during a roll, and its current angle. */
export interface RingSource {
  /** As takes name it */
  readonly from: RingSourceOfTake;
  /** null if the page does not know the angle */
  readonly ringDeg: () => number | null;
  /** Input of the simulated wheel, in wheel degrees */
  turn(wheelDeg: number): void;
  /** Reading from the device port */
  reported(ringDeg: number): void;
  /** Advances a simulated motor. @param lineDeg - planned ring angle at that time */
  run(timeS: number, lineDeg: number): void;
  /** Back to the start of the shot */
  reset(ringDeg: number): void;
}

const FROM = {
  nobody: 'unseen',
  wheel: 'on-screen',
  'motor-wheel': 'simulated-motor',
  'motor-line': 'simulated-motor',
  port: 'device',
} as const satisfies Record<TurnedBy, RingSourceOfTake>;

/** @param startDeg - ring angle at the start of the shot */
export function ringSource(plan: ShotPlan, turnedBy: TurnedBy, startDeg: number): RingSource {
  const reach = ringReach(plan);
  let wheel: HandWheel = { ringDeg: startDeg };
  let motor: Motor = restingMotor(startDeg);
  let reportedDeg: number | null = null;
  return {
    from: FROM[turnedBy],
    ringDeg: () =>
      ({
        nobody: null,
        wheel: wheel.ringDeg,
        'motor-wheel': motor.ringDeg,
        'motor-line': motor.ringDeg,
        port: reportedDeg,
      })[turnedBy],
    turn: (wheelDeg) => (wheel = turnWheel(wheel, wheelDeg, plan.wheel, reach)),
    reported: (ringDeg) => (reportedDeg = ringDeg),
    run: (timeS, lineDeg) => {
      // a new clock has started
      if (Math.abs(timeS - motor.timeS) > 1) motor = restingMotor(motor.ringDeg, timeS);
      if (timeS > motor.timeS) motor = runMotor(motor, timeS, turnedBy === 'motor-line' ? lineDeg : wheel.ringDeg);
    },
    reset: (ringDeg) => {
      wheel = { ringDeg };
      motor = restingMotor(ringDeg, -Infinity);
    },
  };
}
