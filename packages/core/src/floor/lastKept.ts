import type { Subject } from './subject.js';

/** Keeps what was computed last for rising times in even steps: all subjects ask for the same frames. */
export function lastKept<T>(compute: (timesS: Float64Array) => T): (timesS: Float64Array) => T {
  let last: { readonly stepS: number | undefined; readonly count: number; readonly result: T } | null = null;
  return (timesS) => {
    const [stepS, count] = [timesS[1], timesS.length];
    if (last?.stepS !== stepS || last?.count !== count) last = { stepS, count, result: compute(timesS) };
    return last!.result;
  };
}

/** Makes one for each subject, and keeps it. */
export function keptBySubject<T>(make: (subject: Subject) => T): (subject: Subject) => T {
  const made = new Map<Subject, T>();
  return (subject) => {
    const known = made.get(subject) ?? make(subject);
    made.set(subject, known);
    return known;
  };
}
