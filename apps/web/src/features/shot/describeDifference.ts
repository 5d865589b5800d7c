import type { ShotDocument } from '@still-heron/contract';

/**
 * Lists the parts in which two versions of a shot differ.
 *
 * @example "the title, the stop and the pulls"; "nothing" if they are equal
 */
export function describeDifference(a: ShotDocument, b: ShotDocument): string {
  const parts: [string, (document: ShotDocument) => unknown][] = [
    ['the scene', ({ scene }) => scene],
    ['the slate', ({ slate }) => slate],
    ['the title', ({ title }) => title],
    ['the length', ({ plan }) => plan.durationS],
    ['the frame rates', ({ plan }) => [plan.captureFps, plan.deliveryFps]],
    ['the method', ({ plan }) => plan.method],
    ['the camera', ({ plan }) => plan.optics.camera],
    ['the lens', ({ plan }) => plan.optics.lens],
    ['the stop', ({ plan }) => plan.optics.stop],
    ['the focal length', ({ plan }) => [plan.optics.focalLengthMm, plan.optics.zooms]],
    ['the stop while rolling', ({ plan }) => plan.optics.irisPulls],
    ['the light', ({ plan }) => plan.exposure],
    ['the wheel', ({ plan }) => plan.wheel],
    ['the rig', ({ plan }) => plan.rig],
    ['what is taken from the kit', ({ plan }) => plan.kit],
    ['how sharp is sharp', ({ plan }) => plan.optics.sharpness],
    ['the floor', ({ plan }) => plan.floor],
    ['the people', ({ plan }) => plan.subjects],
    ['the marks', ({ plan }) => plan.marks],
    ['who must be sharp when', ({ plan }) => plan.beats],
    ['the pulls', ({ plan }) => plan.focusTrack],
    ['takes A and B', ({ plan }) => plan.alternates],
    ['the hand’s limit', ({ plan }) => plan.maxHandDegPerS],
    ['what the hand can do', ({ plan }) => plan.hand],
    ['whether it is shot reversed', ({ plan }) => plan.isReversed],
    ['the rehearsals', ({ plan }) => plan.rehearsals],
    ['what is wanted of it', ({ plan }) => plan.goals],
    ['what it takes of the day', ({ plan }) => plan.schedule],
    ['the notes', ({ plan }) => plan.notes],
  ];
  const differing = parts.filter(([, of]) => sorted(of(a)) !== sorted(of(b))).map(([word]) => word);
  if (differing.length === 0) return 'nothing';
  return differing.join(', ').replace(/, ([^,]*)$/, ' and $1');
}

/** JSON with sorted keys: the database does not keep key order. */
export function sorted(value: unknown): string {
  return JSON.stringify(value, (_, item: unknown) =>
    typeof item === 'object' && item !== null && !Array.isArray(item)
      ? Object.fromEntries(Object.entries(item).sort(([a], [b]) => (a < b ? -1 : 1)))
      : item,
  );
}
