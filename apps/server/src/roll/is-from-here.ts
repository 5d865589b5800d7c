import type { IncomingMessage } from 'node:http';

/** Whether a line was opened by a page of this server, or by something that is no page at all: a page elsewhere on the net has no business here. */
export function isOwnOrigin({ headers }: IncomingMessage): boolean {
  if (headers.origin === undefined) return true;
  try {
    const { hostname } = new URL(headers.origin);
    return hostname === new URL(`http://${headers.host ?? ''}`).hostname;
  } catch {
    return false;
  }
}

/** The same, as the socket's library asks it. */
export function isFromHere(request: IncomingMessage, answer: (error: string | null, isAllowed: boolean) => void): void {
  answer(null, isOwnOrigin(request));
}
