import { networkInterfaces } from 'node:os';

/** Addresses of this machine in its networks, at which others reach it: those of version 4, or else those of version 6. */
export function ownAddresses(): string[] {
  const outer = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).filter(({ internal }) => !internal));
  const v4 = outer.filter(({ family }) => family === 'IPv4');
  const v6 = outer.filter(({ family, scopeid }) => family === 'IPv6' && !scopeid);
  return [...new Set((v4.length > 0 ? v4 : v6).map(({ address }) => address))];
}

/** An address of the server as a browser wants it. */
export function webAddress(address: string, port: number): string {
  return `https://${address.includes(':') ? `[${address}]` : address}:${port}`;
}
