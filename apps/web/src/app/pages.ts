/** Page chunks, loaded when first needed. None of these imports runs at start. */
export const pages = {
  productions: () => import('../features/shots/ProductionsPage'),
  shots: () => import('../features/shots/ShotsPage'),
  log: () => import('../features/log/LogPage'),
  network: () => import('../features/network/NetworkPage'),
  backups: () => import('../features/backups/BackupsPage'),
  shot: () => import('../features/shotPage/ShotPage'),
  shotFailed: () => import('../features/shotPage/ShotFailed'),
  setup: () => import('../features/setup/SetupPage'),
  floor: () => import('../features/floor/FloorPage'),
  kit: () => import('../features/kit/KitPage'),
  pull: () => import('../features/pull/PullPage'),
  stop: () => import('../features/stop/StopPage'),
  roll: () => import('../features/roll/RollPage'),
  takes: () => import('../features/takes/TakesPage'),
};

/** Parts of the page that an address needs. */
function neededFor(path: string) {
  if (path.startsWith('/shots/')) return [pages.shot, pages[stepOf(path)]];
  if (path.startsWith('/kit')) return [pages.kit];
  if (path === '/devices') return [pages.network];
  if (path === '/backups') return [pages.backups];
  if (path.endsWith('/shots')) return [pages.shots];
  return path.endsWith('/takes') ? [pages.log] : [pages.productions];
}

/** Starts loading everything an address needs in parallel. */
export function preload(path: string): void {
  for (const load of neededFor(path)) void load();
}

/** Steps of a shot, as the last part of its address. */
const STEPS = ['setup', 'floor', 'pull', 'stop', 'roll', 'takes'] as const;

function stepOf(path: string): (typeof STEPS)[number] {
  return STEPS.find((step) => path.endsWith(`/${step}`)) ?? 'pull';
}
