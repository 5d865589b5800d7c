import { performance } from 'node:perf_hooks';
import { summary } from './evaluate.mjs';

/** How long a computation is watched; it is given up then. */
const WATCHED_MS = 20_000;
const BETWEEN_MS = 20;

/** How fast `/api/health` answers while something long is computed. */
export async function benchMeanwhile(address, what, path) {
  const gone = new AbortController();
  let isDone = false;
  const long = fetch(`${address}/api/${path}`, { signal: gone.signal })
    .then((response) => response.arrayBuffer())
    .catch(() => null)
    .then(() => (isDone = true));
  const times = [];
  const startedMs = performance.now();
  while (!isDone && performance.now() - startedMs < WATCHED_MS) {
    const askedMs = performance.now();
    await fetch(`${address}/api/health`).then((response) => response.text());
    times.push(performance.now() - askedMs);
    await new Promise((done) => setTimeout(done, BETWEEN_MS));
  }
  gone.abort();
  await long;
  const { median, p95 } = summary(times);
  return {
    what: `health while ${what}`,
    figure: `${median.toFixed(1)} ms median, ${p95.toFixed(1)} ms p95, ${Math.max(...times).toFixed(0)} ms at most`,
    aim: 'p95 under 50 ms',
    shareOfAim: p95 / 50,
  };
}
