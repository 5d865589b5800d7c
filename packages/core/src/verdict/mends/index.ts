export { findMends } from './findMends.js';
export type { Mend, MendChange } from './mend.js';
