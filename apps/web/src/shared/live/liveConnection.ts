import type { JoinedView, RollCheckMessage, RollCueMessage, RollFaultMessage, RollView } from '@still-heron/contract';
import type { DeviceMessage, DeviceCommand } from '@still-heron/core';
import { io, type Socket } from 'socket.io-client';
import { type ClockAnswer, type ClockOffset, clockOffset, ownMs } from './clockOffset';

/** State of the connection to other devices that show the shot. */
export interface ConnectionState {
  readonly isConnected: boolean;
  readonly others: readonly string[];
  /** null until synchronised */
  readonly clock: ClockOffset | null;
}

/** Events from the connection. */
export interface ConnectionEvents {
  /** A roll that started or continues elsewhere */
  roll(roll: RollView): void;
  cue(message: RollCueMessage): void;
  end(rollId: string): void;
  /** Ring angle of the device that turns it */
  wheel(ringDeg: number): void;
  /** Message from the port for wheels, motors and cameras */
  device(message: DeviceMessage): void;
  /** A focus check, or a fault, that another device says of a roll */
  check(message: RollCheckMessage): void;
  fault(message: RollFaultMessage): void;
  /** The shot was saved; its newest version */
  saved(version: number): void;
  /** A take of the shot was logged, changed, deleted or restored */
  taken(): void;
  /** Connected, for the first time or again, with the roll under way elsewhere: a rolling device then sends its roll again */
  joined(roll: RollView | null): void;
}

export interface LiveConnection {
  readonly state: () => ConnectionState;
  readonly subscribe: (listener: () => void) => () => void;
  tellRoll(roll: RollView): void;
  /** @returns whether the server is there to hear it */
  tellCue(message: RollCueMessage): boolean;
  tellCheck(message: RollCheckMessage): boolean;
  tellFault(message: RollFaultMessage): boolean;
  tellEnd(rollId: string): boolean;
  tellWheel(ringDeg: number): void;
  order(order: DeviceCommand): void;
  close(): void;
}

/** Number of clock exchanges, and the interval between synchronisations. */
const QUESTIONS = 8;
const RETRY_DELAY_MS = 30_000;
const PROGRESS_DELAY_MS = 5000;

/** What is wrong with a message. */
interface Refusal {
  readonly code: string;
}

/**
 * Opens the connection for a shot. It reconnects by itself.
 *
 * @param onRefused - the server was not reached, or did not let this device in
 */
export function openConnection(shotId: string, device: string, events: ConnectionEvents, onRefused: () => void): LiveConnection {
  const socket = io({
    path: '/api/live',
    transports: ['websocket'],
    reconnectionDelay: 250,
    reconnectionDelayMax: 500,
    forceNew: true,
  });
  let state: ConnectionState = { isConnected: false, others: [], clock: null };
  const listeners = new Set<() => void>();
  const change = (changes: Partial<ConnectionState>) => {
    state = { ...state, ...changes };
    listeners.forEach((listener) => listener());
  };
  const setClock = () => void askClock(socket).then((clock) => clock && change({ clock }));
  const timer = setInterval(setClock, RETRY_DELAY_MS);
  socket.on('connect', () => {
    change({ isConnected: true });
    setClock();
    void ask<JoinedView | Refusal>(socket, 'join', { shotId, device }).then((joined) => {
      // a shot that was deleted elsewhere is rolled by this device alone
      if (!joined || 'code' in joined) return;
      change({ others: joined.devices });
      events.saved(joined.version);
      events.joined(joined.roll);
      // what was logged while this device was away
      events.taken();
    });
  });
  socket.on('connect_error', onRefused);
  socket.on('disconnect', () => change({ isConnected: false, others: [] }));
  socket.on('devices', (others: string[]) => change({ others }));
  hearEvents(socket, events);
  // messages are not queued while disconnected: a roll is sent again as a whole
  const tell = (event: string, body: object): boolean => {
    if (socket.connected) socket.emit(event, body);
    return socket.connected;
  };
  return {
    state: () => state,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    tellRoll: (roll) => void tell('roll', roll),
    tellCue: (message) => tell('cue', message),
    tellCheck: (message) => tell('check', message),
    tellFault: (message) => tell('fault', message),
    tellEnd: (rollId) => tell('end', { rollId }),
    tellWheel: (ringDeg) => socket.connected && socket.volatile.emit('wheel', { ringDeg }),
    order: (order) => void tell('order', order),
    close: () => {
      clearInterval(timer);
      socket.close();
    },
  };
}

function hearEvents(socket: Socket, events: ConnectionEvents): void {
  socket.on('roll', events.roll);
  socket.on('cue', events.cue);
  socket.on('check', events.check);
  socket.on('fault', events.fault);
  socket.on('saved', ({ version }: { version: number }) => events.saved(version));
  socket.on('taken', events.taken);
  socket.on('end', ({ rollId }: { rollId: string }) => events.end(rollId));
  socket.on('wheel', events.wheel);
  socket.on('device', events.device);
}

async function ask<T>(socket: Socket, event: string, body?: object): Promise<T | null> {
  const line = socket.timeout(PROGRESS_DELAY_MS);
  try {
    return (body ? await line.emitWithAck(event, body) : await line.emitWithAck(event)) as T;
  } catch {
    // disconnected again; synchronise after the reconnect
    return null;
  }
}

async function askClock(socket: Socket): Promise<ClockOffset | null> {
  const answers: ClockAnswer[] = [];
  for (let question = 0; question < QUESTIONS; question++) {
    const sentMs = ownMs();
    const serverMs = await ask<number>(socket, 'clock');
    if (serverMs === null) break;
    answers.push({ sentMs, serverMs, heardMs: ownMs() });
  }
  return answers.length === 0 ? null : clockOffset(answers);
}
