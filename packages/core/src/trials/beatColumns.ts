import { concatenated, reals, whole } from './numberColumns.js';
import type { MovingLens, PreparedBeat, PreparedTrials } from './preparedTrials.js';

/** What the loop reads of beats, of the zones that they require, and of a lens that changes. */
export function beatColumns({ beats, frameCount, movingLens }: PreparedTrials) {
  const required = new Uint8Array(frameCount);
  for (const { isSoft, fromFrame, toFrame, unjudged } of beats)
    if (!isSoft) for (let frame = fromFrame; frame < toFrame; frame++) if (!unjudged?.[frame]) required[frame] = 1;
  const unjudgedColumns = [...new Set(beats.flatMap(({ unjudged }) => unjudged ?? []))];
  const { zones, beatZoneAt, beatNoticeAt } = zonesOf(beats);
  return {
    beatSubject: whole(beats, (beat) => beat.subject),
    beatFrom: whole(beats, (beat) => beat.fromFrame),
    beatTo: whole(beats, (beat) => beat.toFrame),
    beatAllowedLost: whole(beats, (beat) => beat.allowedLostFrames),
    beatKey: whole(beats, (beat) => beat.keyFrame),
    beatTolerated: whole(beats, (beat) => beat.toleratedFrames),
    // where the beat's column begins in `seenBefore`; -1 for one that is judged throughout
    beatSeenAt: whole(beats, ({ unjudged }) => (unjudged ? unjudgedColumns.indexOf(unjudged) * (frameCount + 1) : -1)),
    beatIsSoft: whole(beats, (beat) => Number(beat.isSoft)),
    // whether the distance stays the same
    beatStands: whole(beats, (beat) => Number(beat.isStill)),
    // where its zone table begins in `zones`
    beatZoneAt,
    // likewise of the zone outside of which softness is noticed; -1 where a blur tells
    beatNoticeAt,
    beatBlurMm: reals(beats, (beat) => beat.blurMm),
    beatNoticeBlurMm: reals(beats, (beat) => beat.noticeBlurMm),
    beatLensMoves: whole(beats, () => Number(movingLens !== null)),
    zones,
    focusPerMm: movingLens?.focus.perMm ?? NO_NUMBERS,
    // by frame
    lensMm: movingLens?.focalLengthMm ?? NO_NUMBERS,
    lensStop: movingLens?.fNumber ?? NO_NUMBERS,
    // the frame from which the lens is in another state
    lensUntil: movingLens ? lensUntil(movingLens) : new Int32Array(0),
    // by frame, 1 if something must be sharp
    required,
    // for each unjudged subject by frame: in how many frames it was seen before
    seenBefore: seenBefore(unjudgedColumns, frameCount),
  };
}

function seenBefore(unjudgedColumns: readonly Uint8Array[], frameCount: number): Int32Array {
  const counts = new Int32Array(unjudgedColumns.length * (frameCount + 1));
  for (const [index, unjudged] of unjudgedColumns.entries()) {
    const at = index * (frameCount + 1);
    for (let frame = 0; frame < frameCount; frame++) counts[at + frame + 1] = counts[at + frame]! + 1 - unjudged[frame]!;
  }
  return counts;
}

const NO_NUMBERS = new Float64Array(0);

function lensUntil({ focalLengthMm, fNumber }: MovingLens): Int32Array {
  const until = new Int32Array(fNumber.length);
  for (let frame = until.length - 1; frame >= 0; frame--) {
    const isSame = focalLengthMm[frame] === focalLengthMm[frame + 1] && fNumber[frame] === fNumber[frame + 1];
    until[frame] = isSame ? until[frame + 1]! : frame + 1;
  }
  return until;
}

/** All zone tables in sequence without duplicates; near and far limits alternate. */
function zonesOf(beats: readonly PreparedBeat[]) {
  const tables = [...new Set(beats.flatMap(({ zone, noticeZone }) => [zone ?? [], noticeZone ?? []].flat()))];
  const parts = tables.map(({ near, far }) =>
    Float64Array.from({ length: 2 * near.length }, (_, k) => (k % 2 === 0 ? near[k / 2]! : far[(k - 1) / 2]!)),
  );
  const length = parts[0]?.length ?? 0;
  return {
    zones: concatenated(parts),
    beatZoneAt: whole(beats, ({ zone }) => (zone ? tables.indexOf(zone) * length : 0)),
    beatNoticeAt: whole(beats, ({ noticeZone }) => (noticeZone ? tables.indexOf(noticeZone) * length : -1)),
  };
}
