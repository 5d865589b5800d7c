import type { IncomingMessage } from 'node:http';
import type { Socket } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import type { NextFunction, Request, Response } from 'express';
import { RequestProblem } from './request-problem.js';

/** Names of this machine for itself: all that a request may use while the server is not open to the network. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/**
 * What is wrong with where a request is sent to, or comes from. A page of another site can let a browser send requests to this machine, also
 * under a name of its own; they are recognised by `Origin` and by `Host`. Both must be a name of this machine with the port of this server. A
 * program that is no browser sends no `Origin`.
 *
 * @returns null for a request of this server's own pages, or of a program that calls it by its name
 */
export function foreignProblem({ headers, socket }: Pick<IncomingMessage, 'headers' | 'socket'>): RequestProblem | null {
  const port = String(socket.localPort);
  const names = ownNames(socket.localAddress);
  const [scheme, usualPort] = isEncrypted(socket) ? ['https', '443'] : ['http', '80'];
  const isOwn = (address: string) => {
    const url = readAddress(address);
    return url !== null && url.protocol === `${scheme}:` && names.includes(url.hostname) && (url.port || usualPort) === port;
  };
  if (headers.host === undefined || !isOwn(`${scheme}://${headers.host}`))
    return RequestProblem.of(421, 'host', 'foreign-host', { given: headers.host ?? '', own: `localhost:${port}` });
  if (headers.origin !== undefined && !isOwn(headers.origin))
    return RequestProblem.of(403, 'origin', 'foreign-origin', { given: headers.origin });
  return null;
}

/** Refuses requests that are sent to another name, or by a page of another site, before anything reads them. */
export function ownRequestsOnly(request: Request, response: Response, next: NextFunction): void {
  const refused = foreignProblem(request);
  if (refused) response.status(refused.status).json(refused.body);
  else next();
}

/** Whether an address is one that only this machine itself can use. */
export function isLoopback(address: string | undefined): boolean {
  return address !== undefined && /^(::ffff:)?127\.|^::1$/.test(address);
}

/** Whether a connection is encrypted. */
export function isEncrypted(socket: Socket): boolean {
  return 'encrypted' in socket && socket.encrypted === true;
}

/** Names of this machine for a connection that came in at one of its addresses, as `URL` writes them. */
function ownNames(localAddress: string | undefined): readonly string[] {
  // a connection to the loopback address comes from this machine
  if (isLoopback(localAddress)) return LOOPBACK;
  const machine = hostname().toLowerCase();
  const addresses = Object.values(networkInterfaces()).flatMap((all) => all ?? []);
  return [
    ...LOOPBACK,
    ...(machine === '' ? [] : [machine, machine.endsWith('.local') ? machine : `${machine}.local`]),
    ...addresses.flatMap(
      ({ address, family }) => readAddress(family === 'IPv6' ? `http://[${address}]` : `http://${address}`)?.hostname ?? [],
    ),
  ];
}

function readAddress(address: string): URL | null {
  try {
    return new URL(address);
  } catch {
    return null;
  }
}
