import type { Finding, FocusGrade } from '@still-heron/core';

/** Search, filters and order of the log. They are part of the address, so that they can be shared and reached by Back. */
export interface LogQuery {
  readonly search: string;
  readonly isCircled: boolean;
  readonly focus: FocusGrade | 'not-said' | '';
  readonly fault: Finding | '';
  readonly lens: string;
  readonly method: string;
  readonly puller: string;
  /** Takes by a simulator are listed and counted as well */
  readonly withSimulated: boolean;
  readonly order: LogOrder;
  readonly page: number;
}

export const LOG_ORDERS = ['newest', 'oldest', 'likeliest', 'unlikeliest'] as const;
export type LogOrder = (typeof LOG_ORDERS)[number];

/** Takes per page. */
export const PAGE_SIZE = 50;

export function readLogQuery(address: URLSearchParams): LogQuery {
  const word = (name: string) => address.get(name) ?? '';
  const page = Number(address.get('page') ?? 1);
  return {
    search: word('search'),
    isCircled: word('circled') === 'true',
    focus: (['sharp', 'usable', 'soft', 'not-said'] as const).find((grade) => grade === word('focus')) ?? '',
    fault: word('fault') as Finding | '',
    withSimulated: word('simulated') === 'too',
    lens: word('lens'),
    method: word('method'),
    puller: word('puller'),
    order: LOG_ORDERS.find((order) => order === word('order')) ?? 'newest',
    page: Number.isInteger(page) && page > 0 ? page : 1,
  };
}

/** As query parameters for the address; defaults are omitted. */
export function printLogQuery({ isCircled, withSimulated, order, page, ...words }: LogQuery): URLSearchParams {
  const address = new URLSearchParams();
  for (const [name, value] of Object.entries(words)) if (value !== '') address.set(name, value);
  if (isCircled) address.set('circled', 'true');
  if (withSimulated) address.set('simulated', 'too');
  if (order !== 'newest') address.set('order', order);
  if (page !== 1) address.set('page', String(page));
  return address;
}

/** As query parameters for the server. */
export function requestOfLog(query: LogQuery): string {
  const asked = printLogQuery(query);
  if (query.withSimulated) asked.delete('simulated');
  else asked.set('simulated', 'false');
  return asked.toString();
}

export function isNarrowed({ order: _, page: __, withSimulated: ___, isCircled, ...words }: LogQuery): boolean {
  return isCircled || Object.values(words).some((word) => word !== '');
}
