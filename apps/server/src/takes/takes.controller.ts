import { Readable } from 'node:stream';
import { Body, Controller, Delete, Get, Header, HttpCode, Inject, Param, Post, Put, Query, StreamableFile } from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiConflictResponse,
  ApiCreatedResponse,
  ApiNoContentResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiProduces,
  ApiQuery,
  ApiTags,
} from '@nestjs/swagger';
import {
  CreateTake,
  ErrorBody,
  LensUseView,
  LoggedTakeView,
  SaveTake,
  StatisticsView,
  TakePageView,
  TakeRowView,
  TakeView,
  UNIT_SYSTEMS,
} from '@still-heron/contract';
import { FOCUS_GRADES, MARK_HITS } from '@still-heron/core';
import { Gone } from '../http/gone.js';
import { choiceFrom, ProductionId, ShotId, TakeId, versionFrom, wholeFrom } from '../http/validation.js';
import { LOG_ORDERS } from './takes.repository.js';
import { StatisticsService } from './statistics.service.js';
import { TakesService } from './takes.service.js';

/** Maximum and default number of takes per page of the log. */
const MAX_PAGE_SIZE = 200;
const DEFAULT_PAGE_SIZE = 50;

@ApiTags('takes')
@ApiBadRequestResponse({ type: ErrorBody })
@ApiNotFoundResponse({ type: ErrorBody })
@Controller()
export class TakesController {
  constructor(
    @Inject(TakesService) private readonly takes: TakesService,
    @Inject(StatisticsService) private readonly allStatistics: StatisticsService,
  ) {}

  @Get('shots/:shotId/takes')
  @ApiOkResponse({ type: [TakeRowView] })
  ofShot(@Param('shotId', ShotId) shotId: string): Promise<TakeRowView[]> {
    return this.takes.ofShot(shotId);
  }

  @Post('shots/:shotId/takes')
  @ApiCreatedResponse({ type: TakeRowView, description: 'With the next number of the shot' })
  create(@Param('shotId', ShotId) shotId: string, @Body() body: CreateTake): Promise<TakeRowView> {
    return this.takes.create(shotId, body);
  }

  @Get('productions/:productionId/takes')
  @ApiQuery({ name: 'search', type: String, required: false, description: 'In slate, title or note' })
  @ApiQuery({ name: 'circled', enum: ['true', 'false'], required: false })
  @ApiQuery({ name: 'focus', enum: FOCUS_GRADES, required: false })
  @ApiQuery({ name: 'hit', enum: MARK_HITS, required: false, description: 'With a mark that was hit this way' })
  @ApiQuery({ name: 'lens', type: String, required: false })
  @ApiQuery({ name: 'method', type: String, required: false })
  @ApiQuery({ name: 'puller', type: String, required: false })
  @ApiQuery({ name: 'order', enum: LOG_ORDERS, required: false, description: 'Default: newest first' })
  @ApiQuery({ name: 'page', type: Number, required: false, description: 'From 1 on' })
  @ApiQuery({ name: 'size', type: Number, required: false, description: `Up to ${MAX_PAGE_SIZE}` })
  @ApiOkResponse({ type: TakePageView })
  log(@Param('productionId', ProductionId) productionId: string, @Query() query: Record<string, unknown>): Promise<TakePageView> {
    const size = wholeFrom('size', query['size'], DEFAULT_PAGE_SIZE, MAX_PAGE_SIZE);
    const page = wholeFrom('page', query['page'], 1, 1_000_000);
    const circled = choiceFrom('circled', query['circled'], ['true', 'false']);
    return this.takes.log(
      productionId,
      {
        search: typeof query['search'] === 'string' ? query['search'].slice(0, 120) : '',
        isCircled: circled === null ? null : circled === 'true',
        focus: choiceFrom('focus', query['focus'], FOCUS_GRADES),
        hit: choiceFrom('hit', query['hit'], MARK_HITS),
        lens: wordFrom(query['lens']),
        method: wordFrom(query['method']),
        puller: wordFrom(query['puller']),
      },
      choiceFrom('order', query['order'], LOG_ORDERS) ?? 'newest',
      { limit: size, offset: (page - 1) * size },
    );
  }

  @Get('productions/:productionId/takes/statistics')
  @ApiOkResponse({ type: StatisticsView })
  statistics(@Param('productionId', ProductionId) productionId: string): Promise<StatisticsView> {
    return this.allStatistics.of(productionId);
  }

  @Get('productions/:productionId/takes/whole')
  @ApiQuery({ name: 'shot', type: String, required: false, description: 'Of this shot alone' })
  @ApiOkResponse({ type: [LoggedTakeView], description: 'All of them, with their tracks, in shooting order' })
  async whole(@Param('productionId', ProductionId) productionId: string, @Query('shot') shot: unknown): Promise<StreamableFile> {
    const text = await this.takes.whole(productionId, shotFrom(shot));
    return new StreamableFile(Readable.from(text), { type: 'application/json; charset=utf-8' });
  }

  @Get('productions/:productionId/takes/report.pdf')
  @ApiQuery({ name: 'shot', type: String, required: false, description: 'Only of this shot' })
  @ApiQuery({ name: 'units', enum: UNIT_SYSTEMS, required: false, description: 'Units of distances; default: metric' })
  @ApiProduces('application/pdf')
  @Header('Content-Type', 'application/pdf')
  @ApiOkResponse({ description: 'For the editor: which spans to use, what to cut out, and why' })
  async report(
    @Param('productionId', ProductionId) productionId: string,
    @Query('shot') shot: unknown,
    @Query('units') units: unknown,
    @Gone() signal: AbortSignal,
  ): Promise<StreamableFile> {
    const printed = choiceFrom('units', units, UNIT_SYSTEMS) ?? 'metric';
    const pdf = await this.takes.report(productionId, { shotId: shotFrom(shot), units: printed, signal });
    return new StreamableFile(pdf, { type: 'application/pdf' });
  }

  @Get('lens-use')
  @ApiOkResponse({ type: [LensUseView], description: 'By name of the lens' })
  lensUse(): Promise<LensUseView[]> {
    return this.allStatistics.lensUse();
  }

  @Get('takes/:takeId')
  @ApiOkResponse({ type: TakeView, description: 'With its track' })
  find(@Param('takeId', TakeId) id: string): Promise<TakeView> {
    return this.takes.find(id);
  }

  @Put('takes/:takeId')
  @ApiOkResponse({ type: TakeRowView })
  @ApiConflictResponse({ type: ErrorBody })
  save(@Param('takeId', TakeId) id: string, @Body() body: SaveTake): Promise<TakeRowView> {
    return this.takes.save(id, body);
  }

  @Delete('takes/:takeId')
  @HttpCode(204)
  @ApiNoContentResponse()
  @ApiConflictResponse({ type: ErrorBody })
  @ApiQuery({ name: 'version', type: Number })
  async remove(@Param('takeId', TakeId) id: string, @Query('version') version: unknown): Promise<void> {
    await this.takes.remove(id, versionFrom(version));
  }
}

/** A word from the query; null if missing. */
function wordFrom(value: unknown): string | null {
  return typeof value === 'string' && value !== '' ? value.slice(0, 200) : null;
}

/** A shot from the query; null for all. @throws {RequestProblem} 404 */
function shotFrom(value: unknown): string | null {
  const word = wordFrom(value);
  return word === null ? null : new ShotId().transform(word);
}
