import type { Problem } from '../problems.js';
import { boolean, object, oneOf, quantity, type Shape, text, variant } from '../shape.js';
import { isTimecode } from './simulators/timecode.js';

/** Message from a device. `device` is its name; angles are ring angles. */
export type DeviceMessage =
  | { readonly kind: 'wheel'; readonly device: string; readonly ringDeg: number }
  | { readonly kind: 'motor'; readonly device: string; readonly ringDeg: number }
  | { readonly kind: 'camera'; readonly device: string; readonly isRolling: boolean; readonly timecode: string };

/** Command to a device: target angle of a motor, start and stop of a camera. */
export type DeviceCommand =
  { readonly kind: 'drive'; readonly ringDeg: number } | { readonly kind: 'roll'; readonly isRolling: boolean };

const DEVICE = text({ min: 1, max: 60 });
/** Ring angles that are sent and received: more turns than any ring has. */
export const SENT_RING_DEG = { min: -10_000, max: 10_000 } as const;
const RING_DEG = quantity(SENT_RING_DEG);
const TIMECODE = text({ min: 11, max: 12 });
/** A time of day that there is, at any rate. */
const TIME_OF_DAY: Shape<string> = {
  schema: TIMECODE.schema,
  check(value, path, problems) {
    const before = problems.length;
    TIMECODE.check(value, path, problems);
    if (problems.length === before && !isTimecode(value as string))
      problems.push({ code: 'not-a-timecode', path, values: { timecode: value as string } });
  },
};

type Of<K extends DeviceMessage['kind']> = Extract<DeviceMessage, { kind: K }>;

const messageShape = variant<DeviceMessage>({
  wheel: object<Of<'wheel'>>({ kind: oneOf('wheel'), device: DEVICE, ringDeg: RING_DEG }),
  motor: object<Of<'motor'>>({ kind: oneOf('motor'), device: DEVICE, ringDeg: RING_DEG }),
  camera: object<Of<'camera'>>({ kind: oneOf('camera'), device: DEVICE, isRolling: boolean(), timecode: TIME_OF_DAY }),
});

type OfCommand<K extends DeviceCommand['kind']> = Extract<DeviceCommand, { kind: K }>;

const commandShape = variant<DeviceCommand>({
  drive: object<OfCommand<'drive'>>({ kind: oneOf('drive'), ringDeg: RING_DEG }),
  roll: object<OfCommand<'roll'>>({ kind: oneOf('roll'), isRolling: boolean() }),
});

/** Lists every problem of a device message; empty for one that can be passed on. */
export function checkDeviceMessage(value: unknown): Problem[] {
  return problemsOf(messageShape, value);
}

/** Lists every problem of a command to devices; empty for one that can be passed on. */
export function checkDeviceCommand(value: unknown): Problem[] {
  return problemsOf(commandShape, value);
}

function problemsOf(shape: Shape<unknown>, value: unknown): Problem[] {
  const problems: Problem[] = [];
  shape.check(value, '', problems);
  return problems;
}
