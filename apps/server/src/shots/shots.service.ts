import { Inject, Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type {
  CreateShot,
  OrderShots,
  ProblemView,
  ProductionView,
  RevisionView,
  SaveShot,
  ShotCheckView,
  ShotDocument,
  ShotPlanView,
  ShotRowView,
  ShotView,
} from '@still-heron/contract';
import { checkPlan, PLAN_SCHEMA, type ShotPlan, upgradePlan } from '@still-heron/core';
import { problemView } from '@still-heron/wording';
import { notFound, RequestProblem, versionConflict } from '../http/request-problem.js';
import { isUuid } from '../http/validation.js';
import { ProductionsService } from '../productions/productions.service.js';
import { ShotNews } from './shot-news.js';
import { partsOf, setupOf } from './shotSetup.js';
import { type RevisionRow, type ShotRow, ShotsRepository } from './shots.repository.js';

const PRUNE_EVERY_MS = 3_600_000;

@Injectable()
export class ShotsService implements OnModuleInit, OnModuleDestroy {
  private pruning: NodeJS.Timeout | undefined;

  constructor(
    @Inject(ShotsRepository) private readonly repository: ShotsRepository,
    @Inject(ProductionsService) private readonly productions: ProductionsService,
    @Inject(ShotNews) private readonly news: ShotNews,
  ) {}

  async onModuleInit(): Promise<void> {
    await this.repository.prune(new Date());
    this.pruning = setInterval(() => void this.repository.prune(new Date()), PRUNE_EVERY_MS);
    this.pruning.unref();
  }

  onModuleDestroy(): void {
    clearInterval(this.pruning);
  }

  /** @throws {RequestProblem} 404 */
  async inOrder(productionId: string): Promise<ShotView[]> {
    await this.productions.find(productionId);
    return (await this.repository.inOrder(productionId)).map(toView);
  }

  /** Shots in shooting order as a list shows them. @throws {RequestProblem} 404 */
  async rows(productionId: string): Promise<ShotRowView[]> {
    await this.productions.find(productionId);
    const rows = await this.repository.rows(productionId);
    const older = rows.filter(({ schema }) => schema !== PLAN_SCHEMA).map(({ id }) => id);
    const upgraded = new Map((await this.repository.plans(productionId, older)).map(({ id, plan }) => [id, newestForm(plan)]));
    return rows.map(({ id, version, scene, slate, title, ...stored }) => {
      const plan = upgraded.get(id);
      return { id, version, scene, slate, title, setup: setupOf(plan ? partsOf(plan) : stored) };
    });
  }

  /** Plans of some shots of a production. @throws {RequestProblem} 404 for the production */
  async plans(productionId: string, ids: readonly string[]): Promise<ShotPlanView[]> {
    await this.productions.find(productionId);
    const rows = await this.repository.plans(productionId, ids);
    return rows.map(({ id, version, plan }) => ({ id, version, plan: newestForm(plan) }));
  }

  /** @throws {RequestProblem} 404 */
  async find(id: string): Promise<ShotView> {
    return toView(await this.row(id));
  }

  /** Whether there is such a shot, and it is not deleted. */
  /** @returns null if there is no such shot */
  async versionOf(id: string): Promise<number | null> {
    return (await this.repository.find(id))?.version ?? null;
  }

  /** @throws {RequestProblem} 404 for the production or the previous shot */
  async create(productionId: string, { afterShotId, ...document }: CreateShot): Promise<ShotView> {
    await this.productions.find(productionId);
    if (afterShotId !== undefined && !isUuid(afterShotId)) throw notFound('shot');
    const after = afterShotId === undefined ? null : await this.row(afterShotId);
    if (after && after.productionId !== productionId) throw notFound('shot');
    return toView(await this.repository.insert(productionId, document, after));
  }

  /** Inserts a copy after the original, with a slate of its own. @throws {RequestProblem} 404 */
  async duplicate(id: string): Promise<ShotView> {
    const original = await this.row(id);
    const slates = new Set((await this.repository.inOrder(original.productionId)).map(({ slate }) => slate));
    return toView(
      await this.repository.insert(
        original.productionId,
        { ...original, plan: newestForm(original.plan), slate: copySlate(original.slate, slates) },
        original,
      ),
    );
  }

  /** Tells the pages that show a shot that its takes have changed. */
  tellTaken(shotId: string): void {
    this.news.all.next({ kind: 'taken', shotId });
  }

  /** @throws {RequestProblem} 404, 409 with the stored version */
  async save(id: string, { version, deviceId = '', deviceName = '', ...document }: SaveShot): Promise<ShotView> {
    const saved = await this.repository.save(id, version, { ...document, deviceId, deviceName });
    if (saved) {
      this.news.all.next({ kind: 'saved', shotId: id, version: saved.version });
      return toView(saved);
    }
    const stored = await this.row(id);
    throw versionConflict(version, stored.version, toView(stored));
  }

  /** @throws {RequestProblem} 404, 409 with the stored version */
  async remove(id: string, version: number): Promise<void> {
    if (await this.repository.setDeleted(id, version, true)) return;
    const stored = await this.row(id);
    throw versionConflict(version, stored.version, toView(stored));
  }

  /** Undoes a deletion. @throws {RequestProblem} 404 if the shot is not deleted, or gone */
  async restore(id: string): Promise<ShotView> {
    if (!(await this.repository.setDeleted(id, null, false))) throw notFound('shot');
    return this.find(id);
  }

  /** @throws {RequestProblem} 404, 409 if shots were added or removed, or the order was changed */
  async order(productionId: string, { version, shotIds }: OrderShots): Promise<ProductionView> {
    const stored = await this.productions.find(productionId);
    const known = new Set((await this.repository.inOrder(productionId)).map(({ id }) => id));
    if (shotIds.length !== known.size || !shotIds.every((id) => known.has(id))) {
      throw RequestProblem.of(409, 'shotIds', 'other-shots', {});
    }
    if (!(await this.repository.order(productionId, version, shotIds))) throw versionConflict(version, stored.version);
    return this.productions.find(productionId);
  }

  /** Newest first. @throws {RequestProblem} 404 */
  async revisions(id: string): Promise<RevisionView[]> {
    await this.row(id);
    return (await this.repository.revisions(id)).map(toRevisionView);
  }

  /** @throws {RequestProblem} 404 */
  async revision(id: string, version: number): Promise<ShotDocument> {
    await this.row(id);
    const revision = await this.repository.revision(id, version);
    if (!revision) throw notFound('revision');
    const { scene, slate, title, plan } = revision;
    return { scene, slate, title, plan: newestForm(plan) };
  }

  /** Names a version, so that it is kept. @throws {RequestProblem} 404 */
  async nameRevision(id: string, version: number, name: string): Promise<RevisionView> {
    await this.row(id);
    const named = await this.repository.nameRevision(id, version, name.trim());
    if (!named) throw notFound('revision');
    return toRevisionView(named);
  }

  /** What keeps a stored shot from being shown, and the newest sound version before it. @throws {RequestProblem} 404 */
  async check(id: string): Promise<ShotCheckView> {
    const { slate, title, plan, version: stored } = await this.row(id);
    const problems = problemsOf(plan);
    for (const row of await this.repository.revisions(id)) {
      const { version } = row;
      // a sound plan that its page can't show is no way out of that
      if (problems.length === 0 && version >= stored) continue;
      const revision = await this.repository.revision(id, version);
      if (revision && problemsOf(revision.plan).length === 0) return { slate, title, problems, before: toRevisionView(row) };
    }
    return { slate, title, problems, before: null };
  }

  private async row(id: string): Promise<ShotRow> {
    const row = await this.repository.find(id);
    if (!row) throw notFound('shot');
    return row;
  }
}

function toView({ id, productionId, version, scene, slate, title, plan, updatedAt, deviceId, deviceName }: ShotRow): ShotView {
  const savedBy = { deviceId, deviceName };
  return { id, productionId, version, scene, slate, title, plan: newestForm(plan), updatedAt: updatedAt.toISOString(), savedBy };
}

function toRevisionView({ version, savedAt, deviceId, deviceName, changes, name }: RevisionRow): RevisionView {
  return { version, savedAt: savedAt.toISOString(), savedBy: { deviceId, deviceName }, changes, name };
}

/** Problems of a stored plan. */
function problemsOf(plan: ShotPlan): ProblemView[] {
  return checkPlan(newestForm(plan)).map(problemView);
}

/** Stored plans keep the schema of the day they were saved. One that can't be upgraded hides no other: it stays as it is. */
function newestForm(plan: ShotPlan): ShotPlan {
  try {
    return upgradePlan(plan) as ShotPlan;
  } catch {
    return plan;
  }
}

/** `4B` becomes `4B-2`, `4B-3` …: the first free one. A slate that would be too long is cut before the number. */
function copySlate(slate: string, taken: ReadonlySet<string>): string {
  const stem = slate.replace(/-\d+$/, '').slice(0, 8);
  for (let number = 2; ; number++) if (!taken.has(`${stem}-${number}`)) return `${stem}-${number}`;
}
