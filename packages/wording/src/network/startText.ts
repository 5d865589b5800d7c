/** Told at the start of a server that is open to the network. @param addresses - at which other devices reach it */
export function openStartText(code: string, addresses: readonly string[]): string {
  if (addresses.length === 0) return 'It is open to the network, but this machine is in none.';
  return [`Other devices reach it with the crew code ${code}, at`, ...addresses.map((address) => `  ${address}`)].join('\n');
}

/** Told at the start, below the code for cameras. */
export function fingerprintText(fingerprint: string): string {
  return `Each device warns once, because this machine has made its own certificate. Its SHA-256 fingerprint is\n  ${fingerprint}`;
}

export function portInUseText(port: number): string {
  return `Port ${port} is in use. Stop the program that uses it, or set PORT to another one.`;
}

/** Told at a start with a HOST of another machine. */
export function foreignAddressText(host: string): string {
  return `HOST: ${host} is no address of this machine; need one of its own, or 0.0.0.0 for all of them`;
}

/** Told when the configured certificate can't be used. */
export function badCertificateText(certFile: string, keyFile: string, reason: string): string {
  return `The certificate ${certFile} can’t be used with the key ${keyFile}: ${reason}. Both must be PEM files that belong together.`;
}

const CODE_MARK = '#crew-code=';

/** Address that brings the code with it. The part behind the mark is not sent to any server, and the page takes it out of its address. */
export function entryAddress(address: string, code: string): string {
  return `${address}/${CODE_MARK}${code}`;
}

/** The code that an address brings with it; null if it brings none. @param hash - part of the address from its # */
export function codeInAddress(hash: string): string | null {
  return hash.startsWith(CODE_MARK) ? hash.slice(CODE_MARK.length) : null;
}
