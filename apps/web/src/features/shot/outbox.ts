import type { ShotDocument } from '@still-heron/contract';
import { type ShotPlan, upgradePlan } from '@still-heron/core';
import { createOutbox, type Unsent } from '../../shared/saving/outbox';

/** An unsent edit of a shot, as this page or an older one keeps it. */
type KeptEdit = Partial<Unsent<ShotDocument>> & {
  readonly productionId?: string;
  readonly baseVersion: number;
  readonly document: ShotDocument;
};

/** Unsent edits of shots; the context of an edit is its production. */
export const outbox = createOutbox('still-heron-outbox', readKept);

/** Reads an unsent edit that an older page may have kept: its plan may have an older schema. */
export function readKept(kept: unknown): Unsent<ShotDocument> {
  const { context, productionId, baseVersion, document } = kept as KeptEdit;
  return {
    context: context ?? productionId ?? '',
    baseVersion,
    document: { ...document, plan: upgradePlan(document.plan) as ShotPlan },
  };
}
