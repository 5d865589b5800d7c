import { Inject, Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import { checkDeviceMessage, type DeviceMessage, type DeviceCommand } from '@still-heron/core';
import { problemText, requestText } from '@still-heron/wording';
import type { Server } from 'node:http';
import { type Observable, Subject } from 'rxjs';
import { type WebSocket, WebSocketServer } from 'ws';
import { foreignProblem } from '../http/own-names.js';
import { DEVICES_ADDRESS, refuseConnection } from '../http/raw-errors.js';
import { RequestProblem } from '../http/request-problem.js';

/** Port for wheels, motors and cameras: plain WebSocket, one JSON object per message. See docs/devices.md. */
@Injectable()
export class DevicesService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly port = new WebSocketServer({ noServer: true, maxPayload: 4096 });
  private readonly passing = new Subject<DeviceMessage>();

  constructor(@Inject(HttpAdapterHost) private readonly host: HttpAdapterHost) {}

  /** Valid messages from devices. */
  get messages(): Observable<DeviceMessage> {
    return this.passing;
  }

  /** Sends a command to every device. */
  tell(order: DeviceCommand): void {
    for (const device of this.port.clients) if (device.readyState === device.OPEN) device.send(JSON.stringify(order));
  }

  onApplicationBootstrap(): void {
    const server = this.host.httpAdapter.getHttpServer() as Server;
    this.port.on('wsClientError', (error, socket) =>
      refuseConnection(socket, RequestProblem.of(400, 'upgrade', 'unreadable', { reason: error.message })),
    );
    server.on('upgrade', (request, socket, head) => {
      if (request.url?.split('?')[0] !== DEVICES_ADDRESS) return;
      const foreign = foreignProblem(request);
      if (foreign) refuseConnection(socket, foreign);
      else this.port.handleUpgrade(request, socket, head, (device) => this.listenTo(device));
    });
  }

  onModuleDestroy(): void {
    for (const device of this.port.clients) device.terminate();
    this.passing.complete();
  }

  private listenTo(device: WebSocket): void {
    // a connection that breaks within a message is normal
    device.on('error', () => device.terminate());
    device.on('message', (data) => {
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
