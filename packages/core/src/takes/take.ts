import type { CueEvent } from '../roll/index.js';
import { type Alternate, ALTERNATES, type Method, METHODS, PLAN_LIMITS } from '../plan/index.js';
import { CoreError } from '../errors.js';
import { problem, type Problem } from '../problems.js';
import { boolean, list, nullable, object, oneOf, quantity, type JsonSchema, type Shape, text } from '../shape.js';
import type { LoggedHit } from './loggedHit.js';
import { findingShape, type LoggedFinding } from './findings.js';
import type { UsableSpan } from './usableSpan.js';
import { type Recovery, RECOVERY_GRADES } from './recoveries.js';
import { MARK_HITS } from './scorePulls.js';
import type { TurnFigures } from './turnFigures.js';
import { unpackTrack } from './track.js';

/** Focus grade of a take. It is separate from the performance: a slightly soft take is often kept for what happens in it. */
export const FOCUS_GRADES = ['sharp', 'usable', 'soft'] as const;
export type FocusGrade = (typeof FOCUS_GRADES)[number];
export const PERFORMANCE_GRADES = ['good', 'fair', 'poor'] as const;
export type PerformanceGrade = (typeof PERFORMANCE_GRADES)[number];

/** Repairs that the edit has to make. Each one was not achieved in camera. */
export const REPAIRS = ['reversed', 'focus-check-cut', 'retimed', 'blur-added'] as const;
export type Repair = (typeof REPAIRS)[number];

/** Gear and settings of a take, independent of later changes of the plan. */
export interface TakeGear {
  readonly camera: string;
  readonly lens: string;
  readonly focalLengthMm: number;
  /** As engraved, at the start */
  readonly stop: number;
  readonly captureFps: number;
  /** From the start */
  readonly method: Method;
  /** Methods of the later parts, in order of time */
  readonly laterMethods: readonly Method[];
  /** Empty for none */
  readonly rig: string;
  readonly wheel: string;
  /** Who pulled; empty if unknown */
  readonly puller: string;
  readonly isReversed: boolean;
}

/** What turned the ring of a take, or told how it was turned. `unseen`: a hand, and nothing recorded it */
export const RING_SOURCES = ['unseen', 'on-screen', 'simulated-motor', 'device', 'lens-data', 'unknown'] as const;
export type RingSourceOfTake = (typeof RING_SOURCES)[number];

/** Whose timecode a take has: that of a camera, typed from a slate, or of the device's own clock. */
export const TIMECODE_SOURCES = ['camera', 'slate', 'simulated', 'unknown'] as const;
export type TimecodeSource = (typeof TIMECODE_SOURCES)[number];

/** What the track of a take shows. What a person says stands beside it. */
export interface TakeMeasured {
  readonly focus: FocusGrade;
  readonly usable: readonly UsableSpan[];
}

/** How sure a person is of what was seen of the focus. */
export const CONFIDENCES = ['sure', 'fairly-sure', 'guess'] as const;
export type Confidence = (typeof CONFIDENCES)[number];

/** A look at the focus of a take, and what it found. */
export interface EarlierLook {
  /** Display; empty if nobody said */
  readonly on: string;
  readonly magnification: number | null;
  readonly confidence: Confidence | null;
  readonly focus: FocusGrade;
}

/** One take as logged. Lengths in mm, times in seconds from its start. */
export interface Take {
  readonly durationS: number;
  /** The page or the camera failed during the take */
  readonly isCutShort: boolean;
  /** Version of the shot at the time of the take */
  readonly planVersion: number;
  readonly gear: TakeGear;
  /** Predicted keep rate at the time of the take; null if it was not computed */
  readonly predictedKeepRate: number | null;
  /** Smallest depth of the zone, in mm, in the frames in which somebody has to be sharp, as planned; null without any, or without end */
  readonly zoneDepthMm: number | null;
  /** Alternate that was shot; null for a shot without alternates */
  readonly alternate: Alternate | null;
  readonly ringFrom: RingSourceOfTake;
  /** Timecode at the start, `hh:mm:ss:ff`; empty if unknown */
  readonly startTimecode: string;
  readonly timecodeFrom: TimecodeSource;
  /** Name of the file that the camera made; empty if nobody typed it */
  readonly clip: string;
  /** Actual cue times of pulls that waited for a cue */
  readonly cues: readonly CueEvent[];
  /** Where subjects really stood: farther than the mark, negative if nearer */
  readonly markMisses: readonly { readonly markId: string; readonly byMm: number }[];
  readonly hits: readonly LoggedHit[];
  /** What is said of other places than pulls */
  readonly findings: readonly LoggedFinding[];
  /** What the track shows; null without one */
  readonly measured: TakeMeasured | null;
  /** As a person says; null if nobody said */
  readonly focus: FocusGrade | null;
  readonly performance: PerformanceGrade | null;
  readonly isCircled: boolean;
  /** Nobody wants it: it is lost, whatever its focus */
  readonly isNoGood: boolean;
  /** Why a soft take is kept */
  readonly whyKept: string;
  /** Display, magnification and confidence of the last look at its focus; empty and null until checked */
  readonly checkedOn: string;
  readonly checkMagnification: number | null;
  readonly checkConfidence: Confidence | null;
  /** Looks before that one, with what each found; the last one tells which of them were right */
  readonly earlierLooks: readonly EarlierLook[];
  /** Where somebody was lost and came back */
  readonly recoveries: readonly Recovery[];
  /** Spans in which the puller checked focus by rocking the ring */
  readonly focusChecks: readonly UsableSpan[];
  /** Usable spans as a person says; null if nobody said */
  readonly usable: readonly UsableSpan[] | null;
  readonly repairs: readonly Repair[];
  readonly note: string;
  /** Ring track as packed by `packTrack`; null if not recorded */
  readonly track: string | null;
}

/** Limits of a take's values. */
export const TAKE_LIMITS = {
  ...PLAN_LIMITS,
  takeS: { min: 0, max: 7200 },
  planVersion: { min: 1, max: 2 ** 31 - 1, whole: true },
  missMm: { min: -20_000, max: 20_000 },
  lateS: { min: -60, max: 60 },
  offDeg: { min: -10_000, max: 10_000 },
  travelDeg: { min: 0, max: 10_000_000 },
  checkMagnification: { min: 1, max: 100 },
  checkedOn: { max: 80 },
  takeNote: { max: 2000 },
  focusChecks: { max: 60 },
  recoveries: { max: 60 },
  earlierLooks: { max: 20 },
  turns: { min: 0, max: 1_000_000, whole: true },
  smoothness: { min: 0, max: 1 },
  zoneDepthMm: { min: 0, max: 100_000_000 },
  usable: { max: 60 },
  findings: { max: 200 },
  clip: { max: 120 },
  puller: { max: 60 },
  timecode: { max: 12 },
  track: { max: 600_000 },
} as const;

/** Divides the methods of a take where they are one word: in tables, in the log's filter and in its statistics. */
export const METHOD_DIVIDER = ' ';

/** All methods of a take, in order of time. */
export function takeMethods({ method, laterMethods }: Pick<TakeGear, 'method' | 'laterMethods'>): readonly Method[] {
  return [method, ...laterMethods];
}

const LIMITS = TAKE_LIMITS;
const id = text(LIMITS.id);
const time = quantity(LIMITS.takeS);
const grade = oneOf(...RECOVERY_GRADES);
const span = object<UsableSpan>({ fromS: time, toS: time });

const takeShape: Shape<Take> = object<Take>({
  durationS: time,
  isCutShort: boolean(),
  planVersion: quantity(LIMITS.planVersion),
  gear: object<TakeGear>({
    camera: text(LIMITS.detail),
    lens: text(LIMITS.detail),
    focalLengthMm: quantity(LIMITS.focalLengthMm),
    stop: quantity(LIMITS.stop),
    captureFps: quantity(LIMITS.captureFps),
    method: oneOf(...METHODS),
    laterMethods: list(oneOf(...METHODS), LIMITS.laterMethods),
    rig: text(LIMITS.detail),
    wheel: text(LIMITS.detail),
    puller: text(LIMITS.puller),
    isReversed: boolean(),
  }),
  predictedKeepRate: nullable(quantity({ min: 0, max: 1 })),
  zoneDepthMm: nullable(quantity(LIMITS.zoneDepthMm)),
  alternate: nullable(oneOf(...ALTERNATES)),
  ringFrom: oneOf(...RING_SOURCES),
  startTimecode: text(LIMITS.timecode),
  timecodeFrom: oneOf(...TIMECODE_SOURCES),
  clip: text(LIMITS.clip),
  cues: list(object<CueEvent>({ pullId: id, timeS: time }), LIMITS.moves),
  markMisses: list(object<Take['markMisses'][number]>({ markId: id, byMm: quantity(LIMITS.missMm) }), LIMITS.marks),
  hits: list(
    object<LoggedHit>({
      pullId: id,
      said: nullable(oneOf(...MARK_HITS)),
      measured: nullable(oneOf(...MARK_HITS)),
      lateS: nullable(quantity(LIMITS.lateS)),
      landsLateS: nullable(quantity(LIMITS.lateS)),
      offDeg: nullable(quantity(LIMITS.offDeg)),
      turn: nullable(
        object<TurnFigures>({
          travelDeg: quantity(LIMITS.travelDeg),
          plannedDeg: quantity(LIMITS.travelDeg),
          overshootDeg: quantity(LIMITS.travelDeg),
          isPastZone: boolean(),
          reversals: quantity(LIMITS.turns),
          smoothness: quantity(LIMITS.smoothness),
          settlingS: nullable(quantity(LIMITS.takeS)),
        }),
      ),
    }),
    LIMITS.moves,
  ),
  findings: list(findingShape(LIMITS.id, LIMITS.takeS), LIMITS.findings),
  measured: nullable(object<TakeMeasured>({ focus: oneOf(...FOCUS_GRADES), usable: list(span, LIMITS.usable) })),
  focus: nullable(oneOf(...FOCUS_GRADES)),
  performance: nullable(oneOf(...PERFORMANCE_GRADES)),
  isCircled: boolean(),
  isNoGood: boolean(),
  whyKept: text(LIMITS.note),
  checkedOn: text(LIMITS.checkedOn),
  checkMagnification: nullable(quantity(LIMITS.checkMagnification)),
  checkConfidence: nullable(oneOf(...CONFIDENCES)),
  earlierLooks: list(
    object<EarlierLook>({
      on: text(LIMITS.checkedOn),
      magnification: nullable(quantity(LIMITS.checkMagnification)),
      confidence: nullable(oneOf(...CONFIDENCES)),
      focus: oneOf(...FOCUS_GRADES),
    }),
    LIMITS.earlierLooks,
  ),
  recoveries: list(
    object<Recovery>({ fromS: time, toS: time, said: nullable(grade), measured: nullable(grade) }),
    LIMITS.recoveries,
  ),
  focusChecks: list(span, LIMITS.focusChecks),
  usable: nullable(list(span, LIMITS.usable)),
  repairs: list(oneOf(...REPAIRS), { max: REPAIRS.length }),
  note: text(LIMITS.takeNote),
  track: nullable(text(LIMITS.track)),
});

/** JSON Schema of a take. It does not say everything that `checkTake` checks, such as the order of times. */
export const TAKE_SCHEMA: JsonSchema = takeShape.schema;

/**
 * Lists every problem of a take.
 *
 * @param value - anything, as it comes over the wire
 * @returns empty for a take that can be stored and judged
 */
export function checkTake(value: unknown): Problem[] {
  const problems: Problem[] = [];
  takeShape.check(value, '', problems);
  if (problems.length > 0) return problems;
  const { focusChecks, usable, measured, recoveries, track } = value as Take;
  problems.push(...spanProblems(focusChecks, 'focusChecks'), ...spanProblems(usable ?? [], 'usable'));
  problems.push(...spanProblems(measured?.usable ?? [], 'measured.usable'), ...spanProblems(recoveries, 'recoveries'));
  if (track !== null) problems.push(...trackProblems(track));
  return problems;
}

function spanProblems(spans: readonly UsableSpan[], path: string): Problem[] {
  return spans.flatMap(({ fromS, toS }, index): Problem[] => {
    if (toS > fromS) return [];
    return [problem('ends-before-start', `${path}[${index}].toS`, { fromS, toS })];
  });
}

function trackProblems(track: string): Problem[] {
  try {
    unpackTrack(track);
    return [];
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return [error.problem];
  }
}
