import { type Take, upgradeTake } from '@still-heron/core';

/** A take of a shot, without its track. */
export interface TakeLine {
  readonly number: number;
  /** ISO 8601 */
  readonly rolledAt: string;
  readonly take: Omit<Take, 'track'>;
}

/** Takes from lines of JSON, as the repository reads them; of the newest form. */
export function takeLines(lines: Uint8Array): TakeLine[] {
  return Buffer.from(lines)
    .toString()
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => {
      const { take, ...rest } = JSON.parse(line) as TakeLine;
      return { ...rest, take: upgradeTake(take) as TakeLine['take'] };
    });
}
