import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Injectable,
  Param,
  type PipeTransform,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiConflictResponse,
  ApiCreatedResponse,
  ApiNoContentResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiParam,
  ApiQuery,
  ApiTags,
} from '@nestjs/swagger';
import { CreateKitItem, ErrorBody, KitFile, KitImportView, KitItemView, SaveKitItem } from '@still-heron/contract';
import { KIT_KINDS, type KitKind } from '@still-heron/core';
import { notFound } from '../http/request-problem.js';
import { KitItemId, versionFrom } from '../http/validation.js';
import { KitService } from './kit.service.js';

/** A kind of kit in an address. */
@Injectable()
class KindOfKit implements PipeTransform<string, KitKind> {
  transform(value: string): KitKind {
    const kind = KIT_KINDS.find((known) => known === value);
    if (!kind) throw notFound('kind of kit');
    return kind;
  }
}

const Kind = () => Param('kind', KindOfKit);
const ItemId = () => Param('itemId', KitItemId);

@ApiTags('kit')
@ApiBadRequestResponse({ type: ErrorBody })
@ApiNotFoundResponse({ type: ErrorBody })
@Controller('kit')
export class KitController {
  constructor(@Inject(KitService) private readonly kit: KitService) {}

  @Get('export')
  @ApiOkResponse({ type: KitFile, description: 'The whole kit as a file' })
  export(): Promise<KitFile> {
    return this.kit.export();
  }

  @Post('import')
  @HttpCode(200)
  @ApiOkResponse({ type: KitImportView })
  import(@Body() file: KitFile): Promise<KitImportView> {
    return this.kit.import(file);
  }

  @Get(':kind')
  @ApiParam({ name: 'kind', enum: KIT_KINDS })
  @ApiOkResponse({ type: [KitItemView] })
  byName(@Kind() kind: KitKind): Promise<KitItemView[]> {
    return this.kit.byName(kind);
  }

  @Post(':kind')
  @ApiParam({ name: 'kind', enum: KIT_KINDS })
  @ApiCreatedResponse({ type: KitItemView })
  create(@Kind() kind: KitKind, @Body() { item }: CreateKitItem): Promise<KitItemView> {
    return this.kit.create(kind, item);
  }

  @Get(':kind/:itemId')
  @ApiParam({ name: 'kind', enum: KIT_KINDS })
  @ApiOkResponse({ type: KitItemView })
  find(@Kind() kind: KitKind, @ItemId() id: string): Promise<KitItemView> {
    return this.kit.find(kind, id);
  }

  @Put(':kind/:itemId')
  @ApiParam({ name: 'kind', enum: KIT_KINDS })
  @ApiOkResponse({ type: KitItemView })
  @ApiConflictResponse({ type: ErrorBody, description: 'With the stored item' })
  save(@Kind() kind: KitKind, @ItemId() id: string, @Body() body: SaveKitItem): Promise<KitItemView> {
    return this.kit.save(kind, id, body);
  }

  @Delete(':kind/:itemId')
  @HttpCode(204)
  @ApiParam({ name: 'kind', enum: KIT_KINDS })
  @ApiNoContentResponse()
  @ApiConflictResponse({ type: ErrorBody, description: 'With the stored item' })
  @ApiQuery({ name: 'version', type: Number })
  async remove(@Kind() kind: KitKind, @ItemId() id: string, @Query('version') version: unknown): Promise<void> {
    await this.kit.remove(kind, id, versionFrom(version));
  }

  @Post(':kind/:itemId/restore')
  @HttpCode(200)
  @ApiParam({ name: 'kind', enum: KIT_KINDS })
  @ApiOkResponse({ type: KitItemView, description: 'Undoes a deletion' })
  restore(@Kind() kind: KitKind, @ItemId() id: string): Promise<KitItemView> {
    return this.kit.restore(kind, id);
  }
}
