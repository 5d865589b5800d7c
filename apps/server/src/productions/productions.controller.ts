import { Body, Controller, Get, Inject, Param, Patch, Post } from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiConflictResponse,
  ApiCreatedResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiTags,
} from '@nestjs/swagger';
import { ChangeProduction, CreateProduction, ErrorBody, ProductionView } from '@still-heron/contract';
import { ProductionId } from '../http/validation.js';
import { ProductionsService } from './productions.service.js';

@ApiTags('productions')
@ApiBadRequestResponse({ type: ErrorBody })
@Controller('productions')
export class ProductionsController {
  constructor(@Inject(ProductionsService) private readonly productions: ProductionsService) {}

  @Get()
  @ApiOkResponse({ type: [ProductionView] })
  all(): Promise<ProductionView[]> {
    return this.productions.all();
  }

  @Post()
  @ApiCreatedResponse({ type: ProductionView })
  create(@Body() body: CreateProduction): Promise<ProductionView> {
    return this.productions.create(body.name);
  }

  @Get(':productionId')
  @ApiOkResponse({ type: ProductionView })
  @ApiNotFoundResponse({ type: ErrorBody })
  find(@Param('productionId', ProductionId) id: string): Promise<ProductionView> {
    return this.productions.find(id);
  }

  @Patch(':productionId')
  @ApiOkResponse({ type: ProductionView })
  @ApiNotFoundResponse({ type: ErrorBody })
  @ApiConflictResponse({ type: ErrorBody })
  change(@Param('productionId', ProductionId) id: string, @Body() body: ChangeProduction): Promise<ProductionView> {
    return this.productions.change(id, body);
  }
}
