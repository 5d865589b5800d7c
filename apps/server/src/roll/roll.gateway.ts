import { Inject } from '@nestjs/common';
import {
  ConnectedSocket,
  MessageBody,
  type OnGatewayConnection,
  type OnGatewayDisconnect,
  type OnGatewayInit,
  SubscribeMessage,
  WebSocketGateway,
} from '@nestjs/websockets';
import { JoinRoll, type JoinedView, RollEnd, RollSetOff, RollView, RollWheel } from '@still-heron/contract';
import type { DeviceOrder } from '@still-heron/core';
import type { Server, Socket } from 'socket.io';
import { problemsIn } from '../http/validation.js';
import { isFromHere } from './is-from-here.js';
import { DevicesService } from './devices.service.js';
import { RollService } from './roll.service.js';

/** A line that was cut for longer does not come back. */
const GONE_MS = 8000;

/** What a message is answered with that can't be taken. */
interface Refused {
  readonly code: string;
  readonly message: string;
}

/**
 * The roll that several devices show together. Each shot is a room; whoever rolls tells it, and everyone else hears it. Nothing here is stored: a take is logged by the device that rolled it, whatever becomes of the
 * line in between.
 */
@WebSocketGateway({ path: '/api/live', maxHttpBufferSize: 32_768, serveClient: false, allowRequest: isFromHere })
export class RollGateway implements OnGatewayInit, OnGatewayConnection, OnGatewayDisconnect {
  constructor(
    @Inject(RollService) private readonly rolls: RollService,
    @Inject(DevicesService) private readonly devices: DevicesService,
  ) {}

  afterInit(server: Server): void {
    this.devices.messages.subscribe((message) => server.emit('device', message));
  }

  handleConnection(socket: Socket): void {
    socket.data = {};
  }

  /** A device that rolls has some time to come back and tell its roll again; then it is gone, and with it the roll. */
  handleDisconnect(socket: Socket): void {
    this.tellDevices(socket);
    const left = this.rolls.toldOver(socket.id);
    if (!left) return;
    const timer = setTimeout(() => {
      if (this.rolls.toldOver(socket.id)?.rollId !== left.rollId || !this.rolls.end(left.rollId)) return;
      socket.nsp.to(left.shotId).emit('end', { rollId: left.rollId });
    }, GONE_MS);
    timer.unref();
  }

  /** The server's clock, for the page to set its own by. */
  @SubscribeMessage('clock')
  clock(): number {
    return performance.timeOrigin + performance.now();
  }

  @SubscribeMessage('join')
  async join(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Promise<JoinedView | Refused> {
    const asked = read(JoinRoll, body);
    if ('code' in asked) return asked;
    const { shotId, device } = asked;
    for (const room of socket.rooms) if (room !== socket.id) await socket.leave(room);
    socket.data = { shotId, device };
    await socket.join(shotId);
    this.tellDevices(socket);
    return { roll: this.rolls.of(shotId), devices: others(socket, shotId) };
  }

  @SubscribeMessage('roll')
  roll(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): RollView | Refused {
    const asked = read(RollView, body);
    if ('code' in asked) return asked;
    const roll = this.rolls.start(asked, socket.id);
    socket.to(roll.shotId).emit('roll', roll);
    return roll;
  }

  @SubscribeMessage('set-off')
  setOff(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Refused | true {
    const asked = read(RollSetOff, body);
    if ('code' in asked) return asked;
    const shotId = this.rolls.setOff(asked);
    if (shotId) socket.to(shotId).emit('set-off', asked);
    return true;
  }

  @SubscribeMessage('end')
  end(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Refused | true {
    const asked = read(RollEnd, body);
    if ('code' in asked) return asked;
    const shotId = this.rolls.end(asked.rollId);
    if (shotId) socket.to(shotId).emit('end', asked);
    return true;
  }

  @SubscribeMessage('wheel')
  wheel(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): void {
    const asked = read(RollWheel, body);
    if ('code' in asked) return;
    const { shotId } = socket.data as { shotId?: string };
    if (shotId) socket.to(shotId).volatile.emit('wheel', asked.ringDeg);
  }

  /** Passes an order on to whatever speaks the device port. */
  @SubscribeMessage('order')
  order(@MessageBody() body: unknown): void {
    const order = body as Partial<DeviceOrder> | null;
    if (order?.kind === 'drive' && Number.isFinite(order.ringDeg)) this.devices.tell({ kind: 'drive', ringDeg: order.ringDeg! });
    if (order?.kind === 'roll' && typeof order.isRolling === 'boolean')
      this.devices.tell({ kind: 'roll', isRolling: order.isRolling });
  }

  private tellDevices(socket: Socket): void {
    const { shotId } = socket.data as { shotId?: string };
    if (!shotId) return;
    for (const id of socket.nsp.adapter.rooms.get(shotId) ?? [])
      socket.nsp.sockets.get(id)?.emit('devices', others(socket.nsp.sockets.get(id)!, shotId));
  }
}

function others({ nsp, id }: Socket, shotId: string): string[] {
  return [...(nsp.adapter.rooms.get(shotId) ?? [])].flatMap((other) => {
    const { device } = (nsp.sockets.get(other)?.data ?? {}) as { device?: string };
    return other === id || device === undefined ? [] : [device];
  });
}

function read<T extends object>(Kind: new () => T, body: unknown): T | Refused {
  const { value, problems } = problemsIn(Kind, body);
  return problems[0] ? { code: problems[0].code, message: `${problems[0].path}: ${problems[0].message}` } : value;
}
