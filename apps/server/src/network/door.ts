import type { Server } from 'node:http';
import { type AddressInfo, createServer, type Server as Listener, type Socket } from 'node:net';
import { createServer as createTlsServer, type Server as TlsServer } from 'node:tls';
import { portInUseText } from '@still-heron/wording';
import { ownAddresses } from './addresses.js';
import type { Certificate } from './certificate.js';

/** First byte of every encrypted connection. */
const HANDSHAKE = 0x16;
/** Time in which a connection must say something. */
const SILENCE_MS = 20_000;
/** How often the addresses of this machine are looked at: it may join another network. */
const LOOK_MS = 5000;

/**
 * The way in for other machines: the server's port at the addresses that this machine has in its networks. Encrypted connections are served; a
 * plain one is served too, so that it can be told where to go.
 */
export class Door {
  private readonly listeners = new Map<string, Listener>();
  private readonly sockets = new Set<Socket>();
  private timer: ReturnType<typeof setInterval> | undefined;
  private tls: TlsServer | null = null;
  /** The only address that is opened; null for all */
  private only: string | null = null;

  /** @param serverOf - the server, which listens to this machine alone and goes on doing so */
  constructor(private readonly serverOf: () => Server) {}

  get isOpen(): boolean {
    return this.tls !== null;
  }

  private get server(): Server {
    return this.serverOf();
  }

  get port(): number {
    return (this.server.address() as AddressInfo).port;
  }

  /** Addresses at which other machines come in now. */
  get addresses(): readonly string[] {
    return [...this.listeners.keys()];
  }

  /**
   * Opens it, also in networks that this machine joins later.
   *
   * @param only - address of this machine, for that one alone
   * @throws {Error} if the port is in use at an address; it is closed then
   */
  async open({ cert, key }: Certificate, only: string | null): Promise<void> {
    this.only = only;
    this.tls = createTlsServer({ cert, key, ALPNProtocols: ['http/1.1'] }, (socket) => this.server.emit('connection', socket));
    // a device that does not trust the certificate ends the connection
    this.tls.on('tlsClientError', (_, socket) => socket.destroy());
    try {
      await this.follow();
    } catch (error) {
      this.close();
      throw error;
    }
    this.timer = setInterval(() => void this.follow().catch(() => undefined), LOOK_MS).unref();
  }

  /** Closes it, and ends all connections of other machines. */
  close(): void {
    clearInterval(this.timer);
    this.tls = null;
    for (const listener of this.listeners.values()) listener.close();
    this.listeners.clear();
    this.turnOut();
  }

  /** Ends all connections of other machines. */
  turnOut(): void {
    for (const socket of this.sockets) socket.destroy();
  }

  /** Listens at the addresses that this machine has now, and no longer at those that it had. */
  private async follow(): Promise<void> {
    const wanted = this.only === null ? ownAddresses() : ownAddresses(true).filter((address) => address === this.only);
    for (const [address, listener] of this.listeners)
      if (!wanted.includes(address)) {
        listener.close();
        this.listeners.delete(address);
      }
    for (const address of wanted)
      if (!this.listeners.has(address))
        this.listeners.set(address, await listenAt(address, this.port, (socket) => this.letIn(socket)));
  }

  private letIn(socket: Socket): void {
    this.sockets.add(socket);
    socket.once('close', () => this.sockets.delete(socket));
    const giveUp = () => socket.destroy();
    // a connection that breaks is normal
    socket.on('error', giveUp);
    socket.setTimeout(SILENCE_MS, giveUp);
    socket.once('data', (first: Buffer) => {
      socket.setTimeout(0, giveUp);
      socket.pause();
      socket.unshift(first);
      const serving = first[0] === HANDSHAKE ? this.tls : this.server;
      if (serving) serving.emit('connection', socket);
      else giveUp();
      process.nextTick(() => socket.resume());
    });
  }
}

function listenAt(address: string, port: number, onConnection: (socket: Socket) => void): Promise<Listener> {
  const listener = createServer(onConnection);
  return new Promise((done, fail) => {
    listener.once('error', (error: NodeJS.ErrnoException) =>
      fail(error.code === 'EADDRINUSE' ? new Error(portInUseText(port), { cause: error }) : error),
    );
    listener.listen(port, address, () => done(listener));
  });
}
