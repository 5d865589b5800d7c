import type { ErrorBody, ShotView } from '@still-heron/contract';
import { addLandmark, addSubjectAt, evaluatePull, moveCameraTo, newPlan, setAim, type ShotPlan, walkTo } from '@still-heron/core';
import { makeProduction, makeShot, someShot, startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(async () => {
  await server.stop();
  server.remove();
});

/** Ines walks in while the camera moves sideways and looks at her, past a wall. */
function walkIn(): ShotPlan {
  let plan = addSubjectAt(newPlan(), 'Ines', { xMm: 5000, yMm: 600 });
  plan = walkTo(plan, 'subject-1', { xMm: 2500, yMm: -400 }, 7);
  plan = moveCameraTo(plan, { xMm: 300, yMm: 1500 }, 9);
  plan = addLandmark(plan, 'wall', 'foundry wall', { xMm: 6000, yMm: 2000 });
  return setAim(plan, { kind: 'subject', subjectId: 'subject-1' });
}

test('a plan from above is kept whole, and judged the same when it comes back', async () => {
  const { id } = await makeProduction(server);
  const plan = walkIn();
  const shot = await makeShot(server, id, { plan });
  const read = (await server.request.get(`/api/shots/${shot.id}`).expect(200)).body as ShotView;
  expect(read.plan).toEqual(plan);
  expect(evaluatePull(read.plan)).toEqual(evaluatePull(plan));
});

test('a floor that does not go together is refused with the place and what would do, and what was stored stays', async () => {
  const { id } = await makeProduction(server);
  const plan = walkIn();
  const shot = await makeShot(server, id, { plan });
  const floor = plan.floor!;
  const refused: [Partial<ShotPlan>, string][] = [
    [{ floor: { ...floor, camera: [...floor.camera].reverse() } }, 'plan.floor.camera[1].timeS'],
    [{ floor: { ...floor, aims: [] } }, 'plan.floor.aims'],
    [{ floor: null }, 'plan.marks[0].method'],
  ];
  for (const [changes, path] of refused) {
    const body = (
      await server.request
        .put(`/api/shots/${shot.id}`)
        .send({ ...someShot({ plan: { ...plan, ...changes } }), version: 1 })
        .expect(400)
    ).body as ErrorBody;
    expect(body).toMatchObject({ path });
    expect(body.need).toBeTruthy();
  }
  const read = (await server.request.get(`/api/shots/${shot.id}`).expect(200)).body as ShotView;
  expect(read).toMatchObject({ version: 1, plan });
});
