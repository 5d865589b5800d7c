import type { KIT_FORMAT as Format } from '@still-heron/contract';

/** What a file of kit says it is. The contract's own constant would bring the server's validation into the page. */
export const KIT_FORMAT: typeof Format = 'still-heron-kit';
