import { type Beat, type FocusTarget, type Pull, pullEndS, type ShotPlan } from '../shotPlan.js';
import type { UnitSystem } from '../../units/index.js';
import { subjectName, targetName } from '../names.js';
import { changed } from './planChanges.js';

const seconds = (timeS: number) => `${timeS.toFixed(2)} s`;

const ASKED = { sharp: 'must be sharp', soft: 'must be soft', none: 'may be soft' } as const;

/** Beats that were added, removed or changed. */
export function beatDifferences(before: ShotPlan, after: ShotPlan): string[] {
  const words = (plan: ShotPlan, { subjectId, requirement: kind, fromS, toS }: Beat) =>
    `${subjectName(plan, subjectId)} ${ASKED[kind]} from ${seconds(fromS)} to ${seconds(toS)}`;
  const come = after.beats.filter(({ id }) => !before.beats.some((one) => one.id === id));
  const gone = before.beats.filter(({ id }) => !after.beats.some((one) => one.id === id));
  const stayed = after.beats.flatMap((is) => {
    const was = before.beats.find(({ id }) => id === is.id);
    if (!was) return [];
    const [wasWords, isWords] = [words(before, was), words(after, is)];
    const others = ({ fromS: _, toS: __, requirement: ___, subjectId: ____, ...rest }: Beat) => JSON.stringify(rest);
    return [
      ...(wasWords === isWords ? [] : [`${isWords}, not: ${wasWords}`]),
      ...(others(was) === others(is)
        ? []
        : [`how ${subjectName(after, is.subjectId)} ${ASKED[is.requirement]} from ${seconds(is.fromS)}`]),
    ];
  });
  return [...come.map((beat) => words(after, beat)), ...gone.map((beat) => `no longer: ${words(before, beat)}`), ...stayed];
}

/** Changes of the start of the track, and pulls that were added, removed, retimed or retargeted. */
export function trackDifferences(before: ShotPlan, after: ShotPlan, units: UnitSystem): string[] {
  const nameOf = (plan: ShotPlan, target: FocusTarget | null) => (target ? targetName(target, plan, units) : 'nowhere');
  const pull = (plan: ShotPlan, { target, startS }: Pull) => `pull to ${nameOf(plan, target)} at ${seconds(startS)}`;
  const [was, is] = [before.focusTrack.pulls, after.focusTrack.pulls];
  const come = is.filter(({ id }) => !was.some((one) => one.id === id));
  const gone = was.filter(({ id }) => !is.some((one) => one.id === id));
  const stayed = is.flatMap((move) => {
    const old = was.find(({ id }) => id === move.id);
    if (!old) return [];
    const name = `the pull to ${nameOf(before, old.target)}`;
    const others = ({ trigger, cue, countInS, cueSigmaS }: Pull) => JSON.stringify([trigger, cue, countInS, cueSigmaS]);
    return [
      ...changed(`${name} goes to`, nameOf(before, old.target), nameOf(after, move.target)),
      ...sameName(before, after, old, move, name, units),
      ...changed(`${name} starts at`, seconds(old.startS), seconds(move.startS)),
      ...changed(`${name} lands at`, seconds(pullEndS(old)), seconds(pullEndS(move))),
      ...changed(`${name} is eased`, old.easing, move.easing),
      ...(others(old) === others(move) ? [] : [`what sets off ${name}`]),
    ];
  });
  return [
    ...changed('the line starts at', nameOf(before, before.focusTrack.start), nameOf(after, after.focusTrack.start)),
    ...come.map((move) => `a ${pull(after, move)}`),
    ...gone.map((move) => `no ${pull(before, move)}`),
    ...stayed,
  ];
}

/** Change of a target that prints the same: another lead, or another course. */
function sameName(before: ShotPlan, after: ShotPlan, was: Pull, is: Pull, name: string, units: UnitSystem): string[] {
  const isCalledTheSame = targetName(was.target, before, units) === targetName(is.target, after, units);
  return isCalledTheSame && JSON.stringify(was.target) !== JSON.stringify(is.target) ? [`how ${name} goes on`] : [];
}
