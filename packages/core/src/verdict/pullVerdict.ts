import type { BeatKind, LineMove, MoveGrade, WheelTurn } from '../pull/index.js';

/** On which side of the zone a soft subject is. */
export type Side = 'in front' | 'behind';

/** What is still to be said before a plan can be judged. */
export type Missing = 'distance' | 'beat';

/** Why a subject is soft, in the terms of the plan. */
export type Cause =
  /** The move that brings focus to the subject is still turning */
  | { readonly kind: 'under-way'; readonly moveId: string }
  /** The move that brings focus to the subject has not begun */
  | { readonly kind: 'starts-too-late'; readonly moveId: string }
  /** The line was right for the subject, and this move took it away */
  | { readonly kind: 'left-too-soon'; readonly moveId: string }
  /** The zone was wide enough, and opening the stop or zooming in made it too thin */
  | { readonly kind: 'zone-shrinks'; readonly by: 'stop' | 'zoom' }
  /** The line goes on with someone, or along a course, and is not where it should be; null for the line's start */
  | { readonly kind: 'goes-on'; readonly moveId: string | null }
  /** The subject walks, and the line does not go with it */
  | { readonly kind: 'walks' }
  /** The subject stands, and the camera moves or pans while the line does not go with it */
  | { readonly kind: 'camera-moves' }
  /** The target lies outside what the ring reaches */
  | { readonly kind: 'out-of-reach' }
  /** The line never goes where the subject is */
  | { readonly kind: 'no-move' };

/** An unbroken run of frames in which a beat's subject is soft. */
export interface SoftSpan {
  readonly beatId: string;
  readonly subjectId: string;
  readonly fromFrame: number;
  /** The first frame after it */
  readonly toFrame: number;
  readonly fromS: number;
  readonly toS: number;
  readonly worstFrame: number;
  /** Farthest outside the zone, > 0 */
  readonly worstGapMm: number;
  /** At the worst frame: blur diameter over the circle of confusion, > 1 */
  readonly worstBlurCircles: number;
  readonly side: Side;
  readonly cause: Cause;
}

/** An unbroken run of frames in which someone who must be soft is not soft enough. */
export interface TooSharpSpan {
  readonly beatId: string;
  readonly subjectId: string;
  readonly fromS: number;
  readonly toS: number;
  /** The least blur in it, in percent of the picture's width, and what is asked */
  readonly blurPercent: number;
  readonly askedPercent: number;
}

/** One subject, frame by frame: arrays of length `frameCount`. */
export interface SubjectFrames {
  readonly subjectId: string;
  /** Tape distance */
  readonly distanceMm: Float64Array;
  /** Blur diameter over the circle of confusion: sharp up to 1 */
  readonly blurCircles: Float64Array;
  /** Room to the nearer limit of the zone; negative by how far the subject is outside */
  readonly marginMm: Float64Array;
  /** 1 where sharp */
  readonly sharp: Uint8Array;
}

export interface BeatVerdict {
  readonly beatId: string;
  readonly subjectId: string;
  readonly kind: BeatKind;
  readonly frames: number;
  /** As asked: sharp, or soft enough; of one that may drift, sharp */
  readonly keptFrames: number;
  /** Of its frames, how many are as asked: 0 to 1 */
  readonly share: number;
  /** Whether the key moment is sharp; null for a beat without one */
  readonly keyKept: boolean | null;
  /** The share is reached, and the key moment kept; always for one that may drift */
  readonly kept: boolean;
  /** The frame with the least room, or of one that must be soft the least blur; null for a beat without a frame */
  readonly worstFrame: number | null;
}

/** What a hand meets where a move lands. Angles in ring degrees. */
export interface Landing {
  /** Where the ring may stand to have landed: its width, and how much of it lies on either side of the target */
  readonly windowDeg: number;
  readonly nearRoomDeg: number;
  readonly farRoomDeg: number;
  /** The same room as distance; Infinity behind, from the hyperfocal distance on */
  readonly nearRoomMm: number;
  readonly farRoomMm: number;
  readonly bits: number;
  readonly againstStop: boolean;
  readonly neededS: number;
}

/** A move, as a hand meets it. Angles in ring degrees, but for the wheel's. */
export interface MoveVerdict extends LineMove, Landing {
  /** Always positive */
  readonly travelDeg: number;
  readonly towards: 'near' | 'far' | 'nowhere';
  /** The same turn from the other end: how it would land where it leaves */
  readonly otherOrder: Landing;
  /** How much wider the picture gets on the way, in percent: the lens breathes */
  readonly breathingPercent: number;
  /** The same turn at the shot's wheel; null for a hand at the ring itself */
  readonly wheel: WheelTurn | null;
  readonly availableS: number;
  readonly grade: MoveGrade;
  readonly peakDegPerS: number;
  /** Of what the hand holds */
  readonly handPeakDegPerS: number;
  /** Of a ring that turns in steps; null for any other */
  readonly presses: number | null;
}

/** The whole line, frame by frame: arrays of length `frameCount`. */
export interface LineFrames {
  /** Strictly increasing from 0: frame number over capture rate */
  readonly timesS: Float64Array;
  readonly ringDeg: Float64Array;
  readonly focusMm: Float64Array;
  readonly nearMm: Float64Array;
  /** Infinity from the hyperfocal distance on */
  readonly farMm: Float64Array;
  /** Geometric */
  readonly fNumber: Float64Array;
}

/** What will happen, frame by frame and in sum. */
export type PullVerdict =
  | { readonly status: 'incomplete'; readonly missing: readonly Missing[] }
  | {
      readonly status: 'judged';
      /**
       * `soft`: a beat is not kept; `beyond-the-hand`: sharp on paper, with a move no hand of the assumed measure makes in its time, or faster than whoever pulls is willing to turn;
       * `barely`: sharp, with a move that leaves such a hand hardly any time to spare
       */
      readonly outcome: 'sharp' | 'barely' | 'beyond-the-hand' | 'soft';
      readonly frameCount: number;
      readonly captureFps: number;
      readonly durationS: number;
      readonly circleOfConfusionMm: number;
      readonly line: LineFrames;
      readonly subjects: readonly SubjectFrames[];
      /** Frames in which someone must be sharp, and those of them in which everyone who must be is */
      readonly requiredFrames: number;
      readonly sharpFrames: number;
      /** By time of their first frame */
      readonly softSpans: readonly SoftSpan[];
      /** By time: where someone who must be soft is not */
      readonly tooSharp: readonly TooSharpSpan[];
      /** Where what the hand holds turns fastest, and how fast whoever pulls is willing to turn it */
      readonly fastest: { readonly timeS: number; readonly handDegPerS: number; readonly limitDegPerS: number };
      /** The required frame with the least room, and whose it is; null when nothing is required */
      readonly tightest: { readonly frame: number; readonly subjectId: string; readonly marginMm: number } | null;
      readonly beats: readonly BeatVerdict[];
      readonly moves: readonly MoveVerdict[];
    };

export type JudgedPull = Extract<PullVerdict, { status: 'judged' }>;
