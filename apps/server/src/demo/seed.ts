import type { ProductionsService } from '../productions/productions.service.js';
import type { ShotsService } from '../shots/shots.service.js';
import { BELL_FOUNDRY, BELL_FOUNDRY_SHOTS } from './bell-foundry.js';

/** Puts the demo production into a database that holds no production yet. */
export async function seedDemo(productions: ProductionsService, shots: ShotsService): Promise<void> {
  if ((await productions.all()).length > 0) return;
  const { id } = await productions.create(BELL_FOUNDRY);
  for (const makeShot of BELL_FOUNDRY_SHOTS) await shots.create(id, makeShot());
}
