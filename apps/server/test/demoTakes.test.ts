import type { LoggedTakeView, ProductionView, StatisticsView } from '@still-heron/contract';
import { checkTake, isSimulated } from '@still-heron/core';
import { startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => (server = await startServer({ seedsDemo: true })));
afterAll(async () => {
  await server.stop();
  server.remove();
});

test('the demo production has takes of three days by two people; those with tracks are simulated, and say so', async () => {
  const of = async (path: string) => (await server.request.get(`/api/productions${path}`).expect(200)).body as unknown;
  const [production] = (await of('')) as ProductionView[];
  const takes = (await of(`/${production!.id}/takes/whole`)) as LoggedTakeView[];
  expect(takes).toHaveLength(30);
  for (const { take } of takes) expect(checkTake(take)).toEqual([]);
  expect(takes.filter(({ hasTrack }) => hasTrack).map(({ take }) => isSimulated(take))).toEqual(Array(7).fill(true));
  expect(takes.filter(({ hasTrack, take }) => !hasTrack && isSimulated(take))).toEqual([]);
  // statistics leave them out, and the rest is enough for predictions to be held against
  const statistics = (await of(`/${production!.id}/takes/statistics`)) as StatisticsView;
  expect(statistics).toMatchObject({ takes: 23, said: 23, simulated: 7 });
  expect([statistics.byDay.length, statistics.byPuller.length]).toEqual([3, 2]);
  expect(statistics.calibration.length).toBeGreaterThan(4);
  expect(statistics.kept).toBeGreaterThan(5);
  expect(statistics.kept).toBeLessThan(22);
});
