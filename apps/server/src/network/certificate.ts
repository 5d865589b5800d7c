import { X509Certificate } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { createSecureContext } from 'node:tls';
import { badCertificateText } from '@still-heron/wording';
import type { Config } from '../config.js';
import { ownAddresses } from './addresses.js';
import { writeSecret } from './crewFile.js';

/** Certificate of the server with its key, both as PEM. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
  /** SHA-256, as browsers show it */
  readonly fingerprint: string;
  /** Made by this program; devices warn of it */
  readonly isOwn: boolean;
}

const CERTIFICATE_FILE = 'certificate.pem';
const KEY_FILE = 'certificate-key.pem';

/** Devices refuse certificates that are valid longer than 825 days. */
const VALID_DAYS = 800;
const RENEWED_BEFORE_DAYS = 30;
const DAY_MS = 24 * 3_600_000;

/**
 * The certificate that is configured; else the program's own, which is made when it is needed first and kept in the data folder.
 *
 * @throws {Error} for a configured one that can't be read or used
 */
export async function readCertificate({
  certificate,
  dataFolder,
}: Pick<Config, 'certificate' | 'dataFolder'>): Promise<Certificate> {
  if (certificate) return readGiven(certificate);
  const [certPath, keyPath] = [join(dataFolder, CERTIFICATE_FILE), join(dataFolder, KEY_FILE)];
  const kept = existsSync(certPath) && existsSync(keyPath) ? readOwn(certPath, keyPath) : null;
  if (kept) return kept;
  const made = await makeOwn();
  writeSecret(keyPath, made.private);
  writeSecret(certPath, made.cert);
  return described(made.cert, made.private, true);
}

function readGiven({ certFile, keyFile }: NonNullable<Config['certificate']>): Certificate {
  try {
    return described(readFileSync(certFile, 'utf8'), readFileSync(keyFile, 'utf8'), false);
  } catch (error) {
    throw new Error(badCertificateText(certFile, keyFile, (error as Error).message), { cause: error });
  }
}

/** The kept certificate; null if it can't be used, or not for much longer. */
function readOwn(certPath: string, keyPath: string): Certificate | null {
  try {
    const cert = readFileSync(certPath, 'utf8');
    const endsMs = Date.parse(new X509Certificate(cert).validTo);
    if (endsMs - Date.now() < RENEWED_BEFORE_DAYS * DAY_MS) return null;
    return described(cert, readFileSync(keyPath, 'utf8'), true);
  } catch {
    return null;
  }
}

/** @throws {Error} if certificate and key do not belong together */
function described(cert: string, key: string, isOwn: boolean): Certificate {
  createSecureContext({ cert, key });
  return { cert, key, fingerprint: new X509Certificate(cert).fingerprint256, isOwn };
}

/** A certificate for this machine's names. It is its own authority, because devices let a person trust only authorities. */
async function makeOwn() {
  // needed once in a long time
  const { generate } = await import('selfsigned');
  const machine = hostname();
  const names = ['localhost', machine, `${machine.replace(/\.local$/i, '')}.local`].filter((name) => /^[a-z\d.-]+$/i.test(name));
  return generate([{ name: 'commonName', value: `Still Heron on ${machine}`.slice(0, 64) }], {
    keyType: 'ec',
    curve: 'P-256',
    algorithm: 'sha256',
    notBeforeDate: new Date(Date.now() - DAY_MS),
    notAfterDate: new Date(Date.now() + VALID_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', digitalSignature: true, keyCertSign: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          ...[...new Set(names)].map((value) => ({ type: 2 as const, value })),
          ...ownAddresses().map((ip) => ({ type: 7 as const, ip })),
        ],
      },
    ],
  });
}
