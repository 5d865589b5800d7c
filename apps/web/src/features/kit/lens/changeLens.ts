import type { Lens } from '@still-heron/core';

/** Changes figures of the open lens as a named undo step; changes of one gesture are one step. */
export type ChangeLens = (name: string, changes: Partial<Lens>, gesture?: string) => void;
