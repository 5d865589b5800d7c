import type { FocusGrade, MarkHit } from '@still-heron/core';

/** What a log is narrowed to, and read by; it stands in the address, so that it can be gone back to and passed on. */
export interface LogQuery {
  readonly search: string;
  readonly isCircled: boolean;
  readonly focus: FocusGrade | '';
  readonly hit: MarkHit | '';
  readonly lens: string;
  readonly method: string;
  readonly puller: string;
  readonly order: LogOrder;
  readonly page: number;
}

export const LOG_ORDERS = ['newest', 'oldest', 'likeliest', 'unlikeliest'] as const;
export type LogOrder = (typeof LOG_ORDERS)[number];

/** Takes on a page. */
export const PAGE_SIZE = 50;

export function readLogQuery(address: URLSearchParams): LogQuery {
  const word = (name: string) => address.get(name) ?? '';
  const page = Number(address.get('page') ?? 1);
  return {
    search: word('search'),
    isCircled: word('circled') === 'true',
    focus: (['sharp', 'usable', 'soft'] as const).find((grade) => grade === word('focus')) ?? '',
    hit: word('hit') as MarkHit | '',
    lens: word('lens'),
    method: word('method'),
    puller: word('puller'),
    order: LOG_ORDERS.find((order) => order === word('order')) ?? 'newest',
    page: Number.isInteger(page) && page > 0 ? page : 1,
  };
}

/** As the address, and the server, take it: what says nothing is left out. */
export function printLogQuery({ isCircled, order, page, ...words }: LogQuery): URLSearchParams {
  const address = new URLSearchParams();
  for (const [name, value] of Object.entries(words)) if (value !== '') address.set(name, value);
  if (isCircled) address.set('circled', 'true');
  if (order !== 'newest') address.set('order', order);
  if (page !== 1) address.set('page', String(page));
  return address;
}

export function isNarrowed({ order: _, page: __, isCircled, ...words }: LogQuery): boolean {
  return isCircled || Object.values(words).some((word) => word !== '');
}
