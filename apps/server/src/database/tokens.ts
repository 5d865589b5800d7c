/** Injection token of the `Database`. */
export const DATABASE = Symbol('database');
/** Injection token of the `OpenDatabase`. */
export const OPEN_DATABASE = Symbol('open database');
