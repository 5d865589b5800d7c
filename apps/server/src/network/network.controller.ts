import { Body, Controller, Get, HttpCode, Inject, Post, Req, Res, StreamableFile } from '@nestjs/common';
import {
  ApiForbiddenResponse,
  ApiNoContentResponse,
  ApiOkResponse,
  ApiProduces,
  ApiTags,
  ApiTooManyRequestsResponse,
} from '@nestjs/swagger';
import { EnterCrewCode, ErrorBody, NetworkView } from '@still-heron/contract';
import type { Request, Response } from 'express';
import { notFound, RequestProblem } from '../http/request-problem.js';
import { COOKIE_DAYS, isFromHere, NetworkService } from './network.service.js';

@ApiTags('network')
@Controller('network')
export class NetworkController {
  constructor(@Inject(NetworkService) private readonly network: NetworkService) {}

  @Get()
  @ApiOkResponse({ type: NetworkView })
  view(@Req() request: Request): NetworkView {
    return this.network.view(request);
  }

  @Post('enter')
  @HttpCode(204)
  @ApiNoContentResponse({ description: 'The device is in; a cookie keeps it in' })
  @ApiForbiddenResponse({ type: ErrorBody, description: 'Another code' })
  @ApiTooManyRequestsResponse({ type: ErrorBody })
  async enter(
    @Body() { code }: EnterCrewCode,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    const value = await this.network.enter(code, request);
    // only an encrypted connection keeps it
    response.cookie(this.network.cookieName, value, {
      httpOnly: true,
      sameSite: 'strict',
      secure: true,
      path: '/',
      maxAge: COOKIE_DAYS * 24 * 3_600_000,
    });
  }

  @Post('open')
  @HttpCode(200)
  @ApiOkResponse({ type: NetworkView, description: 'Other devices come in with the crew code' })
  @ApiForbiddenResponse({ type: ErrorBody, description: 'Only on the machine of the server' })
  async open(@Req() request: Request): Promise<NetworkView> {
    onlyHere(request);
    await this.network.open();
    return this.network.view(request);
  }

  @Post('close')
  @HttpCode(200)
  @ApiOkResponse({ type: NetworkView, description: 'All other devices are turned out' })
  @ApiForbiddenResponse({ type: ErrorBody, description: 'Only on the machine of the server' })
  async close(@Req() request: Request): Promise<NetworkView> {
    onlyHere(request);
    await this.network.close();
    return this.network.view(request);
  }

  @Post('code')
  @HttpCode(200)
  @ApiOkResponse({ type: NetworkView, description: 'A new crew code; all other devices are turned out' })
  @ApiForbiddenResponse({ type: ErrorBody, description: 'Only on the machine of the server' })
  changeCode(@Req() request: Request): NetworkView {
    onlyHere(request);
    this.network.changeCode();
    return this.network.view(request);
  }

  @Get('certificate')
  @ApiProduces('application/x-x509-ca-cert')
  @ApiOkResponse({ description: 'For a device that is to trust it' })
  certificate(): StreamableFile {
    const cert = this.network.ownCertificate;
    if (cert === null) throw notFound('certificate');
    return new StreamableFile(Buffer.from(cert), {
      type: 'application/x-x509-ca-cert',
      disposition: 'attachment; filename="still-heron.crt"',
    });
  }
}

/** @throws {RequestProblem} 403 for a request of another device */
function onlyHere(request: Request): void {
  if (!isFromHere(request)) throw RequestProblem.of(403, '', 'only-here', {});
}
