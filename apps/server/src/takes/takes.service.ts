import { Inject, Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type {
  CreateTake,
  LoggedTakeView,
  SaveTake,
  ShotView,
  TakePageView,
  TakeRevisionView,
  TakeRowView,
  TakeView,
  WrapUpView,
} from '@still-heron/contract';
import { checkTake, PlanError, type Take, type UnitSystem, upgradeTake } from '@still-heron/core';
import { notFound, RequestProblem, versionConflict } from '../http/request-problem.js';
import { ProductionsService } from '../productions/productions.service.js';
import { ShotsService } from '../shots/shots.service.js';
import { Pool } from '../work/pool.js';
import { REPORT } from './report/reportTask.js';
import { WRAP_UP } from './wrapUpTask.js';
import type { LogOrder, PageRange, TakeFilter } from './logFilter.js';
import { type TakeRow, TakesRepository } from './takes.repository.js';

const HOUR_MS = 3_600_000;
/** A deletion can be undone for this long. */
const DELETED_FOR_MS = 30 * 24 * HOUR_MS;

@Injectable()
export class TakesService implements OnModuleInit, OnModuleDestroy {
  private pruning: NodeJS.Timeout | undefined;

  constructor(
    @Inject(TakesRepository) private readonly repository: TakesRepository,
    @Inject(ShotsService) private readonly shots: ShotsService,
    @Inject(ProductionsService) private readonly productions: ProductionsService,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  async onModuleInit(): Promise<void> {
    const prune = () => this.repository.prune(new Date(Date.now() - DELETED_FOR_MS));
    await prune();
    this.pruning = setInterval(() => void prune(), HOUR_MS);
  }

  onModuleDestroy(): void {
    clearInterval(this.pruning);
  }

  /** Ordered by number. @throws {RequestProblem} 404 */
  async ofShot(shotId: string): Promise<TakeRowView[]> {
    await this.shots.find(shotId);
    return (await this.repository.ofShot(shotId)).map(toRowView);
  }

  /** With its track. @throws {RequestProblem} 404 */
  async find(id: string): Promise<TakeView> {
    const row = await this.repository.find(id);
    if (!row) throw notFound('take');
    const view = toRowView(row);
    return { ...view, take: { ...view.take, track: row.track } };
  }

  /**
   * Logs a take with the next number of its shot; a known client id is left unchanged. @throws {RequestProblem} 404; 409 if a take of another
   * shot has the id @throws {PlanError} if the take is invalid
   */
  async create(shotId: string, { id, rolledAt, take }: CreateTake): Promise<TakeRowView> {
    const shot = await this.shots.find(shotId);
    const row = await this.repository.insert(shot, new Date(rolledAt), checked(take), id);
    if (!row) throw RequestProblem.of(409, 'id', 'id-taken', {});
    return this.told(row);
  }

  /** @throws {RequestProblem} 404, 409 @throws {PlanError} as `create` */
  async save(id: string, { version, take }: SaveTake): Promise<TakeRowView> {
    const saved = await this.repository.save(id, version, checked(take));
    if (saved) return this.told(saved);
    throw versionConflict(version, (await this.find(id)).version);
  }

  /** @throws {RequestProblem} 404, 409 */
  async remove(id: string, version: number): Promise<void> {
    const row = await this.repository.find(id);
    if (!(await this.repository.setDeleted(id, version, true))) throw versionConflict(version, (await this.find(id)).version);
    if (row) this.told(row);
  }

  /** Deleted takes of a shot that can be restored. @throws {RequestProblem} 404 */
  async deletedOf(shotId: string): Promise<TakeRowView[]> {
    await this.shots.find(shotId);
    return (await this.repository.deletedOf(shotId)).map(toRowView);
  }

  /** @throws {RequestProblem} 404 for a take that is not deleted */
  async restore(id: string): Promise<TakeRowView> {
    if (!(await this.repository.setDeleted(id, null, false))) throw notFound('take');
    const row = await this.repository.find(id);
    if (!row) throw notFound('take');
    return this.told(row);
  }

  /** Tells the pages that show its shot. */
  private told(row: TakeRow): TakeRowView {
    this.shots.tellTaken(row.shotId);
    return toRowView(row);
  }

  /** Replaced versions of a take, the last replaced first. @throws {RequestProblem} 404 */
  async revisions(id: string): Promise<TakeRevisionView[]> {
    await this.find(id);
    return (await this.repository.revisions(id)).map(({ version, take, replacedAt }) => ({
      version,
      replacedAt: replacedAt.toISOString(),
      take: upgradeTake(take) as Omit<Take, 'track'>,
    }));
  }

  /** @throws {RequestProblem} 404 */
  async log(productionId: string, filter: TakeFilter, order: LogOrder, range: PageRange): Promise<TakePageView> {
    await this.productions.find(productionId);
    const { rows, total } = await this.repository.log(productionId, filter, order, range);
    return { takes: rows.map((row) => ({ ...toRowView(row), slate: row.slate, title: row.title })), total };
  }

  /**
   * All takes of a production, or of one shot, with their tracks, as the text of a JSON array of `LoggedTakeView`. It is made while it is
   * read: a whole log is larger than what should be in memory.
   *
   * @throws {RequestProblem} 404, before the text begins
   */
  async whole(productionId: string, shotId: string | null): Promise<AsyncIterable<string>> {
    await this.productions.find(productionId);
    const shots = await this.shotsOf(productionId, shotId);
    const { repository } = this;
    async function* text(): AsyncGenerator<string> {
      let before = '[';
      for (const { id, slate, title } of shots)
        for await (const { track, ...row } of repository.whole(id)) {
          const view = toRowView(row);
          const take: LoggedTakeView = { ...view, take: { ...view.take, track } as Take, slate, title };
          yield `${before}${JSON.stringify(take)}`;
          before = ',';
        }
      yield before === '[' ? '[]' : ']';
    }
    return text();
  }

  /**
   * The editor's report of a production, or of one shot, as a PDF.
   *
   * @param signal - ends it when its client has gone
   * @throws {RequestProblem} 404; 422, 503 as the pool
   */
  async report(productionId: string, { shotId, units, withSimulated, signal }: ReportWish): Promise<Uint8Array> {
    const { name } = await this.productions.find(productionId);
    const shots = [];
    for (const { id, slate, title, plan } of await this.shotsOf(productionId, shotId)) {
      if (signal.aborted) throw RequestProblem.of(499, '', 'given-up', {});
      const lines = await this.repository.lines(id, withSimulated);
      if (lines.length > 0) shots.push({ slate, title, plan, lines });
    }
    return this.pool.run(REPORT, { production: name, units, madeAtMs: Date.now(), shots }, signal);
  }

  /** What each shot of a production still lacks, in shooting order. @throws {RequestProblem} 404; 422, 503 as the pool */
  async wrapUp(productionId: string, units: UnitSystem, signal: AbortSignal): Promise<WrapUpView[]> {
    await this.productions.find(productionId);
    const all = await this.shotsOf(productionId, null);
    const shots = [];
    for (const { id, plan } of all) {
      if (signal.aborted) throw RequestProblem.of(499, '', 'given-up', {});
      shots.push({ plan, lines: await this.repository.lines(id, false) });
    }
    const found = await this.pool.run(WRAP_UP, { units, shots }, signal);
    return all.map(({ id, slate, title }, index) => ({ shotId: id, slate, title, ...found[index]! }));
  }

  /** Shots of a production in order, or the one that is asked for. */
  private async shotsOf(productionId: string, shotId: string | null): Promise<ShotView[]> {
    const all = await this.shots.inOrder(productionId);
    return shotId === null ? all : all.filter(({ id }) => id === shotId);
  }
}

/** What a report is about. */
interface ReportWish {
  /** null for all shots of the production */
  readonly shotId: string | null;
  readonly units: UnitSystem;
  readonly withSimulated: boolean;
  readonly signal: AbortSignal;
}

/** Accepts a take from a page of an earlier version. */
function checked(sent: unknown): Take {
  const take = upgradeTake(sent);
  const [first, ...others] = checkTake(take).map((problem) => ({
    ...problem,
    path: problem.path === '' ? 'take' : `take.${problem.path}`,
  }));
  if (first) throw new PlanError([first, ...others]);
  return take as Take;
}

function toRowView({ id, shotId, number, version, rolledAt, hasTrack, take }: TakeRow): TakeRowView {
  return {
    id,
    shotId,
    number,
    version,
    rolledAt: rolledAt.toISOString(),
    hasTrack,
    take: upgradeTake(take) as Omit<Take, 'track'>,
  };
}
