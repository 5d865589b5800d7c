import { benchCues } from './cues.mjs';
import { benchEvaluate } from './evaluate.mjs';
import { benchFloor } from './floor.mjs';
import { benchKit, benchTable } from './kit.mjs';
import { benchKeepRate } from './keepRate.mjs';
import { benchOptimiser } from './optimiser.mjs';
import { benchPage } from './page.mjs';
import { benchSave, startServer } from './server.mjs';
import { benchStop } from './stop.mjs';
import { benchTakes } from './takes.mjs';

/**
 * Runs every benchmark and prints one line each: figure, target, and whether it is met. Machines differ: compare ratios within
 * one run.
 */
const server = await startServer();
try {
  const results = [
    ...benchEvaluate(),
    await benchOptimiser(),
    benchKeepRate(),
    benchTable(),
    await benchSave(server.address),
    ...(await benchPage(server.address)),
    ...(await benchFloor(server.address)),
    ...(await benchKit(server.address)),
    ...(await benchStop(server.address)),
    ...(await benchCues(server.address)),
    ...(await benchTakes()),
  ];
  for (const { what, figure, aim, holds } of results)
    console.log(`${holds ? 'holds' : 'MISSES'}  ${what}: ${figure} (aim: ${aim})`);
} finally {
  await server.stop();
}
