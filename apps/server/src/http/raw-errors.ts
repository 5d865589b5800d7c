import { type IncomingMessage, type Server, type ServerResponse, STATUS_CODES } from 'node:http';
import type { Duplex } from 'node:stream';
import { RequestProblem } from './request-problem.js';

/** Addresses at which a connection can become a WebSocket. */
export const LIVE_ADDRESS = '/api/live';
export const DEVICES_ADDRESS = '/api/devices';

/**
 * Answers what never reaches the framework in the same form as any other error: requests that can't be read, are too large or too slow, or want
 * something of the connection that this server does not do.
 */
export function answerRawErrors(server: Server): void {
  // a request without Host is answered like one with a wrong one
  (server as Server & { requireHostHeader: boolean }).requireHostHeader = false;
  server.on('clientError', (error: NodeJS.ErrnoException, socket: Duplex) => refuseConnection(socket, problemOfParser(error)));
  server.on('checkExpectation', (request: IncomingMessage, response: ServerResponse) => {
    const { status, body } = RequestProblem.of(417, 'expect', 'unknown-expectation', { given: request.headers.expect ?? '' });
    const text = JSON.stringify(body);
    response.writeHead(status, headersOf(text)).end(text);
  });
  server.on('upgrade', (request: IncomingMessage, socket: Duplex) => {
    const given = request.headers.upgrade ?? '';
    if (isLiveAddress(request.url ?? '') && given.toLowerCase() === 'websocket') return;
    refuseConnection(socket, RequestProblem.of(400, 'upgrade', 'unknown-upgrade', { given }));
  });
}

function isLiveAddress(url: string): boolean {
  const path = url.split('?')[0]!;
  return path === DEVICES_ADDRESS || path === LIVE_ADDRESS || path.startsWith(`${LIVE_ADDRESS}/`);
}

function problemOfParser({ code, message }: NodeJS.ErrnoException): RequestProblem {
  if (code === 'HPE_HEADER_OVERFLOW') return RequestProblem.of(431, '', 'headers-too-large', {});
  if (code === 'ERR_HTTP_REQUEST_TIMEOUT') return RequestProblem.of(408, '', 'too-slow', {});
  return RequestProblem.of(400, '', 'unreadable', { reason: message });
}

/** Answers on a connection that is not the framework's, and ends it. */
export function refuseConnection(socket: Duplex, { status, body }: RequestProblem): void {
  if (!socket.writable) return void socket.destroy();
  const text = JSON.stringify(body);
  const headers = Object.entries(headersOf(text)).map(([name, value]) => `${name}: ${value}`);
  socket.on('error', () => socket.destroy());
  socket.end([`HTTP/1.1 ${status} ${STATUS_CODES[status]}`, ...headers, '', text].join('\r\n'));
}

function headersOf(text: string) {
  return {
    'Content-Type': 'application/json; charset=utf-8',
    'Content-Length': Buffer.byteLength(text),
    Connection: 'close',
  };
}
