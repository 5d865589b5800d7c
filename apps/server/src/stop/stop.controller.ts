import { Controller, Get, Inject, Param, Query } from '@nestjs/common';
import { ApiBadRequestResponse, ApiNotFoundResponse, ApiOkResponse, ApiQuery, ApiTags } from '@nestjs/swagger';
import { ErrorBody, KeepRateView, MAX_TRIALS_PER_REQUEST, StopRateView } from '@still-heron/contract';
import { Gone } from '../http/gone.js';
import { ShotId, wholeFrom } from '../http/validation.js';
import { StopService } from './stop.service.js';

const DEFAULT_TRIALS = 2000;
const DEFAULT_SEED = 1;

@ApiTags('stop')
@ApiBadRequestResponse({ type: ErrorBody })
@ApiNotFoundResponse({ type: ErrorBody })
@ApiQuery({
  name: 'takes',
  type: Number,
  required: false,
  description: `1 to ${MAX_TRIALS_PER_REQUEST}; default ${DEFAULT_TRIALS}`,
})
@ApiQuery({ name: 'seed', type: Number, required: false, description: 'The same seed draws the same simulated takes' })
@Controller('shots/:shotId')
export class StopController {
  constructor(@Inject(StopService) private readonly stop: StopService) {}

  @Get('keep-rate')
  @ApiOkResponse({ type: KeepRateView })
  keepRate(
    @Param('shotId', ShotId) id: string,
    @Query('takes') takes: unknown,
    @Query('seed') seed: unknown,
    @Gone() signal: AbortSignal,
  ): Promise<KeepRateView> {
    return this.stop.keepRate(id, { takes: takesFrom(takes), seed: seedFrom(seed), signal });
  }

  @Get('stops')
  @ApiOkResponse({ type: [StopRateView], description: 'The shot at every stop of its lens, widest first' })
  stops(
    @Param('shotId', ShotId) id: string,
    @Query('takes') takes: unknown,
    @Query('seed') seed: unknown,
    @Gone() signal: AbortSignal,
  ): Promise<StopRateView[]> {
    return this.stop.stops(id, { takes: takesFrom(takes), seed: seedFrom(seed), signal });
  }
}

function takesFrom(value: unknown): number {
  return wholeFrom('takes', value, DEFAULT_TRIALS, MAX_TRIALS_PER_REQUEST);
}

function seedFrom(value: unknown): number {
  return wholeFrom('seed', value, DEFAULT_SEED, 999_999_999);
}
