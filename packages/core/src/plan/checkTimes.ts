import { problem, type Problem } from '../problems.js';
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
    if (allowEmpty ? toS < fromS : toS <= fromS) problems.push(problem('ends-before-start', path, { fromS, toS }));
    else if (toS > plan.durationS + TIME_ROUNDING_S)
      problems.push(problem('after-the-end', path, { timeS: toS, durationS: plan.durationS }));
  };
  plan.beats.forEach((beat, index) => {
    spanProblem(`beats[${index}].toS`, beat.fromS, beat.toS, false);
    const { keyMomentS: timeS, fromS, toS } = beat;
    if (timeS !== null && (timeS < fromS - TIME_ROUNDING_S || timeS > toS + TIME_ROUNDING_S))
      problems.push(problem('outside-beat', `beats[${index}].keyMomentS`, { timeS, fromS, toS }));
  });
  plan.subjects.forEach((subject, at) =>
    subject.stays.forEach((stay, index) => {
      const path = `subjects[${at}].stays[${index}]`;
      spanProblem(`${path}.untilS`, stay.fromS, stay.untilS, true);
      const before = subject.stays[index - 1];
      if (before && stay.fromS < before.untilS - TIME_ROUNDING_S)
        problems.push(problem('overlap', `${path}.fromS`, { startS: stay.fromS, previousEndS: before.untilS }));
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
        problems.push(problem('overlap', `${path}.startS`, { startS: move.startS, previousEndS: pullEndS(before) }));
    });
  }
  return [...problems, ...courseProblems(plan), ...floorTimeProblems(plan), ...partProblems(plan), ...lightTimeProblems(plan)];
}

/** Times of camera keys and aims must increase and lie within the shot. */
function floorTimeProblems({ floor, durationS }: ShotPlan): Problem[] {
  const tracks: [string, readonly { timeS: number }[]][] = [
    ['floor.camera', floor?.camera ?? []],
    ['floor.aims', floor?.aims ?? []],
  ];
  return tracks.flatMap(([track, keys]) => keyProblems(track, keys, durationS));
}

/** Later methods must begin in order of time, after the start and within the shot. */
function partProblems({ laterMethods, durationS }: ShotPlan): Problem[] {
  return laterMethods.flatMap(({ fromS }, index): Problem[] => {
    const path = `laterMethods[${index}].fromS`;
    const previousS = laterMethods[index - 1]?.fromS ?? 0;
    if (fromS <= previousS) return [problem('backwards', path, { timeS: fromS, previousS })];
    return fromS >= durationS ? [problem('after-the-end', path, { timeS: fromS, durationS })] : [];
  });
}

/** Meter readings at times lie within the shot. */
function lightTimeProblems({ exposure: { lightReadings }, durationS }: ShotPlan): Problem[] {
  return lightReadings.flatMap(({ at }, index) => {
    if (at.kind === 'mark' || at.timeS <= durationS + TIME_ROUNDING_S) return [];
    return [problem('after-the-end', `exposure.lightReadings[${index}].at.timeS`, { timeS: at.timeS, durationS })];
  });
}

function keyProblems(track: string, keys: readonly { readonly timeS: number }[], durationS: number): Problem[] {
  return keys.flatMap(({ timeS }, index): Problem[] => {
    const path = `${track}[${index}].timeS`;
    const before = keys[index - 1];
    if (before && timeS <= before.timeS) return [problem('backwards', path, { timeS, previousS: before.timeS })];
    if (timeS > durationS + TIME_ROUNDING_S) return [problem('after-the-end', path, { timeS, durationS })];
    return [];
  });
}
