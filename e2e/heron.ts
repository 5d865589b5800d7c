import { expect, type Locator, type Page, test as base } from '@playwright/test';
import type { ShotPlan } from '@still-heron/core';
import { HeronServer } from './server';

interface ShotView {
  id: string;
  version: number;
  slate: string;
  scene: string;
  title: string;
  plan: ShotPlan;
}

/** A test with the real page on a real server with the demo production. Tests that write create a production of their own. */
export const test = base.extend<{ heron: Heron }, { server: HeronServer }>({
  server: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const server = new HeronServer();
      await server.start({ STILL_HERON_SEED: 'demo' });
      await use(server);
      await server.remove();
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  heron: async ({ page, server }, use) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.stack ?? error.message));
    await use(new Heron(page, server));
    expect(errors).toEqual([]);
  },
});

export { expect };

/** Time in seconds that an element shows. */
export async function shownTime(shown: Locator): Promise<number> {
  return Number(/[\d.]+/.exec((await shown.textContent()) ?? '')?.[0] ?? NaN);
}

/** Actions of a user on the page. */
export class Heron {
  constructor(
    readonly page: Page,
    readonly server: HeronServer,
  ) {}

  async api<T>(method: 'get' | 'post' | 'put' | 'delete', path: string, data?: unknown): Promise<T> {
    const response = await this.page.request[method](`${this.server.address}/api/${path}`, {
      ...(data === undefined ? {} : { data }),
      // a kept-alive connection from before a restart fails once
      ...(method === 'get' ? { maxRetries: 1 } : {}),
    });
    expect(response.ok()).toBe(true);
    return (response.status() === 204 ? undefined : await response.json()) as T;
  }

  /** Waits until fixes are found and simulated. The button that gives up a slow search is none. */
  async expectFixes(): Promise<void> {
    const fixes = this.page.getByRole('list', { name: 'Fixes' }).getByRole('button', { name: /takes kept/ });
    await expect(fixes.first()).toBeEnabled();
  }

  /** Creates an empty production. @returns its id */
  async newProduction(name: string): Promise<string> {
    return (await this.api<{ id: string }>('post', 'productions', { name })).id;
  }

  async shots(productionId: string): Promise<ShotView[]> {
    return this.api<ShotView[]>('get', `productions/${productionId}/shots`);
  }

  /** Copies a demo shot into a new production, with its plan changed if asked, and opens it at a step. */
  async openCopy(
    slate: string,
    step: 'setup' | 'floor' | 'pull' | 'stop' = 'pull',
    change: (plan: ShotPlan) => ShotPlan = (plan) => plan,
  ): Promise<{ shotId: string; productionId: string }> {
    const productions = await this.api<{ id: string; name: string }[]>('get', 'productions');
    const demo = await this.shots(productions.find(({ name }) => name === 'The Bell Foundry')!.id);
    const { scene, title, plan } = demo.find((shot) => shot.slate === slate)!;
    const productionId = await this.newProduction(`Copy of ${slate}`);
    const { id: shotId } = await this.api<{ id: string }>('post', `productions/${productionId}/shots`, {
      scene,
      slate,
      title,
      plan: change(plan),
    });
    await this.open(`/shots/${shotId}/${step}`);
    const ready = {
      setup: this.page.getByTestId('focus-tried'),
      floor: this.page.getByTestId('floor-ground'),
      pull: this.verdict,
      stop: this.page.getByTestId('stop-surface'),
    }[step];
    await expect(ready).toBeVisible();
    return { shotId, productionId };
  }

  open(path: string): Promise<unknown> {
    return this.page.goto(this.server.address + path);
  }

  /** Goes to another page of the application without loading it. */
  goTo(path: string): Promise<void> {
    return this.page.evaluate((url) => {
      history.pushState(null, '', url);
      dispatchEvent(new PopStateEvent('popstate'));
    }, path);
  }

  get verdict(): Locator {
    return this.page.getByTestId('verdict');
  }

  /** Text of the verdict about the ideal take; the keep rate comes a moment later */
  async sentence(): Promise<string> {
    const text = (await this.verdict.textContent())!.replace(/\s+/g, ' ').trim();
    return text.replace(/, if all goes as planned: \d+ of 100 takes (is|are) kept/, '');
  }

  /** The sentence once it rests: a verdict comes a few frames after the edit. */
  async settledSentence(): Promise<string> {
    let [last, same] = ['', 0];
    while (same < 8) {
      const now = await this.sentence();
      same = now === last ? same + 1 : 0;
      last = now;
      await this.page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    }
    return last;
  }

  /** Waits until the verdict says what `sentence` has returned. */
  async expectSentence(text: string): Promise<void> {
    await expect.poll(() => this.sentence()).toBe(text);
  }

  async expectSaved(): Promise<void> {
    await expect(this.page.getByText(/^Saved \d\d:\d\d$/)).toBeVisible();
  }

  /** Box of an element once it rests: the same over three frames in a row. */
  async settledBox(what: Locator): Promise<{ x: number; y: number; width: number; height: number }> {
    return what.evaluate(
      (element) =>
        new Promise((found) => {
          let [last, same] = ['', 0];
          const look = () => {
            const { x, y, width, height } = element.getBoundingClientRect();
            const now = JSON.stringify({ x, y, width, height });
            same = now === last ? same + 1 : 0;
            last = now;
            if (same >= 3 && width > 0) found(JSON.parse(now) as DOMRect);
            else requestAnimationFrame(look);
          };
          look();
        }),
    );
  }

  /** Drags an element by an offset in a few steps. */
  async drag(what: Locator, dx: number, dy: number, { release = true } = {}): Promise<void> {
    const box = (await what.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await this.page.mouse.move(x, y);
    await this.page.mouse.down();
    for (let step = 1; step <= 6; step++) await this.page.mouse.move(x + (dx * step) / 6, y + (dy * step) / 6);
    if (release) await this.page.mouse.up();
  }
}
