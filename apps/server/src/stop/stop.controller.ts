import { Controller, Get, Inject, Param, Query } from '@nestjs/common';
import { ApiBadRequestResponse, ApiNotFoundResponse, ApiOkResponse, ApiQuery, ApiTags } from '@nestjs/swagger';
import { ErrorBody, KeepRateView, MOST_TAKES_ASKED, StopRateView } from '@still-heron/contract';
import { ShotId, wholeFrom } from '../http/validation.js';
import { StopService } from './stop.service.js';

const USUAL_TAKES = 2000;
const USUAL_SEED = 1;

@ApiTags('stop')
@ApiBadRequestResponse({ type: ErrorBody })
@ApiNotFoundResponse({ type: ErrorBody })
@ApiQuery({ name: 'takes', type: Number, required: false, description: `1 to ${MOST_TAKES_ASKED}; ${USUAL_TAKES} without` })
@ApiQuery({ name: 'seed', type: Number, required: false, description: 'The same seed draws the same takes' })
@Controller('shots/:shotId')
export class StopController {
  constructor(@Inject(StopService) private readonly stop: StopService) {}

  @Get('keep-rate')
  @ApiOkResponse({ type: KeepRateView })
  keepRate(
    @Param('shotId', ShotId) id: string,
    @Query('takes') takes?: unknown,
    @Query('seed') seed?: unknown,
  ): Promise<KeepRateView> {
    return this.stop.keepRate(id, takesFrom(takes), seedFrom(seed));
  }

  @Get('stops')
  @ApiOkResponse({ type: [StopRateView], description: 'The shot at every stop of its lens, widest first' })
  stops(
    @Param('shotId', ShotId) id: string,
    @Query('takes') takes?: unknown,
    @Query('seed') seed?: unknown,
  ): Promise<StopRateView[]> {
    return this.stop.stops(id, takesFrom(takes), seedFrom(seed));
  }
}

function takesFrom(value: unknown): number {
  return wholeFrom('takes', value, USUAL_TAKES, MOST_TAKES_ASKED);
}

function seedFrom(value: unknown): number {
  return wholeFrom('seed', value, USUAL_SEED, 999_999_999);
}
