import type { CompleteVerdict } from '@still-heron/core';

/**
 * Keeps what was drawn last from a verdict, until something that it depends on changes: between two verdicts of a drag the plan changes, and curves
 * do not.
 *
 * @returns a function of the verdict, all that the drawing depends on beside it, and how to draw
 */
export function keptByVerdict<T>(): (verdict: CompleteVerdict, dependsOn: readonly unknown[], draw: () => T) => T {
  const drawn = new WeakMap<CompleteVerdict, { readonly dependsOn: readonly unknown[]; readonly result: T }>();
  return (verdict, dependsOn, draw) => {
    const last = drawn.get(verdict);
    if (last && last.dependsOn.every((value, index) => value === dependsOn[index])) return last.result;
    const result = draw();
    drawn.set(verdict, { dependsOn, result });
    return result;
  };
}
