import { Controller, Get, Inject, Param, Post, Req, Res } from '@nestjs/common';
import { ApiBadRequestResponse, ApiBody, ApiConsumes, ApiCreatedResponse, ApiNotFoundResponse, ApiTags } from '@nestjs/swagger';
import { ErrorBody, PictureView } from '@still-heron/contract';
import { PICTURE_TYPES } from '@still-heron/core';
import type { Request, Response } from 'express';
import { Gone } from '../http/gone.js';
import { notFound, RequestProblem } from '../http/request-problem.js';
import { isUuid } from '../http/validation.js';
import { PicturesRepository } from './pictures.repository.js';
import { Pool } from '../work/pool.js';
import { isPictureType, READ_PICTURE } from './read-picture.js';

/** Content security policy of a picture opened by itself: no scripts, no external content. */
const HARMLESS = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox";

@ApiTags('pictures')
@ApiBadRequestResponse({ type: ErrorBody })
@Controller('pictures')
export class PicturesController {
  constructor(
    @Inject(PicturesRepository) private readonly pictures: PicturesRepository,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  @Post()
  @ApiConsumes(...PICTURE_TYPES)
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  @ApiCreatedResponse({ type: PictureView })
  async keep(@Req() request: Request, @Gone() signal: AbortSignal): Promise<PictureView> {
    const contents: unknown = request.body;
    if (!isPictureType(request.headers['content-type']) || !Buffer.isBuffer(contents))
      throw RequestProblem.of(415, 'picture', 'not-a-picture', { types: PICTURE_TYPES });
    const picture = await this.pool.run(READ_PICTURE, contents, signal);
    if ('refused' in picture) throw new RequestProblem(picture.refused.status, picture.refused.body);
    const { id, type, widthPx, heightPx } = await this.pictures.keep(contents, picture);
    return { id, type, widthPx, heightPx };
  }

  @Get(':pictureId')
  @ApiNotFoundResponse({ type: ErrorBody })
  async show(@Param('pictureId') id: string, @Res() response: Response): Promise<void> {
    const picture = isUuid(id) ? await this.pictures.find(id) : undefined;
    if (!picture) throw notFound('picture');
    response
      .set('Content-Type', picture.type)
      .set('Content-Security-Policy', HARMLESS)
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .send(Buffer.from(picture.contents));
  }
}
