import type { ProductionView } from '@still-heron/contract';
import { createOrderSender, type ShotOrder } from './orderSender';

/** A server that takes an order only with the version it has, when the test says so. */
function slowServer() {
  let version = 4;
  const asked: { order: ShotOrder; answer: () => void; fail: () => void }[] = [];
  const send = (order: ShotOrder) =>
    new Promise<{ data?: ProductionView; error?: string }>((answer, reject) =>
      asked.push({
        order,
        answer: () =>
          answer(order.version === version ? { data: { version: ++version } as ProductionView } : { error: 'conflict' }),
        fail: () => reject(new Error('no answer')),
      }),
    );
  return { asked, send };
}

const settle = () => new Promise((done) => setTimeout(done, 0));
const order = (...shotIds: string[]): ShotOrder => ({ productionId: 'bell', version: 4, shotIds });

test('two moves in quick succession are both taken: the second waits for the version of the first', async () => {
  const { asked, send } = slowServer();
  const sendOrder = createOrderSender();
  // the page has not heard of the first when the second is made
  const [first, second] = [sendOrder(order('b', 'a', 'c'), send), sendOrder(order('b', 'c', 'a'), send)];
  await settle();
  expect(asked).toHaveLength(1);
  asked[0]!.answer();
  expect(await first).toMatchObject({ data: { version: 5 } });
  await settle();
  expect(asked[1]!.order).toEqual({ ...order('b', 'c', 'a'), version: 5 });
  asked[1]!.answer();
  expect(await second).toMatchObject({ data: { version: 6 } });
});

test('after a refusal the version counts that the page has read since', async () => {
  const { asked, send } = slowServer();
  const sendOrder = createOrderSender();
  const first = sendOrder(order('b', 'a'), send);
  await settle();
  asked[0]!.answer();
  await first;
  const refused = sendOrder({ ...order('a', 'b'), version: 9 }, send);
  await settle();
  asked[1]!.answer();
  expect(await refused).toEqual({ error: 'conflict' });
  void sendOrder({ ...order('a', 'b'), version: 2 }, send);
  await settle();
  expect(asked[2]!.order.version).toBe(2);
});

test('an order that is refused or gets no answer does not hold back the next one', async () => {
  const { asked, send } = slowServer();
  const sendOrder = createOrderSender();
  const lost = sendOrder(order('b', 'a'), send);
  const next = sendOrder({ ...order('a', 'b'), productionId: 'other' }, send);
  await settle();
  asked[0]!.fail();
  await expect(lost).rejects.toThrow('no answer');
  await settle();
  asked[1]!.answer();
  expect(await next).toMatchObject({ data: { version: 5 } });
});
