/** Limits of a focus motor. Angles are ring angles. */
export interface MotorLimits {
  readonly fastestDegPerS: number;
  readonly degPerS2: number;
  /** Delay from a command to the start of the movement */
  readonly latencyS: number;
  /** Play of the gears: turn that is lost at a change of direction */
  readonly backlashDeg: number;
}

/** Limits of the simulated motor: those of an average motor. Assumed, and shown as an assumption. */
export const SIMULATED_MOTOR: MotorLimits = { fastestDegPerS: 540, degPerS2: 4000, latencyS: 0.03, backlashDeg: 0.4 };

/** State of a simulated motor. The page labels it as simulated. */
export interface Motor {
  readonly timeS: number;
  /** Angle and speed of the motor itself */
  readonly motorDeg: number;
  readonly degPerS: number;
  /** Angle of the ring behind the gears */
  readonly ringDeg: number;
  /** Commands that have not arrived yet, and the last one that has */
  readonly commands: readonly { readonly timeS: number; readonly deg: number }[];
  readonly arrivedDeg: number;
}

export function restingMotor(ringDeg: number, timeS = 0): Motor {
  return { timeS, motorDeg: ringDeg, degPerS: 0, ringDeg, commands: [], arrivedDeg: ringDeg };
}

/** Share of the maximum deceleration that the motor plans with, so that it does not overshoot. */
const BRAKING_SHARE = 0.7;
/** Time step of the simulation. */
const STEP_S = 1 / 480;
/** Within this angle the motor has arrived. */
const ARRIVED_DEG = 0.005;

/**
 * Advances the motor to a time at which it receives a new target.
 *
 * @param timeS - not before the motor's own time
 * @param commandDeg - target angle of the ring
 * @param limits - speed and acceleration > 0, the others at least 0
 */
export function runMotor(motor: Motor, timeS: number, commandDeg: number, limits: MotorLimits = SIMULATED_MOTOR): Motor {
  let { motorDeg, degPerS, ringDeg, arrivedDeg } = motor;
  const told = [...motor.commands, { timeS, deg: commandDeg }];
  const steps = Math.max(1, Math.ceil((timeS - motor.timeS) / STEP_S));
  const stepS = (timeS - motor.timeS) / steps;
  for (let step = 1; step <= steps && stepS > 0; step++) {
    const nowS = motor.timeS + step * stepS;
    while (told.length > 0 && told[0]!.timeS + limits.latencyS <= nowS) arrivedDeg = told.shift()!.deg;
    const missing = arrivedDeg - motorDeg;
    // highest speed from which it can still stop, with some reserve
    const requested =
      Math.sign(missing) * Math.min(limits.fastestDegPerS, Math.sqrt(2 * BRAKING_SHARE * limits.degPerS2 * Math.abs(missing)));
    const change = limits.degPerS2 * stepS;
    degPerS += Math.min(Math.max(requested - degPerS, -change), change);
    if (Math.abs(missing) <= Math.max(ARRIVED_DEG, Math.abs(degPerS) * stepS) && Math.abs(degPerS) <= 2 * change) {
      [motorDeg, degPerS] = [arrivedDeg, 0];
    } else motorDeg += degPerS * stepS;
    const play = limits.backlashDeg / 2;
    ringDeg = Math.min(Math.max(ringDeg, motorDeg - play), motorDeg + play);
  }
  return { timeS, motorDeg, degPerS, ringDeg, commands: told, arrivedDeg };
}
