import { networkInterfaces } from 'node:os';

/**
 * Addresses of this machine in its networks, at which others reach it.
 *
 * @param isAll - also those of version 6, where there are some of version 4
 */
export function ownAddresses(isAll = false): string[] {
  const outer = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).filter(({ internal }) => !internal));
  const v4 = outer.filter(({ family }) => family === 'IPv4');
  const v6 = outer.filter(({ family, scopeid }) => family === 'IPv6' && !scopeid);
  const found = [...v4, ...(isAll || v4.length === 0 ? v6 : [])];
  return [...new Set(found.map(({ address }) => address))];
}

/** An address of the server as a browser wants it. */
export function webAddress(address: string, port: number): string {
  return `https://${address.includes(':') ? `[${address}]` : address}:${port}`;
}
