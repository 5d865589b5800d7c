import { formatStop, formatStops, formatTime, type PlanNote, type PlanNoteCode, type StaleCause } from '@still-heron/core';
import { counted, figure, listed } from '../figure.js';
import { commonOffsetText, offsetCauseText } from '../marks/readingText.js';
import { SECOND_JOB_WORDS } from '../verdict/effortText.js';
import { exposureSpanText } from '../setup/lightAlongText.js';
import { handClashText, handReliefText } from './handText.js';
import { METHOD_WORDS } from './methodText.js';
import { SUPPORT_WORDS } from '../kit/kitText.js';

/** Last sentence of every caution about movement. */
export const LOCAL_RULES = 'Local rules and the production’s safety lead decide; no distance here is a safety distance.';

/** What happened to a distance before it became stale. */
const STALE_WORDS: Readonly<Record<StaleCause, string>> = {
  camera: 'measured before the camera was moved',
  drawing: 'measured before the camera or the mark was moved in the drawing',
  lens: 'set with another lens',
};

/** What a stale distance is worth until somebody measures again. */
const STALE_ADVICE: Readonly<Record<StaleCause, string>> = {
  camera: 'Measure again: until then the old distance counts.',
  drawing: 'Measure again: until then the drawing counts, corrected by what the tape said before.',
  lens: 'Read it off the ring again: until then the old distance counts.',
};

type Writers = { readonly [C in PlanNoteCode]: (note: Extract<PlanNote, { code: C }>) => string };

const WRITERS: Writers = {
  'ring-by-speed': () =>
    'This ring answers to the speed of turning: one place on it is not always the same distance. No ring mark and no hard stop holds. Focus by eye, or set the lens to answer by angle.',
  'no-end-stops': ({ wheel }) =>
    `The hard stops of ${wheel} can’t be used: a ring that answers to speed moves past its distance while the wheel rests.`,
  'stale-marks': ({ letters, since }) =>
    `${letters.join(', ')} ${letters.length === 1 ? 'was' : 'were'} ${STALE_WORDS[since]}. ${STALE_ADVICE[since]}`,
  'off-the-ring': ({ letters }) =>
    `What was read at ${listed(letters)} does not lie on this ring. Read ${letters.length === 1 ? 'it' : 'them'} again: until then the old distance counts.`,
  'readings-off': ({ offset }) => `${commonOffsetText(offset)} ${offsetCauseText(offset.causes[0]!)}`,
  'stands-inside': ({ letter, thing }) => `Mark ${letter} lies inside ${thing}: nobody there can be seen. Move one of them.`,
  'assumed-ring': ({ letters }) =>
    `The distance of ${listed(letters)} follows from an assumed ring. Tape two marks that were read, and they make its scale.`,
  'stop-limited': ({ scale, fromS, stop, stopsLost }) =>
    `From ${formatTime(fromS)} the zoom opens less than is set, down to ${formatStop(stop, scale)}: ${formatStops(stopsLost)} less light, and a deeper zone.`,
  'zoom-not-tested': ({ drifts }) =>
    drifts
      ? 'The shot zooms, and this lens loses focus while zooming.'
      : 'The shot zooms. Whether this lens holds focus while zooming has not been tested.',
  'ring-in-steps': ({ steps }) => `The ring moves in ${steps} steps: count the presses, and allow for one too many.`,
  'stops-without-wheel': ({ letters, wheel }) =>
    `Hard stops are planned at ${letters.join(' and ')}, and ${wheel ?? 'the ring itself'} has none.`,
  'too-many-stops': ({ letters }) =>
    `Hard stops are planned at ${letters.join(' and ')}. A wheel has two, so that none of these counts.`,
  'stops-stale': () => 'Something changed after the hard stops were set: set them again when the marks are measured.',
  'two-jobs': ({ jobs, factor }) =>
    `Pulls land while ${listed(jobs.map((job) => SECOND_JOB_WORDS[job]))}: they are planned to take ${figure(factor)} times as long and to land ${figure(factor)} times as far off. ${jobs.includes('iris') ? 'An iris pull at another time, or a second person, frees the hand.' : 'A second person frees the hand.'}`,
  'outside-stops': ({ letters, stops }) =>
    `${letters.join(', ')} ${letters.length === 1 ? 'lies' : 'lie'} beyond the hard ${stops.length === 1 ? 'stop' : 'stops'} at ${stops.join(' and ')}: the wheel does not get there.`,
  reversed: ({ hasCues }) =>
    `Shot reversed: all times here are as it is filmed, and the edit plays it backwards. Speech, smoke, water, hair, cloth and falling things give it away.${hasCues ? ' On screen, each cue comes after its pull.' : ''}`,
  'reversed-walk': () => `People walk backward in this shot: a cleared path and a spotter. ${LOCAL_RULES}`,
  'camera-moves': () =>
    `The camera moves in this shot: walk its path before rolling, clear it, and have a spotter where anybody walks backward. ${LOCAL_RULES}`,
  'hands-needed': ({ isPulled }) =>
    `Hands are needed for something else during the take.${isPulled ? ' This method needs one at the ring: leave focus to the camera, or set it once.' : ''} Keep one hand free and the eyes on the way. ${LOCAL_RULES}`,
  'hands-clash': ({ clash, times, relief }) =>
    [handClashText(clash), times > 1 && `It happens ${times} times.`, relief && handReliefText(relief)].filter(Boolean).join(' '),
  'pulls-unused': ({ pulls, method }) =>
    method === 'automatic'
      ? `Focus is left to autofocus: nobody makes the ${counted(pulls, 'pull')} of the plan.`
      : `The method is ${METHOD_WORDS[method].short}, and the plan has ${counted(pulls, 'pull')}. Stop, Method works out focus without ${pulls === 1 ? 'it' : 'them'}.`,
  'rate-too-fast': ({ captureFps, fastestFps, mode }) =>
    `${mode} records at most ${figure(fastestFps)} frames a second, and the shot has ${figure(captureFps)}.`,
  'rate-not-offered': ({ captureFps, frameRates, camera }) =>
    `${camera} has no ${figure(captureFps)} frames a second. It has ${listed(frameRates.map(figure))}.`,
  'out-of-reach': ({ support }) =>
    `Nobody reaches the ring on a ${SUPPORT_WORDS[support]} while it moves. Use a motor with a remote, fixed focus or autofocus.`,
  'licensed-people': ({ support }) =>
    `Licensed people rig and move a ${SUPPORT_WORDS[support]}, with the camera and every loose part tethered. ${LOCAL_RULES}`,
  'hand-on-stabiliser': () =>
    'A hand on the ring loads the motors of the stabiliser and shakes the picture. Use a motor, or lock the stabiliser first. Balance it before switching it on.',
  'zoom-on-stabiliser': () =>
    'Steadying is set for one focal length and can’t follow a zoom. The balance shifts with the lens, too.',
  walking: () => `Walking backward or sideways while watching a screen: a spotter, a cleared path, a strap. ${LOCAL_RULES}`,
  cable: () => 'The display is on a cable: tape it down, relieve the plug, keep it out of the path.',
  heavy: ({ weightKg }) => `${weightKg} kg in the hands: set it down between takes.`,
  'missing-parts': ({ rig, parts }) => `Missing on ${rig}: ${parts.join(', ')}.`,
  'exposure-off': ({ span, times }) =>
    [exposureSpanText(span), times > 1 && `It is off ${times} times in all.`, 'Set-up, Light lets the iris follow.']
      .filter(Boolean)
      .join(' '),
  'light-idle': ({ letters }) =>
    `The meter was read at ${listed(letters)}, and nobody comes there: ${letters.length === 1 ? 'that reading does' : 'those readings do'} not count.`,
  diffraction: () => 'At this stop diffraction alone makes every point wider than the limit of sharpness.',
  'other-shutter': ({ shutterAngleDeg, productionAngleDeg }) =>
    `The shutter is at ${shutterAngleDeg}°, and the production shoots at ${productionAngleDeg}°. Movement will look different from the other shots.`,
  squeezed: () =>
    'The zone of a squeezed picture is computed with the engraved focal length. Judge blur on the unsqueezed picture: the squeeze makes it look narrower.',
  'type-focal-length': ({ focalLengthMm }) =>
    `The lens sends no data to the camera. Type its focal length, ${focalLengthMm} mm, where the steadying asks for it.`,
  'no-zoom-in-to-focus': () => 'Do not zoom in to focus and then go wide, unless a test has shown that this zoom holds focus.',
};

export function noteText(note: PlanNote): string {
  // the code picks the writer of its own values
  return (WRITERS[note.code] as (note: PlanNote) => string)(note);
}
