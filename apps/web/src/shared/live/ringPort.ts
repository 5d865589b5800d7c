import type { DeviceMessage } from '@still-heron/core';
import { io } from 'socket.io-client';

/**
 * Listens to wheels and motors at the port, without joining a shot.
 *
 * @param onAngle - ring angle in degrees, as a device sent it
 * @returns ends it
 */
export function openRingPort(onAngle: (ringDeg: number) => void): () => void {
  const socket = io({ path: '/api/live', transports: ['websocket'], reconnectionDelayMax: 5000, forceNew: true });
  socket.on('device', (message: DeviceMessage) => {
    if (message.kind !== 'camera') onAngle(message.ringDeg);
  });
  return () => void socket.close();
}
