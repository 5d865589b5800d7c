import type { KIT_FORMAT as Format } from '@still-heron/contract';

/** Format tag of a kit file. Importing the contract's constant would pull the server's validation into the page. */
export const KIT_FORMAT: typeof Format = 'still-heron-kit';
