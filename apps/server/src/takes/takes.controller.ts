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
  StatisticsDetailsView,
  StatisticsView,
  TakePageView,
  TakeRevisionView,
  TakeRowView,
  TakeView,
  UNIT_SYSTEMS,
  WrapUpView,
} from '@still-heron/contract';
import { FINDINGS, FOCUS_GRADES } from '@still-heron/core';
import { Gone } from '../http/gone.js';
import { choiceFrom, ProductionId, ShotId, TakeId, versionFrom, wholeFrom } from '../http/validation.js';
import { LOG_ORDERS } from './logFilter.js';
import { StatisticsService } from './statistics.service.js';
import { TakesService } from './takes.service.js';

/** Maximum and default number of takes per page of the log. */
const MAX_PAGE_SIZE = 200;
const DEFAULT_PAGE_SIZE = 50;
const FOCUS_FILTERS = [...FOCUS_GRADES, 'not-said'] as const;
const FAULTS = FINDINGS.filter((found) => found !== 'fine');

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

  @Get('shots/:shotId/takes/deleted')
  @ApiOkResponse({ type: [TakeRowView], description: 'Those that can be restored, the last deleted first' })
  deletedOf(@Param('shotId', ShotId) shotId: string): Promise<TakeRowView[]> {
    return this.takes.deletedOf(shotId);
  }

  @Post('shots/:shotId/takes')
  @ApiCreatedResponse({ type: TakeRowView, description: 'With the next number of the shot' })
  create(@Param('shotId', ShotId) shotId: string, @Body() body: CreateTake): Promise<TakeRowView> {
    return this.takes.create(shotId, body);
  }

  @Get('productions/:productionId/takes')
  @ApiQuery({ name: 'search', type: String, required: false, description: 'In slate, title or note' })
  @ApiQuery({ name: 'circled', enum: ['true', 'false'], required: false })
  @ApiQuery({ name: 'simulated', enum: ['true', 'false'], required: false, description: 'By a simulator, or not' })
  @ApiQuery({ name: 'focus', enum: FOCUS_FILTERS, required: false })
  @ApiQuery({ name: 'fault', enum: FAULTS, required: false, description: 'At a pull or elsewhere' })
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
    const yesOrNo = (name: string) => {
      const chosen = choiceFrom(name, query[name], ['true', 'false']);
      return chosen === null ? null : chosen === 'true';
    };
    return this.takes.log(
      productionId,
      {
        search: typeof query['search'] === 'string' ? query['search'].slice(0, 120) : '',
        isCircled: yesOrNo('circled'),
        isSimulated: yesOrNo('simulated'),
        focus: choiceFrom('focus', query['focus'], FOCUS_FILTERS),
        fault: choiceFrom('fault', query['fault'], FAULTS),
        lens: wordFrom(query['lens']),
        method: wordFrom(query['method']),
        puller: wordFrom(query['puller']),
      },
      choiceFrom('order', query['order'], LOG_ORDERS) ?? 'newest',
      { limit: size, offset: (page - 1) * size },
    );
  }

  @Get('productions/:productionId/takes/statistics')
  @ApiQuery({ name: 'simulated', enum: ['true'], required: false, description: 'Takes by a simulator count as well' })
  @ApiOkResponse({ type: StatisticsView })
  statistics(
    @Param('productionId', ProductionId) productionId: string,
    @Query('simulated') simulated: unknown,
  ): Promise<StatisticsView> {
    return this.allStatistics.of(productionId, choiceFrom('simulated', simulated, ['true']) !== null);
  }

  @Get('productions/:productionId/takes/statistics/details')
  @ApiQuery({ name: 'simulated', enum: ['true'], required: false, description: 'Those of a simulator count as well' })
  @ApiOkResponse({ type: StatisticsDetailsView })
  details(
    @Param('productionId', ProductionId) productionId: string,
    @Query('simulated') simulated: unknown,
  ): Promise<StatisticsDetailsView> {
    return this.allStatistics.detailsOf(productionId, choiceFrom('simulated', simulated, ['true']) !== null);
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
  @ApiQuery({ name: 'simulated', enum: ['true'], required: false, description: 'With takes by a simulator' })
  @ApiProduces('application/pdf')
  @Header('Content-Type', 'application/pdf')
  @ApiOkResponse({ description: 'For the editor: which spans to use, what to cut out, and why' })
  async report(
    @Param('productionId', ProductionId) productionId: string,
    @Query() { shot, units, simulated }: Record<string, unknown>,
    @Gone() signal: AbortSignal,
  ): Promise<StreamableFile> {
    const printed = choiceFrom('units', units, UNIT_SYSTEMS) ?? 'metric';
    const withSimulated = choiceFrom('simulated', simulated, ['true']) !== null;
    const pdf = await this.takes.report(productionId, { shotId: shotFrom(shot), units: printed, withSimulated, signal });
    return new StreamableFile(pdf, { type: 'application/pdf' });
  }

  @Get('productions/:productionId/takes/wrap-up')
  @ApiQuery({ name: 'units', enum: UNIT_SYSTEMS, required: false, description: 'Units of distances; default: metric' })
  @ApiOkResponse({ type: [WrapUpView], description: 'What each shot still lacks before anyone leaves, in shooting order' })
  wrapUp(
    @Param('productionId', ProductionId) productionId: string,
    @Query('units') units: unknown,
    @Gone() signal: AbortSignal,
  ): Promise<WrapUpView[]> {
    return this.takes.wrapUp(productionId, choiceFrom('units', units, UNIT_SYSTEMS) ?? 'metric', signal);
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

  @Post('takes/:takeId/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: TakeRowView, description: 'Undoes a deletion' })
  restore(@Param('takeId', TakeId) id: string): Promise<TakeRowView> {
    return this.takes.restore(id);
  }

  @Get('takes/:takeId/revisions')
  @ApiOkResponse({ type: [TakeRevisionView], description: 'What it was before, the last replaced first' })
  revisions(@Param('takeId', TakeId) id: string): Promise<TakeRevisionView[]> {
    return this.takes.revisions(id);
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
