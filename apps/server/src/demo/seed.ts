import type { KitItemView, ShotView } from '@still-heron/contract';
import { type KitItems, type KitKind, kitName } from '@still-heron/core';
import type { Database } from '../database/database.js';
import { KitRepository } from '../kit/kit.repository.js';
import { KitService } from '../kit/kit.service.js';
import { ProductionsRepository } from '../productions/productions.repository.js';
import { ProductionsService } from '../productions/productions.service.js';
import { ShotsRepository } from '../shots/shots.repository.js';
import { ShotsService } from '../shots/shots.service.js';
import { BELL_FOUNDRY, BELL_FOUNDRY_SHOTS, type DemoKit } from './bell-foundry.js';
import { ShotNews } from '../shots/shot-news.js';
import { TakesRepository } from '../takes/takes.repository.js';
import { KIT_CHANGES_AFTER_PLANNING, DEMO_KIT } from './kit.js';
import { demoTakes } from './takes.js';

/** Adds the demo production and its kit to a database without productions: all of it, or nothing if the start is cut short. */
export function seedDemo(db: Database): Promise<void> {
  return db.transaction(async (all) => {
    const productions = new ProductionsService(new ProductionsRepository(all));
    const shots = new ShotsService(new ShotsRepository(all), productions, new ShotNews());
    const kit = new KitService(new KitRepository(all));
    if ((await productions.all()).length > 0) return;
    const demoKit = await seedKit(kit);
    const { id } = await productions.create(BELL_FOUNDRY);
    const made = new Map<string, ShotView>();
    for (const makeShot of BELL_FOUNDRY_SHOTS) {
      const shot = await shots.create(id, makeShot(demoKit));
      made.set(shot.slate, shot);
    }
    const takes = new TakesRepository(all);
    for (const { slate, rolledAt, take } of demoTakes((of) => made.get(of)?.plan))
      await takes.insert(made.get(slate)!, rolledAt, take);
    const before = demoKit.lens(KIT_CHANGES_AFTER_PLANNING.lens.name);
    await kit.save('lenses', before.id, { version: 1, item: KIT_CHANGES_AFTER_PLANNING });
  });
}

async function seedKit(kit: KitService): Promise<DemoKit> {
  const put = async <K extends KitKind>(kind: K, items: readonly KitItems[K][]) => {
    const views: KitItemView<K>[] = [];
    for (const item of items) views.push(await kit.create(kind, item));
    return (name: string) => views.find((view) => kitName(kind, view.item) === name)!;
  };
  const camera = await put('cameras', DEMO_KIT.cameras);
  return {
    camera: camera(DEMO_KIT.cameras[0].name),
    smallBody: camera(DEMO_KIT.cameras[1].name),
    lens: await put('lenses', DEMO_KIT.lenses),
    wheel: await put('wheels', DEMO_KIT.wheels),
    rig: await put('rigs', DEMO_KIT.rigs),
  };
}
