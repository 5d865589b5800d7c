/** What a focus motor can do. Angles of the ring. */
export interface MotorLimits {
  readonly fastestDegPerS: number;
  readonly degPerS2: number;
  /** From when it is told until it begins */
  readonly latencyS: number;
  /** Play of its gears: what a change of direction swallows */
  readonly backlashDeg: number;
}

/** Of the stand-in: as of a middling motor. An assumption, shown as one. */
export const STAND_IN_MOTOR: MotorLimits = { fastestDegPerS: 540, degPerS2: 4000, latencyS: 0.03, backlashDeg: 0.4 };

/** A motor as it stands. Stand-in: simulated, labelled so wherever it is shown. */
export interface Motor {
  readonly timeS: number;
  /** Of the motor itself, and how fast it turns */
  readonly motorDeg: number;
  readonly degPerS: number;
  /** Of the ring behind its gears */
  readonly ringDeg: number;
  /** What it was told and has not heard yet, and what it heard last */
  readonly told: readonly { readonly timeS: number; readonly deg: number }[];
  readonly heardDeg: number;
}

export function motorAt(ringDeg: number, timeS = 0): Motor {
  return { timeS, motorDeg: ringDeg, degPerS: 0, ringDeg, told: [], heardDeg: ringDeg };
}

/** How much of its power it counts on when it slows down: it does not go past. */
const BRAKING = 0.7;
/** A step of the motor's own reckoning. */
const STEP_S = 1 / 480;
/** Nearer to where it goes than this, and it is there. */
const THERE_DEG = 0.005;

/**
 * Runs a motor on to a time, told a new angle at that time.
 *
 * @param timeS - not before the motor's own
 * @param toldDeg - where the ring is to go
 * @param limits - all above or at 0; speed and acceleration above
 */
export function runMotor(motor: Motor, timeS: number, toldDeg: number, limits: MotorLimits = STAND_IN_MOTOR): Motor {
  let { motorDeg, degPerS, ringDeg, heardDeg } = motor;
  const told = [...motor.told, { timeS, deg: toldDeg }];
  const steps = Math.max(1, Math.ceil((timeS - motor.timeS) / STEP_S));
  const stepS = (timeS - motor.timeS) / steps;
  for (let step = 1; step <= steps && stepS > 0; step++) {
    const nowS = motor.timeS + step * stepS;
    while (told.length > 0 && told[0]!.timeS + limits.latencyS <= nowS) heardDeg = told.shift()!.deg;
    const missing = heardDeg - motorDeg;
    // as fast as it can still stop from, with something in hand
    const wanted =
      Math.sign(missing) * Math.min(limits.fastestDegPerS, Math.sqrt(2 * BRAKING * limits.degPerS2 * Math.abs(missing)));
    const change = limits.degPerS2 * stepS;
    degPerS += Math.min(Math.max(wanted - degPerS, -change), change);
    if (Math.abs(missing) <= Math.max(THERE_DEG, Math.abs(degPerS) * stepS) && Math.abs(degPerS) <= 2 * change) {
      [motorDeg, degPerS] = [heardDeg, 0];
    } else motorDeg += degPerS * stepS;
    const play = limits.backlashDeg / 2;
    ringDeg = Math.min(Math.max(ringDeg, motorDeg - play), motorDeg + play);
  }
  return { timeS, motorDeg, degPerS, ringDeg, told, heardDeg };
}
