import type { OtioLabels } from '@still-heron/core';

/** Names of markers and clips in an exported timeline. */
export const TIMELINE_LABELS: OtioLabels = {
  pull: (name, hit) => `pull to ${name}: ${hit}`,
  usable: 'usable',
  focusCheck: 'focus check: cut',
  reversed: 'shot reversed',
  softStretch: 'soft, played faster',
  sharpStretch: 'sharp, retimed',
};
