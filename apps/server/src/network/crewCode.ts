import { randomInt, timingSafeEqual } from 'node:crypto';

/** Characters that nobody confuses on a small screen or by ear. */
const CHARACTERS = '23456789ABCDEFGHJKMNPQRSTVWXYZ';
const LENGTH = 8;

/** A new code, such as `K7QM-3RXD`: one of 656 thousand million. */
export function newCrewCode(): string {
  const characters = Array.from({ length: LENGTH }, () => CHARACTERS[randomInt(CHARACTERS.length)]).join('');
  return `${characters.slice(0, LENGTH / 2)}-${characters.slice(LENGTH / 2)}`;
}

/** Whether a typed code is the right one. Spaces, hyphens and small letters do not matter. The time it takes tells nothing. */
export function isSameCode(typed: string, code: string): boolean {
  const [given, right] = [typed, code].map((text) => Buffer.from(text.replace(/[\s-]/g, '').toUpperCase()));
  return given!.length === right!.length && timingSafeEqual(given!, right!);
}
