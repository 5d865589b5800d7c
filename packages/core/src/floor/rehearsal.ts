/** An event of the shot that can be tapped during a rehearsal. */
export type RehearsedEvent =
  | { readonly kind: 'leaves'; readonly subjectId: string; readonly stayId: string }
  | { readonly kind: 'arrives'; readonly subjectId: string; readonly stayId: string }
  | { readonly kind: 'cue'; readonly pullId: string };

/** One rehearsal of the action, timed by taps. A run is not a take. */
export interface RehearsalRun {
  readonly id: string;
  readonly taps: readonly RehearsalTap[];
}

export interface RehearsalTap {
  readonly event: RehearsedEvent;
  readonly timeS: number;
}
