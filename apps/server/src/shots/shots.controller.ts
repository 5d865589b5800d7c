import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiConflictResponse,
  ApiCreatedResponse,
  ApiNoContentResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiQuery,
  ApiTags,
} from '@nestjs/swagger';
import {
  CreateShot,
  ErrorBody,
  NameRevision,
  OrderShots,
  ProductionView,
  RevisionView,
  SaveShot,
  ShotCheckView,
  PLANS_AT_ONCE,
  ShotDocument,
  ShotPlanView,
  ShotRowView,
  ShotView,
} from '@still-heron/contract';
import { notFound } from '../http/request-problem.js';
import { idsFrom, ProductionId, ShotId, versionFrom, wholeNumber } from '../http/validation.js';
import { ShotsService } from './shots.service.js';

@ApiTags('shots')
@ApiBadRequestResponse({ type: ErrorBody })
@ApiNotFoundResponse({ type: ErrorBody })
@Controller()
export class ShotsController {
  constructor(@Inject(ShotsService) private readonly shots: ShotsService) {}

  @Get('productions/:productionId/shots')
  @ApiOkResponse({ type: [ShotView] })
  inOrder(@Param('productionId', ProductionId) productionId: string): Promise<ShotView[]> {
    return this.shots.inOrder(productionId);
  }

  @Get('productions/:productionId/shot-rows')
  @ApiOkResponse({ type: [ShotRowView], description: 'In shooting order, without their plans' })
  rows(@Param('productionId', ProductionId) productionId: string): Promise<ShotRowView[]> {
    return this.shots.rows(productionId);
  }

  @Get('productions/:productionId/plans')
  @ApiOkResponse({ type: [ShotPlanView], description: 'Plans of some shots of the production. A shot that is gone is left out' })
  @ApiQuery({ name: 'shots', type: String, description: `Ids of at most ${PLANS_AT_ONCE} shots, with commas between` })
  plans(@Param('productionId', ProductionId) productionId: string, @Query('shots') ids: unknown): Promise<ShotPlanView[]> {
    return this.shots.plans(productionId, idsFrom('shots', ids, PLANS_AT_ONCE));
  }

  @Post('productions/:productionId/shots')
  @ApiCreatedResponse({ type: ShotView })
  create(@Param('productionId', ProductionId) productionId: string, @Body() body: CreateShot): Promise<ShotView> {
    return this.shots.create(productionId, body);
  }

  @Put('productions/:productionId/order')
  @ApiOkResponse({ type: ProductionView })
  @ApiConflictResponse({ type: ErrorBody })
  order(@Param('productionId', ProductionId) productionId: string, @Body() body: OrderShots): Promise<ProductionView> {
    return this.shots.order(productionId, body);
  }

  @Get('shots/:shotId')
  @ApiOkResponse({ type: ShotView })
  find(@Param('shotId', ShotId) id: string): Promise<ShotView> {
    return this.shots.find(id);
  }

  @Put('shots/:shotId')
  @ApiOkResponse({ type: ShotView })
  @ApiConflictResponse({ type: ErrorBody, description: 'With the stored shot' })
  save(@Param('shotId', ShotId) id: string, @Body() body: SaveShot): Promise<ShotView> {
    return this.shots.save(id, body);
  }

  @Delete('shots/:shotId')
  @HttpCode(204)
  @ApiNoContentResponse()
  @ApiConflictResponse({ type: ErrorBody, description: 'With the stored shot' })
  @ApiQuery({ name: 'version', type: Number })
  async remove(@Param('shotId', ShotId) id: string, @Query('version') version: unknown): Promise<void> {
    await this.shots.remove(id, versionFrom(version));
  }

  @Post('shots/:shotId/duplicate')
  @ApiCreatedResponse({ type: ShotView })
  duplicate(@Param('shotId', ShotId) id: string): Promise<ShotView> {
    return this.shots.duplicate(id);
  }

  @Post('shots/:shotId/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: ShotView, description: 'Undoes a deletion' })
  restore(@Param('shotId', ShotId) id: string): Promise<ShotView> {
    return this.shots.restore(id);
  }

  @Get('shots/:shotId/check')
  @ApiOkResponse({ type: ShotCheckView, description: 'Why a stored shot can’t be shown, and what could be shown in its place' })
  check(@Param('shotId', ShotId) id: string): Promise<ShotCheckView> {
    return this.shots.check(id);
  }

  @Get('shots/:shotId/revisions')
  @ApiOkResponse({ type: [RevisionView], description: 'Newest first' })
  revisions(@Param('shotId', ShotId) id: string): Promise<RevisionView[]> {
    return this.shots.revisions(id);
  }

  @Get('shots/:shotId/revisions/:version')
  @ApiOkResponse({ type: ShotDocument })
  revision(@Param('shotId', ShotId) id: string, @Param('version') version: string): Promise<ShotDocument> {
    const number = wholeNumber(version);
    if (number === null) throw notFound('revision');
    return this.shots.revision(id, number);
  }

  @Put('shots/:shotId/revisions/:version/name')
  @ApiOkResponse({ type: RevisionView, description: 'A named version is kept' })
  nameRevision(
    @Param('shotId', ShotId) id: string,
    @Param('version') version: string,
    @Body() { name }: NameRevision,
  ): Promise<RevisionView> {
    const number = wholeNumber(version);
    if (number === null) throw notFound('revision');
    return this.shots.nameRevision(id, number, name);
  }
}
