import type { Finding, FindingCorrection, ShotPlan } from '@still-heron/core';
import { formatStop } from '@still-heron/core';
import { FINDING_WORDS, findingPlaceText } from './findingText.js';

/** What to do on the set against a fault that is no fault of a pull. */
const HINTS: Readonly<Record<Exclude<Finding, 'fine'>, string>> = {
  'drifted-nearer': 'keep the distance, or set focus nearer',
  'drifted-farther': 'keep the distance, or set focus farther',
  'left-zone': 'put a mark on the floor, or use a deeper zone',
  'camera-jumped': 'switch lens and camera to manual focus, or keep others out of the autofocus area',
  'settled-late': 'end the turn sooner, and slow its end',
  late: 'begin to turn sooner',
  early: 'begin to turn later',
  overshot: 'slow down before the mark',
  'in-front': 'measure the mark again: focus was in front of it',
  behind: 'measure the mark again: focus was behind it',
  searched: 'rehearse the landing, or set a hard stop',
  'false-start': 'wait for the cue, with a count before it',
};

/** A correction in a line: "2 times left the zone: Ines, 3.0 to 9.0 s: put a mark on the floor, or use a deeper zone". */
export function findingCorrectionText({ at, found, times, plan: corrected }: FindingCorrection, plan: ShotPlan): string {
  const often = times > 1 ? `${times} times ` : '';
  const where = at.kind === 'time' ? '' : `: ${findingPlaceText(at, plan)}`;
  const stop = corrected ? `; at ${formatStop(corrected.optics.stop, corrected.optics.lens.stopScale)} the zone is deeper` : '';
  return `${often}${FINDING_WORDS[found]}${where}: ${HINTS[found]}${stop}`;
}
