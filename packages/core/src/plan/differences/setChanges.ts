import { markDistances } from '../../floor/index.js';
import { formatDistance, type UnitSystem } from '../../units/index.js';
import type { ShotPlan } from '../shotPlan.js';
import { changed } from './planChanges.js';

/** Subjects that were added, removed, renamed or moved. */
export function subjectDifferences(before: ShotPlan, after: ShotPlan): string[] {
  const gone = before.subjects.filter(({ id }) => !after.subjects.some((one) => one.id === id));
  const come = after.subjects.filter(({ id }) => !before.subjects.some((one) => one.id === id));
  const stayed = after.subjects.flatMap((is) => {
    const was = before.subjects.find(({ id }) => id === is.id);
    if (!was) return [];
    const others = ({ stays: _, name: __, detail: ___, ...rest }: typeof is) => JSON.stringify(rest);
    return [
      ...changed('the name', was.name, is.name),
      ...changed(`focus on ${is.name}`, was.detail || 'nothing said', is.detail || 'nothing said'),
      ...(JSON.stringify(was.stays) === JSON.stringify(is.stays) ? [] : [`where ${is.name} is when`]),
      ...(others(was) === others(is) ? [] : [`how well ${is.name} hits marks and times`]),
    ];
  });
  return [...come.map(({ name }) => `with ${name}`), ...gone.map(({ name }) => `without ${name}`), ...stayed];
}

/** Marks that were added, removed or measured again. */
export function markDifferences(before: ShotPlan, after: ShotPlan, units: UnitSystem): string[] {
  const [was, is] = [markDistances(before.marks), markDistances(after.marks)];
  const words = (mm: number) => formatDistance(mm, units);
  const come = after.marks.filter(({ id }) => !was.has(id)).map(({ id, letter }) => `a mark ${letter} at ${words(is.get(id)!)}`);
  const gone = before.marks.filter(({ id }) => !is.has(id)).map(({ letter }) => `no mark ${letter}`);
  const stayed = after.marks.flatMap((mark) => {
    const old = before.marks.find(({ id }) => id === mark.id);
    if (!old) return [];
    const others = ({ distanceMm: _, letter: __, ...rest }: typeof mark) => JSON.stringify(rest);
    return [
      ...changed('the letter', old.letter, mark.letter),
      ...changed(`mark ${mark.letter}`, words(was.get(mark.id)!), words(is.get(mark.id)!)),
      ...(others(old) === others(mark) ? [] : [`what is noted at mark ${mark.letter}`]),
    ];
  });
  return [...come, ...gone, ...stayed];
}
