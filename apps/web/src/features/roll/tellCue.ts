import type { CueSounds } from './cueSounds';
import type { RollOptions } from './rollOptions';

/** Tells a cue by ear and in the hand, as is wanted and there is. By eye it is told anyway. */
export function tellCue(
  cue: Parameters<CueSounds['play']>[0],
  inS: number,
  { hasSound, vibrates }: RollOptions,
  sounds: CueSounds | null,
): void {
  if (hasSound) sounds?.play(cue, inS);
  if (vibrates && 'vibrate' in navigator) setTimeout(() => navigator.vibrate(cue.kind === 'start' ? 200 : 40), inS * 1000);
}
