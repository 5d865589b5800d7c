import { type HandWheel, type Motor, motorAt, ringReach, runMotor, type ShotPlan, turnWheel } from '@still-heron/core';
import type { TurnedBy } from './rollOptions';

/** What turns the ring in a roll, and where it is. */
export interface RingSource {
  /** null while nobody the page hears of turns it */
  readonly ringDeg: () => number | null;
  /** By a hand at the stand-in wheel, in wheel degrees */
  turn(wheelDeg: number): void;
  /** From the port for devices */
  reported(ringDeg: number): void;
  /** Runs what runs by itself on to a time. @param lineDeg - where the line is then */
  run(timeS: number, lineDeg: number): void;
  /** Back to where the shot begins */
  reset(ringDeg: number): void;
}

/** @param startDeg - where the shot begins */
export function ringSource(plan: ShotPlan, turnedBy: TurnedBy, startDeg: number): RingSource {
  const reach = ringReach(plan);
  let wheel: HandWheel = { ringDeg: startDeg };
  let motor: Motor = motorAt(startDeg);
  let reportedDeg: number | null = null;
  return {
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
      // another clock has begun
      if (Math.abs(timeS - motor.timeS) > 1) motor = motorAt(motor.ringDeg, timeS);
      if (timeS > motor.timeS) motor = runMotor(motor, timeS, turnedBy === 'motor-line' ? lineDeg : wheel.ringDeg);
    },
    reset: (ringDeg) => {
      wheel = { ringDeg };
      motor = motorAt(ringDeg, -Infinity);
    },
  };
}
