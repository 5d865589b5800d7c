import { IoAdapter } from '@nestjs/platform-socket.io';
import type { INestApplicationContext } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import type { IncomingMessage } from 'node:http';
import type { ServerOptions } from 'socket.io';
import { ENTRANCE } from '../http/changes.js';
import { isEncrypted } from '../http/own-names.js';
import { isFromHere, type NetworkService } from './network.service.js';

/** Sends a browser of another machine that has asked in plain to the encrypted address. */
export function encryptedOnly(request: Request, response: Response, next: NextFunction): void {
  const isPlain = !isFromHere(request) && !isEncrypted(request.socket);
  const isReading = request.method === 'GET' || request.method === 'HEAD';
  const { localPort } = request.socket;
  if (isPlain && isReading)
    response.redirect(308, `https://${request.host.replace(/:\d+$/, '')}:${localPort}${request.originalUrl}`);
  else next();
}

/** Refuses requests of devices that have not given the crew code; they can give it. */
export function admittedOnly(network: NetworkService) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const refused = network.refusalOf(request);
    const isEntering = refused?.status === 401 && request.method === 'POST' && request.path === ENTRANCE;
    if (refused && !isEntering) response.status(refused.status).json(refused.body);
    else next();
  };
}

/** Live connections by the same rule. */
export class AdmittingAdapter extends IoAdapter {
  constructor(
    app: INestApplicationContext,
    private readonly network: NetworkService,
  ) {
    super(app);
  }

  override createIOServer(port: number, options?: ServerOptions): unknown {
    const allowRequest = (request: IncomingMessage, answer: (error: string | null, isAllowed: boolean) => void) =>
      answer(null, this.network.refusalOf(request) === null);
    return super.createIOServer(port, { ...options, allowRequest } as ServerOptions);
  }
}
