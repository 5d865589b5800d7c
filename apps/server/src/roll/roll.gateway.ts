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
import {
  JoinRoll,
  type JoinedView,
  RollCheckMessage,
  RollCueMessage,
  RollEnd,
  RollFaultMessage,
  RollView,
  RollWheel,
} from '@still-heron/contract';
import { checkDeviceCommand, type DeviceCommand } from '@still-heron/core';
import { requestText, type RequestProblemCode, type RequestProblemValues } from '@still-heron/wording';
import type { Server, Socket } from 'socket.io';
import { LIVE_ADDRESS } from '../http/raw-errors.js';
import { problemsIn } from '../http/validation.js';
import { ShotNews } from '../shots/shot-news.js';
import { ShotsService } from '../shots/shots.service.js';
import { DevicesService } from './devices.service.js';
import { RollService } from './roll.service.js';

/** Answer to an invalid message. */
interface Refused {
  readonly code: string;
  readonly message: string;
}

/**
 * Shares rolls between devices. Each shot is a room: the rolling device sends its roll, and the others receive it. Nothing is
 * stored here: the rolling device logs its take, whatever happens to the connection.
 */
@WebSocketGateway({ path: LIVE_ADDRESS, maxHttpBufferSize: 32_768, serveClient: false })
export class RollGateway implements OnGatewayInit, OnGatewayConnection, OnGatewayDisconnect {
  /** Time after which a lost connection is given up */
  reconnectMs = 8000;

  constructor(
    @Inject(RollService) private readonly rolls: RollService,
    @Inject(DevicesService) private readonly devices: DevicesService,
    @Inject(ShotsService) private readonly shots: ShotsService,
    @Inject(ShotNews) private readonly news: ShotNews,
  ) {}

  afterInit(server: Server): void {
    this.devices.messages.subscribe((message) => server.emit('device', message));
    // who shows a shot has its newest version and its takes
    this.news.all.subscribe((news) => server.to(news.shotId).emit(news.kind, news));
  }

  handleConnection(socket: Socket): void {
    socket.data = {};
  }

  /** A rolling device has some time to reconnect and send its roll again; then the roll ends. */
  handleDisconnect(socket: Socket): void {
    this.tellDevices(socket);
    const left = this.rolls.rollOfConnection(socket.id);
    if (!left) return;
    const timer = setTimeout(() => {
      if (this.rolls.rollOfConnection(socket.id)?.rollId !== left.rollId || !this.rolls.drop(left.rollId)) return;
      socket.nsp.to(left.shotId).emit('end', { rollId: left.rollId });
    }, this.reconnectMs);
    timer.unref();
  }

  /** Time of the server's clock, for clients to synchronise. */
  @SubscribeMessage('clock')
  clock(): number {
    return performance.timeOrigin + performance.now();
  }

  @SubscribeMessage('join')
  async join(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Promise<JoinedView | Refused> {
    const asked = read(JoinRoll, body);
    if ('code' in asked) return asked;
    const { shotId, device } = asked;
    const version = await this.shots.versionOf(shotId);
    if (version === null) return refused('not-found', { what: 'shot' });
    for (const room of socket.rooms) if (room !== socket.id) await socket.leave(room);
    socket.data = { shotId, device };
    await socket.join(shotId);
    this.tellDevices(socket);
    return { roll: this.rolls.of(shotId), version, devices: others(socket, shotId) };
  }

  @SubscribeMessage('roll')
  roll(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): RollView | Refused {
    const asked = read(RollView, body);
    if ('code' in asked) return asked;
    // who has joined a shot has one that is there
    if ((socket.data as { shotId?: string }).shotId !== asked.shotId) return refused('not-joined', {});
    const roll = this.rolls.start(asked, socket.id);
    if (roll) socket.to(roll.shotId).emit('roll', roll);
    else socket.emit('end', { rollId: asked.rollId });
    return roll ?? asked;
  }

  @SubscribeMessage('cue')
  cue(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Refused | true {
    const asked = read(RollCueMessage, body);
    if ('code' in asked) return asked;
    const shotId = this.rolls.cue(asked);
    if (shotId) socket.to(shotId).emit('cue', asked);
    return true;
  }

  @SubscribeMessage('check')
  check(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Refused | true {
    return this.passOn('check', read(RollCheckMessage, body), socket);
  }

  @SubscribeMessage('fault')
  fault(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Refused | true {
    return this.passOn('fault', read(RollFaultMessage, body), socket);
  }

  /** Another device may have been away, or the server: the roll then ends as soon as it is sent again. */
  @SubscribeMessage('end')
  end(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): Refused | true {
    const asked = read(RollEnd, body);
    if ('code' in asked) return asked;
    const shotId = this.rolls.end(asked.rollId) ?? (socket.data as { shotId?: string }).shotId;
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

  /** Passes a command of a rolling device to the devices at the port; another page moves no motor. */
  @SubscribeMessage('order')
  order(@ConnectedSocket() socket: Socket, @MessageBody() body: unknown): void {
    if (!this.rolls.hasRolled(socket.id)) return;
    if (checkDeviceCommand(body).length === 0) this.devices.tell(body as DeviceCommand);
  }

  /** To the other devices that show the shot of a roll. */
  private passOn(event: string, asked: Refused | { readonly rollId: string }, socket: Socket): Refused | true {
    if ('code' in asked) return asked;
    const shotId = this.rolls.shotOf(asked.rollId);
    if (shotId) socket.to(shotId).emit(event, asked);
    return true;
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

function refused<C extends RequestProblemCode>(code: C, values: RequestProblemValues[C]): Refused {
  return { code, message: requestText(code, values).message };
}

function read<T extends object>(Kind: new () => T, body: unknown): T | Refused {
  const { value, problems } = problemsIn(Kind, body);
  return problems[0] ? { code: problems[0].code, message: `${problems[0].path}: ${problems[0].message}` } : value;
}
