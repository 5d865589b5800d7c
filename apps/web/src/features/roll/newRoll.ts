import type { RollView } from '@still-heron/contract';
import type { RollEnvironment, RollInput } from './rollState';

/** A roll of this device that begins after a count-in. @param offsetMs - server's clock minus the page's clock */
export function newRoll(
  { shotId, options, practice, planVersion }: RollInput,
  { device, newId, nowMs }: Pick<RollEnvironment, 'device' | 'newId' | 'nowMs'>,
  offsetMs: number,
  countInS: number,
): RollView {
  const loop = practice?.loop ?? null;
  return {
    rollId: newId(),
    shotId,
    startedAtMs: nowMs() + offsetMs + countInS * 1000,
    rate: practice?.rate ?? 1,
    // nobody gives the cue of a pull that comes again and again
    isClockTriggered: options.isClockTriggered || loop !== null,
    isPractice: practice !== null,
    fromS: loop?.fromS ?? 0,
    planVersion,
    device,
    cueEvents: [],
  };
}
