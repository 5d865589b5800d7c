import { Body, Controller, HttpCode, Inject, type MessageEvent, Post, Sse } from '@nestjs/common';
import { ApiBadRequestResponse, ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { SimulateReading, ErrorBody, ReadingView, SendReading } from '@still-heron/contract';
import { interval, map, merge, type Observable, of, takeUntil } from 'rxjs';
import { endWith, ignoreElements } from 'rxjs/operators';
import { MeasuringService } from './measuring.service.js';

/** Interval of keep-alive events, so that a broken connection is noticed. */
const BEAT_MS = 20_000;

@ApiTags('measuring')
@ApiBadRequestResponse({ type: ErrorBody })
@Controller('measuring')
export class MeasuringController {
  constructor(@Inject(MeasuringService) private readonly measuring: MeasuringService) {}

  @Post('readings')
  @ApiCreatedResponse({ type: ReadingView, description: 'Passed on to all listening pages' })
  send(@Body() body: SendReading): ReadingView {
    return this.measuring.send(body);
  }

  @Post('simulated')
  @HttpCode(200)
  @ApiOkResponse({ type: ReadingView, description: 'Simulated reading, passed on like a device’s' })
  simulate(@Body() body: SimulateReading): ReadingView {
    return this.measuring.simulate(body);
  }

  @Sse('events')
  @ApiOkResponse({ description: 'Readings as server-sent events of the type `reading`, each a ReadingView' })
  events(): Observable<MessageEvent> {
    const { readings } = this.measuring;
    const over = readings.pipe(ignoreElements(), endWith(null));
    return merge(
      of({ type: 'listening', data: {} }),
      readings.pipe(map((reading): MessageEvent => ({ type: 'reading', data: reading }))),
      interval(BEAT_MS).pipe(
        map((): MessageEvent => ({ type: 'beat', data: {} })),
        takeUntil(over),
      ),
    );
  }
}
