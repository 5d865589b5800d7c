import { framedSpans, type ShotPlan } from '@still-heron/core';
import type { Framings } from './protocol';

/** When each subject that stands somewhere is in the picture. */
export function framingsOf(plan: ShotPlan): Framings {
  return new Map(plan.subjects.map((subject) => [subject.id, subject.stays.length > 0 ? framedSpans(plan, subject) : null]));
}
