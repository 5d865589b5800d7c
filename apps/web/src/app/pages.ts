import type { ComponentType } from 'react';

/** Loads a page. None of these imports runs at start. */
const PAGES = {
  productions: () => import('../features/shots/ProductionsPage').then(({ ProductionsPage }) => ProductionsPage),
  shots: () => import('../features/shots/ShotsPage').then(({ ShotsPage }) => ShotsPage),
  log: () => import('../features/log/LogPage').then(({ LogPage }) => LogPage),
  network: () => import('../features/network/NetworkPage').then(({ NetworkPage }) => NetworkPage),
  backups: () => import('../features/backups/BackupsPage').then(({ BackupsPage }) => BackupsPage),
  shot: () => import('../features/shotPage/ShotPage').then(({ ShotPage }) => ShotPage),
  setup: () => import('../features/setup/SetupPage').then(({ SetupPage }) => SetupPage),
  floor: () => import('../features/floor/FloorPage').then(({ FloorPage }) => FloorPage),
  kit: () => import('../features/kit/KitPage').then(({ KitPage }) => KitPage),
  pull: () => import('../features/pull/PullPage').then(({ PullPage }) => PullPage),
  stop: () => import('../features/stop/StopPage').then(({ StopPage }) => StopPage),
  roll: () => import('../features/roll/RollPage').then(({ RollPage }) => RollPage),
  takes: () => import('../features/takes/TakesPage').then(({ TakesPage }) => TakesPage),
} satisfies Record<string, () => Promise<ComponentType>>;

export type PageKey = keyof typeof PAGES;

/** Pages that are there, and promises of those that are on their way. */
const loaded = new Map<PageKey, ComponentType>();
const loading = new Map<PageKey, Promise<ComponentType>>();
/** Pages that did not come. */
const failed = new Set<PageKey>();

/** The server did not send a page. */
export class PageNotSent extends Error {
  constructor(cause: unknown) {
    super('The server did not send it', { cause });
  }
}

/** A page, or the promise of it, which is rejected with `PageNotSent`. */
export function pageOf(key: PageKey): ComponentType | Promise<ComponentType> {
  const there = loaded.get(key) ?? loading.get(key);
  if (there) return there;
  const promise = PAGES[key]().then(
    (page) => {
      loaded.set(key, page);
      return page;
    },
    (error: unknown) => {
      failed.add(key);
      throw new PageNotSent(error);
    },
  );
  loading.set(key, promise);
  return promise;
}

/** Lets pages that did not come be asked for again; called once that was said. */
export function forgetFailures(): void {
  for (const key of failed) loading.delete(key);
  failed.clear();
}

/** Pages that an address needs. */
function neededFor(path: string): readonly PageKey[] {
  if (path.startsWith('/shots/')) return ['shot', stepOf(path)];
  if (path.startsWith('/kit')) return ['kit'];
  if (path === '/devices') return ['network'];
  if (path === '/backups') return ['backups'];
  if (path.endsWith('/shots')) return ['shots'];
  return path.endsWith('/takes') ? ['log'] : ['productions'];
}

/** Loads every page that an address needs, all at once. */
export async function loadPages(path: string): Promise<void> {
  await Promise.all(neededFor(path).map(pageOf));
}

/** Steps of a shot, as the last part of its address. */
export const STEPS = ['setup', 'floor', 'pull', 'stop', 'roll', 'takes'] as const;

function stepOf(path: string): (typeof STEPS)[number] {
  return STEPS.find((step) => path.endsWith(`/${step}`)) ?? 'pull';
}
