import {
  asJudged,
  evaluatePull,
  focusTrack,
  hitOf,
  keepRate,
  type MarkHit,
  newTake,
  NOT_MEASURED,
  packTrack,
  pullErrors,
  ringOf,
  setStop,
  type ShotPlan,
  stopAt,
  type Take,
} from '@still-heron/core';

/** Takes of one shot on one day, in order. */
interface ShootingDay {
  readonly slate: string;
  /** First take, in UTC */
  readonly from: string;
  readonly puller: string;
  /** By take: the stop it was shot at */
  readonly stops: readonly number[];
  /** The ring was turned on the screen: the take has a track, and is simulated */
  readonly isSimulated?: boolean;
}

/** Three days of the demo production: two people, some takes by hand alone, some with the simulated wheel. */
const DAYS: readonly ShootingDay[] = [
  { slate: '9A', from: '2026-03-02T08:40:00Z', puller: 'Maren', stops: [3.2, 3.2, 3.2, 4.5, 4.5, 6.3, 6.3, 9] },
  { slate: '9C', from: '2026-03-02T13:10:00Z', puller: 'Bohdan', stops: [4.5, 4.5, 4.5], isSimulated: true },
  { slate: '12B', from: '2026-03-03T09:05:00Z', puller: 'Bohdan', stops: [4, 4, 4, 4.5, 4.5] },
  { slate: '12D', from: '2026-03-03T14:20:00Z', puller: 'Maren', stops: [3.2, 3.2, 3.2, 3.2, 4.5] },
  { slate: '12D', from: '2026-03-04T08:30:00Z', puller: 'Bohdan', stops: [3.2, 3.2], isSimulated: true },
  { slate: '14A', from: '2026-03-04T10:00:00Z', puller: 'Maren', stops: [4.5, 4.5, 6.3, 6.3, 6.3] },
  { slate: '14A', from: '2026-03-04T15:00:00Z', puller: 'Bohdan', stops: [6.3, 6.3], isSimulated: true },
];

const MINUTES_BETWEEN = 6;
const HZ = 50;
/** Trials for a prediction: enough to see its tenth. */
const TRIALS = 400;
const NOTES = ['', 'her hand comes later', '', '', 'sound asks for one more', ''];

/** A take of the demo production, to be logged for a shot. */
export interface DemoTake {
  readonly slate: string;
  readonly rolledAt: Date;
  readonly take: Take;
}

/**
 * Takes of the demo production, in the order in which they were shot. What happened is drawn with the predicted keep rates, from numbers that are
 * the same at every start.
 *
 * @param planOf - plan of a shot; undefined if there is none
 */
export function demoTakes(planOf: (slate: string) => ShotPlan | undefined): DemoTake[] {
  const uniform = evenly(7);
  const rates = new Map<string, number>();
  const rateOf = (slate: string, plan: ShotPlan): number => {
    const key = `${slate} ${stopAt(plan.optics, 0)}`;
    const rate = rates.get(key) ?? keepRate(plan, { takes: TRIALS, seed: 1 }).keepRate;
    rates.set(key, rate);
    return rate;
  };
  return DAYS.flatMap(({ slate, from, puller, stops, isSimulated = false }) => {
    const planned = planOf(slate);
    if (!planned) return [];
    const startMs = Date.parse(from);
    return stops.map((stop, index): DemoTake => {
      const plan = setStop(planned, stop);
      const predicted = rateOf(slate, plan);
      const fresh = newTake(plan, 1);
      const take = { ...fresh, predictedKeepRate: predicted, gear: { ...fresh.gear, puller } };
      const rolled = isSimulated ? turned(plan, take, uniform) : seen(plan, take, uniform() < predicted, uniform);
      const isLast = index === stops.length - 1;
      return {
        slate,
        rolledAt: new Date(startMs + index * MINUTES_BETWEEN * 60_000),
        take: { ...rolled, isCircled: isLast && !isSimulated, note: NOTES[index % NOTES.length]! },
      };
    });
  });
}

const LOST = ['usable', 'soft'] as const;
const FAULTS: readonly MarkHit[] = ['late', 'in-front', 'behind', 'early', 'overshot'];

/** A take of which somebody said how it was: one that was lost has a fault at one of its pulls. */
function seen(plan: ShotPlan, take: Take, isKept: boolean, uniform: () => number): Take {
  const { pulls } = plan.focusTrack;
  const faultAt = isKept ? -1 : Math.floor(uniform() * pulls.length);
  const fault = FAULTS[Math.floor(uniform() * FAULTS.length)]!;
  return {
    ...take,
    focus: isKept ? 'sharp' : LOST[Math.floor(uniform() * LOST.length)]!,
    performance: uniform() < 0.7 ? 'good' : 'fair',
    hits: pulls.map(({ id }, index) => ({
      pullId: id,
      said: index === faultAt ? fault : 'hit',
      measured: null,
      ...NOT_MEASURED,
    })),
    ...looked(isKept, uniform),
  };
}

/** Some takes were looked at, some of them twice: the small display shows less than the large one. */
function looked(isKept: boolean, uniform: () => number): Partial<Take> {
  if (uniform() >= 0.5) return {};
  const last = { checkedOn: 'the large display', checkMagnification: 4, checkConfidence: 'sure' as const };
  if (uniform() >= 0.6) return last;
  const isRight = isKept || uniform() < 0.5;
  const focus = isKept === isRight ? ('sharp' as const) : ('soft' as const);
  return { ...last, earlierLooks: [{ on: 'the small display', magnification: 2, confidence: 'fairly-sure', focus }] };
}

/** A take with the simulated wheel: a hand that is late and lands beside its marks as the plan assumes it. */
function turned(plan: ShotPlan, take: Take, uniform: () => number): Take {
  const line = focusTrack(plan, ringOf(plan.optics.lens));
  const verdict = evaluatePull(plan);
  if (!line || verdict.status !== 'judged') return take;
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  const { pulls } = plan.focusTrack;
  const errors = pullErrors(plan, verdict.pulls).map(({ reactionS, cueSigmaS, ringSigmaDeg }) => ({
    lateS: Math.max(0, reactionS + normal() * cueSigmaS),
    offDeg: normal() * ringSigmaDeg,
  }));
  const ringDeg = Float64Array.from({ length: Math.floor(plan.durationS * HZ) + 1 }, (_, k) => {
    const hand = errors[pulls.findLastIndex(({ startS }) => k / HZ >= startS)] ?? { lateS: 0, offDeg: 0 };
    return line.ringDegAt(Math.max(0, k / HZ - hand.lateS)) + hand.offDeg;
  });
  const judged = asJudged(plan, {
    ...take,
    ringFrom: 'on-screen',
    startTimecode: '10:20:00:00',
    timecodeFrom: 'simulated',
    track: packTrack({ hz: HZ, ringDeg }),
    cues: pulls.filter(({ trigger }) => trigger !== 'clock').map(({ id, startS }) => ({ pullId: id, timeS: startS })),
  });
  return { ...judged, performance: judged.hits.every((one) => hitOf(one) === 'hit') ? 'good' : 'fair' };
}

/** Numbers between 0 and 1, the same at every start. */
function evenly(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}
