import type { Lens } from '@still-heron/core';

/** Changes figures of the open lens as a step by name; changes of one gesture make one step. */
export type ChangeLens = (name: string, changes: Partial<Lens>, gesture?: string) => void;
