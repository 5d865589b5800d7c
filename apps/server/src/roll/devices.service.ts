import { Inject, Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import { checkDeviceMessage, type DeviceMessage, type DeviceCommand } from '@still-heron/core';
import { problemText, requestText } from '@still-heron/wording';
import type { Server } from 'node:http';
import { type Observable, Subject } from 'rxjs';
import { type WebSocket, WebSocketServer } from 'ws';
import { DEVICES_ADDRESS, refuseConnection } from '../http/raw-errors.js';
import { RequestProblem } from '../http/request-problem.js';
import { NetworkService } from '../network/network.service.js';

/** Largest number of bytes that wait for a device. One that reads no more of them is dropped: its orders would be old ones. */
const MAX_WAITING_BYTES = 64 * 1024;
/** Largest number of messages that a device sends in a second. A hand wheel sends a tenth of that. */
const MAX_MESSAGES_PER_S = 2000;
/** Reason for closing a connection, from the protocol of WebSockets. */
const TOO_MUCH = 1008;

/** Port for wheels, motors and cameras: plain WebSocket, one JSON object per message. See docs/devices.md. */
@Injectable()
export class DevicesService implements OnApplicationBootstrap, OnModuleDestroy {
  /** Time between two questions whether a device is still there */
  pingMs = 10_000;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly answering = new WeakSet<WebSocket>();
  private readonly port = new WebSocketServer({ noServer: true, maxPayload: 4096 });
  private readonly passing = new Subject<DeviceMessage>();

  constructor(
    @Inject(HttpAdapterHost) private readonly host: HttpAdapterHost,
    @Inject(NetworkService) private readonly network: NetworkService,
  ) {}

  /** Valid messages from devices. */
  get messages(): Observable<DeviceMessage> {
    return this.passing;
  }

  /** Sends a command to every device. */
  tell(order: DeviceCommand): void {
    const text = JSON.stringify(order);
    for (const device of this.port.clients)
      if (device.bufferedAmount > MAX_WAITING_BYTES) device.terminate();
      else if (device.readyState === device.OPEN) device.send(text);
  }

  onApplicationBootstrap(): void {
    const server = this.host.httpAdapter.getHttpServer() as Server;
    this.port.on('wsClientError', (error, socket) =>
      refuseConnection(socket, RequestProblem.of(400, 'upgrade', 'unreadable', { reason: error.message })),
    );
    server.on('upgrade', (request, socket, head) => {
      if (request.url?.split('?')[0] !== DEVICES_ADDRESS) return;
      const refused = this.network.refusalOf(request);
      if (refused) refuseConnection(socket, refused);
      else this.port.handleUpgrade(request, socket, head, (device) => this.listenTo(device));
    });
  }

  onModuleDestroy(): void {
    clearTimeout(this.timer);
    for (const device of this.port.clients) device.terminate();
    this.passing.complete();
  }

  /** Drops devices that have not answered since the last time, and asks the others again. */
  askWhoIsThere(): void {
    clearTimeout(this.timer);
    for (const device of this.port.clients) {
      if (!this.answering.delete(device)) device.terminate();
      else device.ping();
    }
    this.timer = setTimeout(() => this.askWhoIsThere(), this.pingMs);
  }

  private listenTo(device: WebSocket): void {
    this.timer ??= setTimeout(() => this.askWhoIsThere(), this.pingMs);
    this.answering.add(device);
    device.on('pong', () => this.answering.add(device));
    // a connection that breaks within a message is normal
    device.on('error', () => device.terminate());
    const second = { startedMs: 0, messages: 0 };
    device.on('message', (data) => {
      const nowMs = performance.now();
      if (nowMs - second.startedMs > 1000) Object.assign(second, { startedMs: nowMs, messages: 0 });
      if (++second.messages > MAX_MESSAGES_PER_S) return void device.close(TOO_MUCH, 'too many messages');
      const { message, refusal } = readMessage(String(data as Buffer));
      if (message) this.passing.next(message);
      else device.send(JSON.stringify(refusal));
    });
  }
}

/** A parsed message, or the problem and its remedy. */
function readMessage(text: string): { message: DeviceMessage | null; refusal: object } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return {
      message: null,
      refusal: { kind: 'refused', path: '', ...requestText('not-json', {}) },
    };
  }
  const [problem] = checkDeviceMessage(value);
  if (!problem) return { message: value as DeviceMessage, refusal: {} };
  return { message: null, refusal: { kind: 'refused', path: problem.path, ...problemText(problem) } };
}
