/** A UUID. Also works over plain http, where browsers offer no crypto.randomUUID. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}

/** Name of this device for others, from its type. */
export function deviceName(): string {
  const isHandheld = window.matchMedia('(pointer: coarse)').matches;
  const handheld = window.innerWidth < 600 ? 'a phone' : 'a tablet';
  return isHandheld ? handheld : 'a computer';
}

const ID_KEY = 'still-heron-device';

/** Id of this device, the same at every visit where the browser keeps it. It tells own saves from those of others, nothing else. */
export const deviceId: () => string = (() => {
  let known: string | null = null;
  return () => {
    try {
      known ??= localStorage.getItem(ID_KEY);
      if (known === null) localStorage.setItem(ID_KEY, (known = newId()));
    } catch {
      // a private window
    }
    return (known ??= newId());
  };
})();
