/** Something that happens in a shot and can be tapped while it is rehearsed. */
export type RehearsedEvent =
  | { readonly kind: 'leaves'; readonly subjectId: string; readonly stayId: string }
  | { readonly kind: 'arrives'; readonly subjectId: string; readonly stayId: string }
  | { readonly kind: 'cue'; readonly moveId: string };

/** A run of the action with a finger on a key. A run is not a take. */
export interface RehearsalRun {
  readonly id: string;
  readonly taps: readonly RehearsalTap[];
}

export interface RehearsalTap {
  readonly of: RehearsedEvent;
  readonly timeS: number;
}
