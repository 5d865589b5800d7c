import type { ShotPlan, UnitSystem } from '@still-heron/core';
import { findingPlaceText, type PlaceNames, pullTargetText } from '@still-heron/wording';
import type { Task } from '../../work/task.js';
import { takeLines } from '../takeLines.js';
import type { ReportedShot } from './report.js';

/** What a report is made of, in a form that is handed to another thread quickly. */
export interface ReportOrder {
  readonly production: string;
  readonly units: UnitSystem;
  /** In ms since 1970 */
  readonly madeAtMs: number;
  /** In shooting order */
  readonly shots: readonly {
    readonly slate: string;
    readonly title: string;
    readonly plan: ShotPlan;
    /** Its takes as lines of JSON: number and take */
    readonly lines: Uint8Array;
  }[];
}

export const REPORT: Task<ReportOrder, Uint8Array> = { name: 'report', run: report };

/** The editor's report as a PDF. */
async function report({ production, units, madeAtMs, shots }: ReportOrder): Promise<Uint8Array> {
  const reported = shots.map(({ slate, title, plan, lines }): ReportedShot => {
    const takes = takeLines(lines);
    const { captureFps, deliveryFps } = plan;
    const names: PlaceNames = {
      pullName: (pullId) => pullTargetText(pullId, plan, units),
      placeName: (at) => findingPlaceText(at, plan),
    };
    return { slate, title, captureFps, deliveryFps, stopScale: plan.optics.lens.stopScale, names, takes };
  });
  // the library that draws it takes a while to load, and most starts never need it
  const { editorReport } = await import('./report.js');
  return editorReport(production, reported, new Date(madeAtMs));
}
