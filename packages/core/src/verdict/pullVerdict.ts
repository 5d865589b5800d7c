import type { Hider } from '../floor/index.js';
import type { Requirement, SecondJob } from '../plan/index.js';
import type { TrackPull } from '../track/index.js';
import type { PullGrade, WheelTurn } from '../hand/index.js';

/** Side of the zone on which a soft subject is. */
export type Side = 'in front' | 'behind';

/** What a plan still needs before it can be evaluated. */
export type Missing = 'distance' | 'beat';

/** Why a subject is soft, in terms of the plan. */
export type Cause =
  /** The pull towards the subject is still under way */
  | { readonly kind: 'under-way'; readonly pullId: string }
  /** The move that brings focus to the subject has not begun */
  | { readonly kind: 'starts-too-late'; readonly pullId: string }
  /** The line was right for the subject, and this move took it away */
  | { readonly kind: 'left-too-soon'; readonly pullId: string }
  /** The zone was wide enough, and opening the stop or zooming in made it too thin */
  | { readonly kind: 'zone-shrinks'; readonly by: 'stop' | 'zoom' }
  /** The track follows a subject or a course, and is off it; null for the start of the track */
  | { readonly kind: 'tracking-off'; readonly pullId: string | null }
  /** The subject walks, and the line does not go with it */
  | { readonly kind: 'walks' }
  /** The subject stands, and the camera moves or pans while the line does not go with it */
  | { readonly kind: 'camera-moves' }
  /** The target lies outside what the ring reaches */
  | { readonly kind: 'out-of-reach' }
  /** The line never goes where the subject is */
  | { readonly kind: 'no-pull' };

/** An unbroken run of frames in which the subject of a beat is soft. */
export interface SoftSpan {
  readonly beatId: string;
  readonly subjectId: string;
  readonly fromFrame: number;
  /** First frame after it */
  readonly toFrame: number;
  readonly fromS: number;
  readonly toS: number;
  readonly worstFrame: number;
  /** Largest distance from the zone, > 0 */
  readonly worstGapMm: number;
  /** At the worst frame: blur diameter over circle of confusion, > 1 */
  readonly worstBlurCircles: number;
  readonly side: Side;
  readonly cause: Cause;
}

/** An unbroken run of frames in which a subject that must be soft is too sharp. */
export interface TooSharpSpan {
  readonly beatId: string;
  readonly subjectId: string;
  readonly fromS: number;
  readonly toS: number;
  /** Smallest blur and required blur, in percent of the picture's width */
  readonly blurPercent: number;
  readonly requiredPercent: number;
}

/** One subject frame by frame; arrays of length `frameCount`. */
export interface SubjectFrames {
  readonly subjectId: string;
  /** Tape distance */
  readonly distanceMm: Float64Array;
  /** Blur diameter over circle of confusion: sharp up to 1 */
  readonly blurCircles: Float64Array;
  /** Distance to the nearer limit of the zone; negative outside the zone */
  readonly marginMm: Float64Array;
  /** 1 if sharp */
  readonly sharp: Uint8Array;
  /**
   * 1 where it counts neither as sharp nor as soft: something stands between the lens and the point of focus, or autofocus keeps focus while it
   * does not in other parts of the shot. null if all frames count
   */
  readonly unjudged: Uint8Array | null;
}

/** An unbroken run of frames of a beat in which its subject is hidden by the same thing. */
export interface HiddenSpan {
  readonly beatId: string;
  readonly subjectId: string;
  readonly by: Hider;
  readonly fromS: number;
  readonly toS: number;
}

export interface BeatVerdict {
  readonly beatId: string;
  readonly subjectId: string;
  readonly kind: Requirement;
  /** Frames that count: its subject is seen, and focus is as planned */
  readonly frames: number;
  /** Frames that count neither way (see `SubjectFrames`) */
  readonly unjudgedFrames: number;
  /** Frames that meet the requirement; for a beat without requirement, sharp frames */
  readonly keptFrames: number;
  /** Share of its frames that meet the requirement, or are part of a soft moment that it tolerates, 0 to 1 */
  readonly share: number;
  /** Whether the key moment is seen and sharp; null without key moment */
  readonly isKeyMomentKept: boolean | null;
  /** It is seen at all, the required share is reached and the key moment is sharp; always true without requirement */
  readonly kept: boolean;
  /** Frame with the most blur; for a beat that must be soft, with the least. Null for a beat without frames */
  readonly worstFrame: number | null;
}

/** Tolerance where a pull lands. Angles in ring degrees. */
export interface Landing {
  /** Width of the landing window, and its parts on either side of the target */
  readonly windowDeg: number;
  readonly nearRoomDeg: number;
  readonly farRoomDeg: number;
  /** The same room as distances; Infinity behind, from the hyperfocal distance on */
  readonly nearRoomMm: number;
  readonly farRoomMm: number;
  readonly bits: number;
  readonly isAgainstHardStop: boolean;
  readonly neededS: number;
}

/** A pull as the hand feels it. Angles in ring degrees, except at the wheel. */
export interface PullAssessment extends TrackPull, Landing {
  /** Always positive */
  readonly travelDeg: number;
  readonly towards: 'near' | 'far' | 'nowhere';
  /** Landing in the opposite direction, at the place where the pull leaves */
  readonly oppositeLanding: Landing;
  /** Change of picture width during the pull in percent (breathing) */
  readonly breathingPercent: number;
  /** The same turn at the wheel; null for a hand at the ring */
  readonly wheel: WheelTurn | null;
  readonly availableS: number;
  /** What the puller does besides as it lands; the needed time allows for it. Null for nothing */
  readonly secondJob: SecondJob | null;
  readonly grade: PullGrade;
  readonly peakDegPerS: number;
  /** Peak speed of the wheel, or of the ring without a wheel */
  readonly handPeakDegPerS: number;
  /** Presses of a ring in steps; else null */
  readonly presses: number | null;
}

/** The whole track by frame; arrays of length `frameCount`. */
export interface TrackSamples {
  /** Strictly increasing from 0: frame number over capture rate */
  readonly timesS: Float64Array;
  readonly ringDeg: Float64Array;
  readonly focusMm: Float64Array;
  readonly nearMm: Float64Array;
  /** Infinity from the hyperfocal distance on */
  readonly farMm: Float64Array;
  /** Geometric f-number */
  readonly fNumber: Float64Array;
}

/** Verdict on a plan, by frame and in total. */
export type PullVerdict =
  | { readonly status: 'incomplete'; readonly missing: readonly Missing[] }
  | {
      readonly status: 'judged';
      /**
       * `soft`: a beat is not kept. `too-hard`: sharp on paper, but a pull needs more time than the hand has, or exceeds its
       * speed limit. `tight`: sharp, but a pull leaves the hand hardly any spare time
       */
      readonly outcome: 'sharp' | 'tight' | 'too-hard' | 'soft';
      readonly frameCount: number;
      readonly captureFps: number;
      readonly durationS: number;
      readonly circleOfConfusionMm: number;
      readonly track: TrackSamples;
      readonly subjects: readonly SubjectFrames[];
      /** Frames in which something must be sharp, and those in which all of it is */
      readonly requiredFrames: number;
      readonly sharpFrames: number;
      /** By time of their first frame */
      readonly softSpans: readonly SoftSpan[];
      /** By time: where a subject that must be soft is too sharp */
      readonly tooSharpSpans: readonly TooSharpSpan[];
      /** By time: where the subject of a beat is hidden */
      readonly hiddenSpans: readonly HiddenSpan[];
      /** Peak speed of the wheel or ring, its time, and the puller's limit */
      readonly fastest: { readonly timeS: number; readonly maxHandDegPerS: number; readonly limitDegPerS: number };
      /** Required frame with the least room, and its subject; null if nothing is required */
      readonly tightest: { readonly frame: number; readonly subjectId: string; readonly marginMm: number } | null;
      readonly beats: readonly BeatVerdict[];
      readonly pulls: readonly PullAssessment[];
    };

export type CompleteVerdict = Extract<PullVerdict, { status: 'judged' }>;
