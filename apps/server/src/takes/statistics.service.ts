import { setImmediate } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { LensUseView, StatisticsDetailsView, StatisticsView } from '@still-heron/contract';
import { ProductionsService } from '../productions/productions.service.js';
import { DetailSums } from './statisticsDetails.js';
import { LineSums, statisticsOf } from './statistics.js';
import { StatisticsRepository } from './statistics.repository.js';

/** Statistics of a production's takes, summed up in parts so that other requests are answered meanwhile. */
@Injectable()
export class StatisticsService {
  constructor(
    @Inject(StatisticsRepository) private readonly repository: StatisticsRepository,
    @Inject(ProductionsService) private readonly productions: ProductionsService,
  ) {}

  /** @param withSimulated - takes by a simulator count as well @throws {RequestProblem} 404 */
  async of(productionId: string, withSimulated: boolean): Promise<StatisticsView> {
    await this.productions.find(productionId);
    const sums = new LineSums();
    for await (const part of this.repository.sums(productionId, withSimulated)) {
      sums.add(part);
      await setImmediate();
    }
    return statisticsOf(sums.lines, await this.repository.simulatedCount(productionId));
  }

  /** @param withSimulated - as above @throws {RequestProblem} 404 */
  async detailsOf(productionId: string, withSimulated: boolean): Promise<StatisticsDetailsView> {
    await this.productions.find(productionId);
    const sums = new DetailSums();
    for await (const part of this.repository.details(productionId, withSimulated)) {
      sums.add(part);
      await setImmediate();
    }
    return sums.view;
  }

  /** How often each lens was used, in all productions. */
  lensUse(): Promise<LensUseView[]> {
    return this.repository.lensUse();
  }
}
