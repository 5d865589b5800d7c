import type { IncomingMessage } from 'node:http';

/** Whether a connection comes from a page of this server, or from a program. Pages of other sites are not allowed. */
export function isOwnOrigin({ headers }: IncomingMessage): boolean {
  if (headers.origin === undefined) return true;
  try {
    const { hostname } = new URL(headers.origin);
    return hostname === new URL(`http://${headers.host ?? ''}`).hostname;
  } catch {
    return false;
  }
}

/** The same check as a callback for the socket library. */
export function isFromHere(request: IncomingMessage, answer: (error: string | null, isAllowed: boolean) => void): void {
  answer(null, isOwnOrigin(request));
}
