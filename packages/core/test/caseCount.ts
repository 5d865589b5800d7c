/**
 * Number of cases that a property test tries: as given in `npm test`, half as many with `npm run test:unit`, ten times as many with
 * `npm run test:thorough`.
 */
export function caseCount(normal: number): number {
  return Math.ceil(normal * Number(process.env['STILL_HERON_CASES'] ?? 1));
}
