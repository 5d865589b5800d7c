import { Inject, Injectable } from '@nestjs/common';
import type { CreateTake, SaveTake, TakePageView, TakeRowView, TakeView } from '@still-heron/contract';
import { checkTake, PlanError, type Take, upgradeTake } from '@still-heron/core';
import { notFound, versionConflict } from '../http/request-problem.js';
import { ProductionsService } from '../productions/productions.service.js';
import { ShotsService } from '../shots/shots.service.js';
import { type TakeFilter, type TakeRow, TakesRepository } from './takes.repository.js';

@Injectable()
export class TakesService {
  constructor(
    @Inject(TakesRepository) private readonly repository: TakesRepository,
    @Inject(ShotsService) private readonly shots: ShotsService,
    @Inject(ProductionsService) private readonly productions: ProductionsService,
  ) {}

  /** In the order of their numbers. @throws {RequestProblem} 404 */
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

  /** Gives it the next number of its shot; one with an id that is there already is left as it is. @throws {RequestProblem} 404 @throws {PlanError} for a take that breaks a rule */
  async create(shotId: string, { id, rolledAt, take }: CreateTake): Promise<TakeRowView> {
    const shot = await this.shots.find(shotId);
    return toRowView(await this.repository.insert(shot, new Date(rolledAt), checked(take), id));
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
  async log(productionId: string, filter: TakeFilter, limit: number, offset: number): Promise<TakePageView> {
    await this.productions.find(productionId);
    const { rows, total } = await this.repository.log(productionId, filter, limit, offset);
    return { takes: rows.map((row) => ({ ...toRowView(row), slate: row.slate, title: row.title })), total };
  }
}

/** As a page of an earlier form may send it. */
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
