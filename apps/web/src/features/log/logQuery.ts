import type { FocusGrade, MarkHit } from '@still-heron/core';

/** Search, filters and order of the log. They are part of the address, so that they can be shared and reached by Back. */
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

/** Takes per page. */
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

/** As query parameters for address and server; defaults are omitted. */
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
