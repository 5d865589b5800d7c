import { lookup } from 'node:dns/promises';
import type { Server } from 'node:http';
import type { AddressInfo, Socket } from 'node:net';
import { networkInterfaces } from 'node:os';
import { createServer, type Server as TlsServer } from 'node:tls';
import { foreignAddressText, portInUseText } from '@still-heron/wording';
import { isLoopback } from '../http/own-names.js';
import type { Certificate } from './certificate.js';

const LOOPBACK = '127.0.0.1';
const EVERYWHERE = '0.0.0.0';

/** First byte of every encrypted connection. */
const HANDSHAKE = 0x16;
/** Time in which a connection must say something. */
const SILENCE_MS = 20_000;

/**
 * Where connections come in. This machine itself talks to the server as it is; others do so only while the door is open, and encrypted, at the
 * same port.
 */
export class Door {
  private readonly fromNetwork = new Set<Socket>();
  private tls: TlsServer | null = null;
  private usedPort = 0;
  /** The only address of the network that is served; null for all */
  private onlyAddress: string | null = null;

  private readonly serve: (socket: Socket) => void;

  /** @param server - its connections go through this door from now on; it must not listen yet */
  constructor(private readonly server: Server) {
    const [serve] = server.listeners('connection') as ((socket: Socket) => void)[];
    this.serve = serve!.bind(server);
    server.on('listening', () => (this.usedPort = (server.address() as AddressInfo).port));
    server.removeAllListeners('connection').on('connection', (socket: Socket) => this.letIn(socket));
  }

  /** Port at which it listens; while it opens or closes, that at which it did. */
  get port(): number {
    return this.usedPort;
  }

  get isOpen(): boolean {
    return this.tls !== null;
  }

  /** Listens to this machine alone. @throws {Error} if the port is in use */
  async listen(port: number): Promise<void> {
    await this.listenAt(port, LOOPBACK);
  }

  /**
   * Opens the server to the network, or listens to it from the start.
   *
   * @param host - address or name of this machine; `0.0.0.0` for all of them
   * @param port - if it does not listen yet
   * @throws {Error} if the host is not one of this machine, or the port is in use there; it then listens as before
   */
  async open(certificate: Certificate, host = EVERYWHERE, port?: number): Promise<void> {
    const at = await ownAddress(host);
    const wasListening = this.server.listening;
    const usedPort = wasListening ? this.port : (port ?? 0);
    if (wasListening) this.server.close();
    try {
      await this.listenAt(usedPort, at.everywhere);
    } catch (error) {
      if (wasListening) await this.listenAt(usedPort, LOOPBACK);
      throw error;
    }
    this.onlyAddress = at.only;
    const { cert, key } = certificate;
    this.tls = createServer({ cert, key, ALPNProtocols: ['http/1.1'] }, this.serve);
    // a device that does not trust the certificate ends the connection
    this.tls.on('tlsClientError', (_, socket) => socket.destroy());
  }

  /** Listens to this machine alone again, and ends all connections of others. */
  async close(): Promise<void> {
    if (!this.tls) return;
    const { port } = this;
    this.tls = null;
    this.server.close();
    this.turnOut();
    await this.listenAt(port, LOOPBACK);
  }

  /** Ends all connections of other machines. */
  turnOut(): void {
    for (const socket of this.fromNetwork) socket.destroy();
  }

  private letIn(socket: Socket): void {
    const isFromNetwork = !isLoopback(socket.remoteAddress);
    if (!isFromNetwork && !this.tls) return this.serve(socket);
    const isElsewhere = this.onlyAddress !== null && plain(socket.localAddress) !== this.onlyAddress;
    if (!this.tls || (isFromNetwork && isElsewhere)) return void socket.destroy();
    if (isFromNetwork) {
      this.fromNetwork.add(socket);
      socket.once('close', () => this.fromNetwork.delete(socket));
    }
    const { tls } = this;
    const giveUp = () => socket.destroy();
    socket.setTimeout(SILENCE_MS, giveUp);
    // a connection that breaks before it says anything is normal
    socket.once('error', giveUp);
    socket.once('data', (first: Buffer) => {
      socket.off('error', giveUp);
      socket.setTimeout(0, giveUp).off('timeout', giveUp);
      socket.pause();
      socket.unshift(first);
      if (first[0] === HANDSHAKE) tls.emit('connection', socket);
      else this.serve(socket);
      process.nextTick(() => socket.resume());
    });
  }

  private listenAt(port: number, host: string): Promise<void> {
    const { server } = this;
    return new Promise((done, fail) => {
      const onError = (error: NodeJS.ErrnoException) => {
        server.off('listening', onListening);
        fail(error.code === 'EADDRINUSE' ? new Error(portInUseText(port), { cause: error }) : error);
      };
      const onListening = () => {
        server.off('error', onError);
        done();
      };
      server.once('error', onError).once('listening', onListening).listen(port, host);
    });
  }
}

/** What to listen to for an address of this machine, and the one that is meant; null for all. @throws {Error} for that of another machine */
async function ownAddress(host: string): Promise<{ everywhere: string; only: string | null }> {
  const { address, family } = await lookup(host).catch(() => ({ address: '', family: 0 }));
  const everywhere = family === 6 ? '::' : EVERYWHERE;
  if (address === everywhere) return { everywhere, only: null };
  const own = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map((one) => one.address));
  if (!own.includes(address)) throw new Error(foreignAddressText(host));
  return { everywhere, only: address };
}

/** An address of version 4 as such, also where it is written as one of version 6. */
function plain(address: string | undefined): string | undefined {
  return address?.replace(/^::ffff:/, '');
}
