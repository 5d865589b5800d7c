import { formatStop, type Lens, neighbouringFullStops } from '@still-heron/core';

/** A number with up to three decimals, without trailing zeros. */
export function figure(value: number): string {
  return String(Number(value.toFixed(3)));
}

/** "1 take", "3 takes". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** "A, B and C". */
export function listed(items: readonly string[]): string {
  return items.join(', ').replace(/, ([^,]*)$/, ' and $1');
}

/** A stop as it is found on the ring: "T4", or "T7.1 (between T5.6 and T8)", since rings are engraved in full stops. */
export function stopOnRing(stop: number, { stopScale, widestStop, narrowestStop }: StopRing): string {
  const name = formatStop(stop, stopScale);
  const beside = stop === widestStop || stop === narrowestStop ? null : neighbouringFullStops(stop);
  return beside ? `${name} (between ${formatStop(beside.wider, stopScale)} and ${formatStop(beside.narrower, stopScale)})` : name;
}

type StopRing = Pick<Lens, 'stopScale' | 'widestStop' | 'narrowestStop'>;
