import type { CueSounds } from './cueSounds';
import type { RollOptions } from '../../shared/rollOptions';

/** Signals a cue by sound and vibration, if enabled and available. The display shows it in any case. */
export function signalCue(
  cue: Parameters<CueSounds['play']>[0],
  inS: number,
  { hasSound, hasPaceTicks, vibrates }: RollOptions,
  sounds: CueSounds | null,
): void {
  if (cue.kind === 'tick') {
    // a hand feels no single tick of eight a second
    if (hasSound && hasPaceTicks) sounds?.play(cue, inS);
    return;
  }
  if (hasSound) sounds?.play(cue, inS);
  if (vibrates && 'vibrate' in navigator) setTimeout(() => navigator.vibrate(cue.kind === 'start' ? 200 : 40), inS * 1000);
}
