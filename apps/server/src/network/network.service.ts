import { type BeforeApplicationShutdown, Inject, Injectable } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import type { NetworkView } from '@still-heron/contract';
import { parse } from 'cookie';
import { sign, unsign } from 'cookie-signature';
import type { IncomingMessage, Server } from 'node:http';
import { lookup } from 'node:dns/promises';
import { entryAddress, fingerprintText, foreignAddressText, openStartText } from '@still-heron/wording';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { renderUnicodeCompact } from 'uqr';
import { CONFIG, type Config } from '../config.js';
import { foreignProblem, isEncrypted, isLoopback } from '../http/own-names.js';
import { RequestProblem } from '../http/request-problem.js';
import { ownAddresses, webAddress } from './addresses.js';
import { type Certificate, readCertificate } from './certificate.js';
import { isSameCode } from './crewCode.js';
import { type Crew, newEntry, readCrew, writeCrew } from './crewFile.js';
import { Door } from './door.js';

/** What HOST is for all addresses of this machine. */
const EVERYWHERE = '0.0.0.0';
const EVERYWHERE_6 = '::';

/** How long a device stays in without the code. */
export const COOKIE_DAYS = 180;
const DAY_MS = 24 * 3_600_000;

/** Codes that one address may try in a minute, and all of them together. */
const TRIES = { perAddress: 5, all: 60, seconds: 60 };

/** Opens the server to the network, and lets in who knows the crew code. For this machine itself nothing is asked. */
@Injectable()
export class NetworkService implements BeforeApplicationShutdown {
  private crew: Crew;
  private certificate: Certificate | null = null;
  private readonly door: Door;
  /** Opening and closing, one at a time */
  private turn: Promise<unknown> = Promise.resolve();
  private readonly triesOfOne = new RateLimiterMemory({ points: TRIES.perAddress, duration: TRIES.seconds });
  private readonly triesOfAll = new RateLimiterMemory({ points: TRIES.all, duration: TRIES.seconds });

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(HttpAdapterHost) host: HttpAdapterHost,
  ) {
    this.crew = readCrew(config.dataFolder);
    this.door = new Door(() => host.httpAdapter.getHttpServer() as Server);
  }

  /** Opens the server once it listens, if HOST or a person has said so. @throws {Error} with what can be done about it */
  async openAtStart(): Promise<void> {
    const { host } = this.config;
    const address = host === null ? null : await addressOf(host);
    const isOpen = host === null ? this.crew.isOpen : !isLoopback(address ?? undefined);
    if (isOpen) await this.door.open(await this.readCertificate(), address === EVERYWHERE ? null : address);
  }

  /** Nobody comes in while the server stops. */
  beforeApplicationShutdown(): void {
    this.door.close();
  }

  get port(): number {
    return this.door.port;
  }

  /** What a terminal shows of the way in, with a picture of the address and the code for cameras; null while it is closed. */
  told(): string | null {
    if (!this.door.isOpen) return null;
    const { code } = this.crew;
    const addresses = this.addresses();
    const picture = addresses[0] === undefined ? [] : [renderUnicodeCompact(entryAddress(addresses[0], code))];
    const { fingerprint, isOwn } = this.certificate!;
    return [openStartText(code, addresses), ...picture, ...(isOwn ? [fingerprintText(fingerprint)] : [])].join('\n');
  }

  view(request: IncomingMessage): NetworkView {
    const { isOpen } = this.door;
    return {
      isOpen,
      isHere: isFromHere(request),
      code: isOpen ? this.crew.code : null,
      addresses: isOpen ? this.addresses() : [],
      fingerprint: isOpen ? (this.certificate?.fingerprint ?? null) : null,
      isOwnCertificate: this.certificate?.isOwn ?? true,
    };
  }

  open(): Promise<void> {
    return this.inTurn(async () => {
      if (!this.door.isOpen) await this.door.open(await this.readCertificate(), null);
      this.keep({ ...this.crew, isOpen: true });
    });
  }

  close(): Promise<void> {
    return this.inTurn(async () => {
      this.door.close();
      this.keep({ ...this.crew, isOpen: false });
    });
  }

  /** Makes a new code. Everyone who came in with the old one is turned out. */
  changeCode(): void {
    this.keep({ ...this.crew, ...newEntry() });
    this.door.turnOut();
  }

  /**
   * Checks a code that a device gives.
   *
   * @returns value of the cookie that keeps the device in
   * @throws {RequestProblem} 403 for a wrong code, 429 after too many of them
   */
  async enter(code: string, { socket }: IncomingMessage): Promise<string> {
    const address = socket.remoteAddress ?? '';
    // every try counts before it is looked at, so that many at once are no way round
    await this.triesOfAll.consume('all').catch(tooMany);
    await this.triesOfOne.consume(address).catch(tooMany);
    if (!isSameCode(code, this.crew.code)) throw RequestProblem.of(403, 'code', 'wrong-crew-code', {});
    await this.triesOfOne.delete(address);
    return sign(String(Date.now()), this.crew.key);
  }

  get cookieName(): string {
    return `__Host-still-heron-${this.port}`;
  }

  /** Why a request is not let in: it is not for this server, not encrypted, or of a device that has not given the code. */
  refusalOf(request: IncomingMessage): RequestProblem | null {
    const foreign = foreignProblem(request);
    if (foreign || isFromHere(request)) return foreign;
    if (!isEncrypted(request.socket)) return RequestProblem.of(403, '', 'needs-https', {});
    return this.hasEntered(request) ? null : RequestProblem.of(401, '', 'needs-crew-code', {});
  }

  private addresses(): string[] {
    const { addresses, port } = this.door;
    return addresses.map((address) => webAddress(address, port));
  }

  private inTurn(act: () => Promise<void>): Promise<void> {
    const done = this.turn.then(act);
    this.turn = done.catch(() => undefined);
    return done;
  }

  private hasEntered({ headers }: IncomingMessage): boolean {
    const cookie = parse(headers.cookie ?? '')[this.cookieName];
    const enteredMs = cookie === undefined ? false : unsign(cookie, this.crew.key);
    return enteredMs !== false && Date.now() - Number(enteredMs) < COOKIE_DAYS * DAY_MS;
  }

  /** The certificate as PEM, if this program has made it; null if it has not. */
  get ownCertificate(): string | null {
    return this.certificate?.isOwn ? this.certificate.cert : null;
  }

  private async readCertificate(): Promise<Certificate> {
    return (this.certificate ??= await readCertificate(this.config));
  }

  private keep(crew: Crew): void {
    writeCrew(this.config.dataFolder, crew);
    this.crew = crew;
  }
}

/** Whether a request comes from the machine of the server. */
export function isFromHere({ socket }: Pick<IncomingMessage, 'socket'>): boolean {
  return isLoopback(socket.remoteAddress);
}

/** The address that HOST means. @throws {Error} for one of another machine */
async function addressOf(host: string): Promise<string> {
  const { address } = await lookup(host).catch(() => ({ address: '' }));
  const isOwn = [EVERYWHERE, EVERYWHERE_6].includes(address) || isLoopback(address) || ownAddresses(true).includes(address);
  if (!isOwn) throw new Error(foreignAddressText(host));
  return address === EVERYWHERE_6 ? EVERYWHERE : address;
}

function tooMany(limit: unknown): never {
  if (!(limit instanceof RateLimiterRes)) throw limit;
  throw RequestProblem.of(429, 'code', 'too-many-codes', { waitS: Math.ceil(limit.msBeforeNext / 1000) });
}
