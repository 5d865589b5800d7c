import type { Problem } from '../errors.js';
import { formatTime } from '../units/index.js';
import { type FocusLinePlan, type LineTarget, rackEndS, type ShotPlan } from './shotPlan.js';

/** Tolerance for rounding of times in seconds: far below a frame. */
const TIME_SLACK_S = 1e-6;

/** The focus tracks of a plan with their paths; two if the plan has alternates. */
export function linesOf({ line, alternates }: ShotPlan): [string, FocusLinePlan][] {
  return alternates === null
    ? [['line', line]]
    : [
        ['line', line],
        ['alternates.other', alternates.other],
      ];
}

/** Problems of course times: they must increase and lie within the shot. */
function courseProblems(plan: ShotPlan): Problem[] {
  return linesOf(plan).flatMap(([path, { start, moves }]) => {
    const targets: [string, LineTarget | null][] = [
      [`${path}.start`, start],
      ...moves.map(({ target }, index): [string, LineTarget] => [`${path}.moves[${index}].target`, target]),
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
    else if (toS > plan.durationS + TIME_SLACK_S)
      problems.push({
        code: 'after-the-end',
        path,
        message: `it ends at ${formatTime(toS)}, after the shot`,
        need: `at most ${formatTime(plan.durationS)}`,
      });
  };
  plan.beats.forEach((beat, index) => {
    spanProblem(`beats[${index}].toS`, beat.fromS, beat.toS, false);
    if (beat.keyS !== null && (beat.keyS < beat.fromS - TIME_SLACK_S || beat.keyS > beat.toS + TIME_SLACK_S))
      problems.push({
        code: 'outside-beat',
        path: `beats[${index}].keyS`,
        message: `the key moment lies at ${formatTime(beat.keyS)}`,
        need: `${formatTime(beat.fromS)} to ${formatTime(beat.toS)}`,
      });
  });
  plan.subjects.forEach((subject, at) =>
    subject.stays.forEach((stay, index) => {
      const path = `subjects[${at}].stays[${index}]`;
      spanProblem(`${path}.untilS`, stay.fromS, stay.untilS, true);
      const before = subject.stays[index - 1];
      if (before && stay.fromS < before.untilS - TIME_SLACK_S)
        problems.push({
          code: 'overlap',
          path: `${path}.fromS`,
          message: `it starts at ${formatTime(stay.fromS)}, before the stay before it ends`,
          need: `at least ${formatTime(before.untilS)}`,
        });
    }),
  );
  const tracks: [string, readonly { startS: number; durationS: number }[]][] = [
    ...linesOf(plan).map(([path, { moves }]): [string, FocusLinePlan['moves']] => [`${path}.moves`, moves]),
    ['optics.zooms', plan.optics.zooms],
    ['optics.stopPulls', plan.optics.stopPulls],
  ];
  for (const [track, moves] of tracks) {
    moves.forEach((move, index) => {
      const path = `${track}[${index}]`;
      spanProblem(`${path}.durationS`, move.startS, rackEndS(move), false);
      const before = moves[index - 1];
      if (before && move.startS < rackEndS(before) - TIME_SLACK_S)
        problems.push({
          code: 'overlap',
          path: `${path}.startS`,
          message: `it starts at ${formatTime(move.startS)}, before the move before it lands`,
          need: `at least ${formatTime(rackEndS(before))}`,
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
    if (timeS > durationS + TIME_SLACK_S)
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
