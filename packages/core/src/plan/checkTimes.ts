import type { Problem } from '../errors.js';
import { formatTime } from '../units/index.js';
import { type FocusTrackPlan, type FocusTarget, pullEndS, type ShotPlan } from './shotPlan.js';

/** Tolerance for rounding of times in seconds: far below a frame. */
const TIME_ROUNDING_S = 1e-6;

/** The focus tracks of a plan with their paths; two if the plan has alternates. */
export function tracksOf({ focusTrack: track, alternates }: ShotPlan): [string, FocusTrackPlan][] {
  return alternates === null
    ? [['focusTrack', track]]
    : [
        ['focusTrack', track],
        ['alternates.other', alternates.other],
      ];
}

/** Problems of course times: they must increase and lie within the shot. */
function courseProblems(plan: ShotPlan): Problem[] {
  return tracksOf(plan).flatMap(([path, { start, pulls }]) => {
    const targets: [string, FocusTarget | null][] = [
      [`${path}.start`, start],
      ...pulls.map(({ target }, index): [string, FocusTarget] => [`${path}.pulls[${index}].target`, target]),
    ];
    return targets.flatMap(([at, target]) =>
      target?.kind === 'course' ? keyProblems(`${at}.points`, target.points, plan.durationS) : [],
    );
  });
}

/** Problems of times in a plan: spans that end before they start, overlap, or go past the end of the shot. */
export function timeProblems(plan: ShotPlan): Problem[] {
  const problems: Problem[] = [];
  const spanProblem = (path: string, fromS: number, toS: number, allowEmpty: boolean) => {
    if (allowEmpty ? toS < fromS : toS <= fromS)
      problems.push({
        code: 'ends-before-start',
        path,
        message: `it ends at ${formatTime(toS)} and starts at ${formatTime(fromS)}`,
        need: 'an end after its start',
      });
    else if (toS > plan.durationS + TIME_ROUNDING_S)
      problems.push({
        code: 'after-the-end',
        path,
        message: `it ends at ${formatTime(toS)}, after the shot`,
        need: `at most ${formatTime(plan.durationS)}`,
      });
  };
  plan.beats.forEach((beat, index) => {
    spanProblem(`beats[${index}].toS`, beat.fromS, beat.toS, false);
    if (
      beat.keyMomentS !== null &&
      (beat.keyMomentS < beat.fromS - TIME_ROUNDING_S || beat.keyMomentS > beat.toS + TIME_ROUNDING_S)
    )
      problems.push({
        code: 'outside-beat',
        path: `beats[${index}].keyMomentS`,
        message: `the key moment lies at ${formatTime(beat.keyMomentS)}`,
        need: `${formatTime(beat.fromS)} to ${formatTime(beat.toS)}`,
      });
  });
  plan.subjects.forEach((subject, at) =>
    subject.stays.forEach((stay, index) => {
      const path = `subjects[${at}].stays[${index}]`;
      spanProblem(`${path}.untilS`, stay.fromS, stay.untilS, true);
      const before = subject.stays[index - 1];
      if (before && stay.fromS < before.untilS - TIME_ROUNDING_S)
        problems.push({
          code: 'overlap',
          path: `${path}.fromS`,
          message: `it starts at ${formatTime(stay.fromS)}, before the stay before it ends`,
          need: `at least ${formatTime(before.untilS)}`,
        });
    }),
  );
  const tracks: [string, readonly { startS: number; durationS: number }[]][] = [
    ...tracksOf(plan).map(([path, { pulls }]): [string, FocusTrackPlan['pulls']] => [`${path}.pulls`, pulls]),
    ['optics.zooms', plan.optics.zooms],
    ['optics.irisPulls', plan.optics.irisPulls],
  ];
  for (const [track, moves] of tracks) {
    moves.forEach((move, index) => {
      const path = `${track}[${index}]`;
      spanProblem(`${path}.durationS`, move.startS, pullEndS(move), false);
      const before = moves[index - 1];
      if (before && move.startS < pullEndS(before) - TIME_ROUNDING_S)
        problems.push({
          code: 'overlap',
          path: `${path}.startS`,
          message: `it starts at ${formatTime(move.startS)}, before the pull before it lands`,
          need: `at least ${formatTime(pullEndS(before))}`,
        });
    });
  }
  return [...problems, ...courseProblems(plan), ...floorTimeProblems(plan)];
}

/** Times of camera keys and aims must increase and lie within the shot. */
function floorTimeProblems({ floor, durationS }: ShotPlan): Problem[] {
  const tracks: [string, readonly { timeS: number }[]][] = [
    ['floor.camera', floor?.camera ?? []],
    ['floor.aims', floor?.aims ?? []],
  ];
  return tracks.flatMap(([track, keys]) => keyProblems(track, keys, durationS));
}

function keyProblems(track: string, keys: readonly { readonly timeS: number }[], durationS: number): Problem[] {
  return keys.flatMap(({ timeS }, index): Problem[] => {
    const path = `${track}[${index}].timeS`;
    const before = keys[index - 1];
    if (before && timeS <= before.timeS)
      return [
        {
          code: 'backwards',
          path,
          message: `it lies at ${formatTime(timeS)}, and the one before it at ${formatTime(before.timeS)}`,
          need: 'times that go forward',
        },
      ];
    if (timeS > durationS + TIME_ROUNDING_S)
      return [
        {
          code: 'after-the-end',
          path,
          message: `it lies at ${formatTime(timeS)}, after the shot`,
          need: `at most ${formatTime(durationS)}`,
        },
      ];
    return [];
  });
}
