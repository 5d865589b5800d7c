import { Inject, Injectable } from '@nestjs/common';
import type {
  CreateTake,
  LoggedTakeView,
  SaveTake,
  StatisticsView,
  TakePageView,
  TakeRowView,
  TakeView,
} from '@still-heron/contract';
import { checkTake, PlanError, type Take, type UnitSystem, upgradeTake } from '@still-heron/core';
import { pullTargetText } from '@still-heron/wording';
import { notFound, RequestProblem, versionConflict } from '../http/request-problem.js';
import { ProductionsService } from '../productions/productions.service.js';
import { ShotsService } from '../shots/shots.service.js';
import { editorReport, type ReportedShot } from './report/report.js';
import { StatisticsRepository } from './statistics.repository.js';
import { type LogOrder, type PageRange, type TakeFilter, type TakeRow, TakesRepository } from './takes.repository.js';

@Injectable()
export class TakesService {
  constructor(
    @Inject(TakesRepository) private readonly repository: TakesRepository,
    @Inject(StatisticsRepository) private readonly statistics: StatisticsRepository,
    @Inject(ShotsService) private readonly shots: ShotsService,
    @Inject(ProductionsService) private readonly productions: ProductionsService,
  ) {}

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
    return toRowView(row);
  }

  /** @throws {RequestProblem} 404, 409 @throws {PlanError} as `create` */
  async save(id: string, { version, take }: SaveTake): Promise<TakeRowView> {
    const saved = await this.repository.save(id, version, checked(take));
    if (saved) return toRowView(saved);
    throw versionConflict(version, (await this.find(id)).version);
  }

  /** @throws {RequestProblem} 404, 409 */
  async remove(id: string, version: number): Promise<void> {
    if (await this.repository.remove(id, version)) return;
    throw versionConflict(version, (await this.find(id)).version);
  }

  /** @throws {RequestProblem} 404 */
  async log(productionId: string, filter: TakeFilter, order: LogOrder, range: PageRange): Promise<TakePageView> {
    await this.productions.find(productionId);
    const { rows, total } = await this.repository.log(productionId, filter, order, range);
    return { takes: rows.map((row) => ({ ...toRowView(row), slate: row.slate, title: row.title })), total };
  }

  /** Statistics of a production's takes. @throws {RequestProblem} 404 */
  async statisticsOf(productionId: string): Promise<StatisticsView> {
    await this.productions.find(productionId);
    return this.statistics.of(productionId);
  }

  /** All takes of a production, or of one shot, with their tracks. @throws {RequestProblem} 404 */
  async whole(productionId: string, shotId: string | null): Promise<LoggedTakeView[]> {
    await this.productions.find(productionId);
    return (await this.repository.whole(productionId, shotId)).map(({ track, slate, title, ...row }) => {
      const view = toRowView(row);
      return { ...view, take: { ...view.take, track }, slate, title };
    });
  }

  /** The editor's report of a production, or of one shot, as a PDF. @throws {RequestProblem} 404 */
  async report(productionId: string, shotId: string | null, units: UnitSystem): Promise<Buffer> {
    const { name } = await this.productions.find(productionId);
    const shots = await this.shots.inOrder(productionId);
    const takes = await this.repository.whole(productionId, shotId);
    const reported = shots.flatMap(({ id, slate, title, plan }): ReportedShot[] => {
      const own = takes.filter((row) => row.shotId === id);
      if (own.length === 0) return [];
      const { captureFps, deliveryFps } = plan;
      const pullName = (pullId: string) => pullTargetText(pullId, plan, units);
      const all = own.map((row) => ({ number: row.number, take: toRowView(row).take }));
      return [{ slate, title, captureFps, deliveryFps, stopScale: plan.optics.lens.stopScale, pullName, takes: all }];
    });
    return editorReport(name, reported, new Date());
  }
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
