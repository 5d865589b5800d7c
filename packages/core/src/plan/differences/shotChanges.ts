import { type PlanDifference, planDifferences, type PlanPart } from './planDifferences.js';
import type { ShotPlan } from '../shotPlan.js';

/** Parts of a shot beside its plan. */
export const HEADINGS = ['scene', 'slate', 'title'] as const;

/** A shot as it is saved. */
export type TitledPlan = { readonly plan: ShotPlan } & Readonly<Record<(typeof HEADINGS)[number], string>>;

/** An area in which two versions of a shot differ. */
export type ShotChange = (typeof HEADINGS)[number] | PlanPart | Exclude<PlanDifference['kind'], 'part'>;

/** The areas in which two versions of a shot differ, each once, in the order in which a shot is planned. */
export function shotChanges(before: TitledPlan, after: TitledPlan): ShotChange[] {
  const headings = HEADINGS.filter((part) => before[part] !== after[part]);
  const areas = planDifferences(before.plan, after.plan).map((difference) =>
    difference.kind === 'part' ? difference.part : difference.kind,
  );
  return [...new Set<ShotChange>([...headings, ...areas])];
}
