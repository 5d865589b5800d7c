import { exactFps, frameOfTimecode } from '../../roll/index.js';
import type { MarkHit } from '../scorePulls.js';
import { focusOf } from '../said.js';
import type { Take } from '../take.js';
import type { Retiming } from './retime.js';
import { type NumberedTake, usableSpansOf } from './usableSpans.js';

/** A take with everything an editor needs. */
export interface EditorialTake extends NumberedTake {
  /** Name of the clip */
  readonly name: string;
  readonly take: Omit<Take, 'track'>;
  /** By pull: name of its target, trigger time in take time, and how its mark was hit */
  readonly pulls: readonly { readonly name: string; readonly timeS: number; readonly hit: MarkHit }[];
  readonly retiming: Retiming | null;
}

/** Names of the markers and clips. */
export interface OtioLabels {
  readonly pull: (name: string, hit: MarkHit) => string;
  readonly usable: string;
  readonly focusCheck: string;
  readonly reversed: string;
  /** A stretch that is played faster because it is soft, and one that is played slower because it is sharp */
  readonly softStretch: string;
  readonly sharpStretch: string;
}

/** Times of the take. */
type Span = { readonly fromS: number; readonly toS: number };

/** A JSON value with an OTIO schema. */
type Schema = { readonly OTIO_SCHEMA: string } & Readonly<Record<string, unknown>>;

/**
 * Takes as an OpenTimelineIO timeline. Each take is a clip with a marker for every pull, focus check and usable span. Retimed
 * takes also fill a second track, one clip with a time warp for each stretch. A take shot backwards is reversed.
 *
 * Schemas: Timeline.1, Stack.1, Track.1, Clip.2, MissingReference.1, Marker.2, LinearTimeWarp.1, RationalTime.1, TimeRange.1.
 */
export function otioTimeline(name: string, labels: OtioLabels, takes: readonly EditorialTake[]): Schema {
  const retimed = takes.filter(({ retiming }) => retiming !== null);
  return {
    OTIO_SCHEMA: 'Timeline.1',
    name,
    global_start_time: null,
    metadata: {},
    tracks: {
      OTIO_SCHEMA: 'Stack.1',
      name: 'tracks',
      ...NOTHING_MORE,
      source_range: null,
      children: [
        track(
          'takes',
          takes.map((take) => wholeClip(take, labels)),
        ),
        ...(retimed.length > 0
          ? [
              track(
                'retimed',
                retimed.flatMap((take) => stretchClips(take, labels)),
              ),
            ]
          : []),
      ],
    },
  };
}

const NOTHING_MORE = { metadata: {}, effects: [], markers: [], enabled: true } as const;

function track(name: string, children: readonly Schema[]): Schema {
  return { OTIO_SCHEMA: 'Track.1', name, kind: 'Video', ...NOTHING_MORE, source_range: null, children };
}

function wholeClip(edited: EditorialTake, labels: OtioLabels): Schema {
  const { take, pulls } = edited;
  const markers = [
    ...pulls.map(({ name, timeS, hit }) =>
      marker(take, labels.pull(name, hit), { fromS: timeS, toS: timeS }, hit === 'hit' ? 'GREEN' : 'RED'),
    ),
    ...usableSpansOf(take).map((span) => marker(take, labels.usable, span, 'GREEN')),
    ...take.focusChecks.map((span) => marker(take, labels.focusCheck, span, 'ORANGE')),
  ];
  const effects = take.gear.isReversed ? [timeWarp(labels.reversed, -1)] : [];
  return clip(edited, { fromS: 0, toS: take.durationS }, effects, markers);
}

/** The stretches in playback order: for a take shot backwards, from its end to its start. */
function stretchClips(edited: EditorialTake, labels: OtioLabels): Schema[] {
  const direction = edited.take.gear.isReversed ? -1 : 1;
  const clips = edited.retiming!.stretches.map(({ fromS, toS, speed, isSoft }) => {
    const scalar = direction * speed;
    const name = isSoft ? labels.softStretch : labels.sharpStretch;
    return clip(edited, { fromS, toS }, scalar === 1 ? [] : [timeWarp(name, scalar)], []);
  });
  return direction === 1 ? clips : clips.reverse();
}

function clip({ name, take }: EditorialTake, span: Span, effects: readonly Schema[], markers: readonly Schema[]): Schema {
  const { performance, isCircled, isNoGood, note, whyKept, repairs, clip: file, alternate, ringFrom, timecodeFrom } = take;
  return {
    OTIO_SCHEMA: 'Clip.2',
    name,
    source_range: range(take, span),
    effects,
    markers,
    enabled: true,
    active_media_reference_key: 'DEFAULT_MEDIA',
    media_references: {
      DEFAULT_MEDIA: {
        OTIO_SCHEMA: 'MissingReference.1',
        name,
        available_range: range(take, { fromS: 0, toS: take.durationS }),
        available_image_bounds: null,
        metadata: {},
      },
    },
    metadata: {
      still_heron: {
        focus: focusOf(take),
        focus_measured: take.measured?.focus ?? null,
        performance,
        is_circled: isCircled,
        is_no_good: isNoGood,
        note,
        why_kept: whyKept,
        repairs,
        alternate,
        ring_from: ringFrom,
        timecode_from: timecodeFrom,
        clip: file,
      },
    },
  };
}

function marker(take: EditorialTake['take'], name: string, span: Span, color: string): Schema {
  return { OTIO_SCHEMA: 'Marker.2', name, color, comment: '', marked_range: range(take, span), metadata: {} };
}

function timeWarp(name: string, speed: number): Schema {
  return {
    OTIO_SCHEMA: 'LinearTimeWarp.1',
    name,
    effect_name: 'LinearTimeWarp',
    time_scalar: speed,
    enabled: true,
    metadata: {},
  };
}

/** Time range of the clip, starting at the camera's timecode if it is known. */
function range({ gear: { captureFps }, startTimecode }: EditorialTake['take'], { fromS, toS }: Span): Schema {
  const start = frameOfTimecode(startTimecode, captureFps) ?? 0;
  const frames = (seconds: number) => Math.round(seconds * exactFps(captureFps));
  return {
    OTIO_SCHEMA: 'TimeRange.1',
    start_time: time(start + frames(fromS), captureFps),
    duration: time(frames(toS) - frames(fromS), captureFps),
  };
}

function time(value: number, rate: number): Schema {
  return { OTIO_SCHEMA: 'RationalTime.1', value, rate };
}
