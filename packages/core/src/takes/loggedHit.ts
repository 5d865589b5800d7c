import type { MarkHit } from './scorePulls.js';
import type { TurnFigures } from './turnFigures.js';

/** What is known about a pull in a take, from its track or from the log. */
export interface LoggedHit {
  readonly pullId: string;
  /** What a person says; null if nobody said */
  readonly said: MarkHit | null;
  /** What the track shows; null without one */
  readonly measured: MarkHit | null;
  /** Lateness of its start after its trigger, negative if early; null if not measured */
  readonly lateS: number | null;
  /** Lateness of its landing, likewise */
  readonly landsLateS: number | null;
  /** Final angle minus target angle; null if not measured */
  readonly offDeg: number | null;
  /** What the turn was like; null if not measured */
  readonly turn: TurnFigures | null;
}

/** Figures of a pull without a track. */
export const NOT_MEASURED = { lateS: null, landsLateS: null, offDeg: null, turn: null } as const;
