import { type ComponentType, lazy, type LazyExoticComponent } from 'react';

const FIRST_WAIT_MS = 500;
const MAX_WAIT_MS = 8000;

/**
 * A component that is loaded when it is first shown. While the server is unreachable it retries and shows nothing.
 *
 * @param load - imports the component
 */
export function lazyPart<P>(load: () => Promise<ComponentType<P>>): LazyExoticComponent<ComponentType<P>> {
  return lazy(async () => {
    for (let waitMs = FIRST_WAIT_MS; ; waitMs = Math.min(2 * waitMs, MAX_WAIT_MS)) {
      const part = await load().catch((error: unknown) => console.warn(error));
      if (part) return { default: part };
      await new Promise((done) => setTimeout(done, waitMs));
    }
  });
}
