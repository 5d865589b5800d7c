import { Inject, Injectable } from '@nestjs/common';
import type { KeepRateView, StopRateView } from '@still-heron/contract';
import { RequestProblem } from '../http/request-problem.js';
import { ShotsService } from '../shots/shots.service.js';
import { Pool } from '../work/pool.js';
import { KEEP_RATE, type NothingToJudge, STOP_RATES } from './rates.js';

/** What is drawn, and when to give up. */
interface Draw {
  readonly takes: number;
  readonly seed: number;
  /** Ends the computation when its client has gone */
  readonly signal: AbortSignal;
}

/** Keep rates for exports and other programs: the same trials as on the page. */
@Injectable()
export class StopService {
  constructor(
    @Inject(ShotsService) private readonly shots: ShotsService,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** @throws {RequestProblem} 404; 409 for a plan that can't be evaluated yet; 422, 503 as the pool */
  async keepRate(shotId: string, { takes, seed, signal }: Draw): Promise<KeepRateView> {
    const { plan } = await this.shots.find(shotId);
    return judged(await this.pool.run(KEEP_RATE, { plan, takes, seed }, signal));
  }

  /** @throws {RequestProblem} as `keepRate` */
  async stops(shotId: string, { takes, seed, signal }: Draw): Promise<StopRateView[]> {
    const { plan } = await this.shots.find(shotId);
    return judged(await this.pool.run(STOP_RATES, { plan, takes, seed }, signal));
  }
}

function judged<T extends object>(result: T | NothingToJudge): T {
  if (!('missing' in result)) return result;
  const { missing } = result;
  throw RequestProblem.of(409, missing === 'beat' ? 'beats' : 'subjects', 'nothing-to-judge', { missing });
}
