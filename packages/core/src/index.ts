/** Public interface of the core, in flow order: a stage imports only the stages above it. */
export { isDeepEqual } from './deepEqual.js';
export { CoreError, PlanError } from './errors.js';
export { type Problem, problem, type ProblemCode, type ProblemValues } from './problems.js';
export { seenLength, UNSTORABLE } from './shape.js';
export * from './units/index.js';
export * from './optics/index.js';
export * from './kit/index.js';
export * from './floor/index.js';
export * from './hand/index.js';
export * from './plan/index.js';
export * from './track/index.js';
export * from './verdict/index.js';
export * from './trials/index.js';
export * from './stop/index.js';
export * from './roll/index.js';
export * from './takes/index.js';
export * from './sheets/index.js';
