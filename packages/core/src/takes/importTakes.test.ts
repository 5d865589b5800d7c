import { twoPeople } from '../../test/plans';
import { compareTakes } from './importTakes';
import { newTake } from './newTake';

const take = newTake(twoPeople(), 1);
const HERE = '11111111-2222-4333-8444-555555555555';
const ELSEWHERE = 'aaaaaaaa-bbbb-4ccc-8ddd-eeeeeeeeeeee';
const ID = '00000000-0000-4000-8000-0000000000f1';
const item = { id: ID, slate: '4A', number: 1, rolledAt: '2026-03-01T10:00:00.000Z', take };

test('in its own production a take is known by its id: the same, or changed since', () => {
  const known = [{ id: ID, take: { ...take, note: 'changed here' } }];
  expect(compareTakes([item], [{ id: ID, take }], HERE)).toMatchObject([{ id: ID, isSame: true }]);
  expect(compareTakes([item], known, HERE)).toMatchObject([{ id: ID, known: known[0], isSame: false }]);
});

test('in another production it gets an id of its own there, and is found by it when the file is read again', () => {
  const [first] = compareTakes([item], [], HERE);
  expect(first).toMatchObject({ known: null, isSame: false });
  expect(first!.id).toMatch(/^[\da-f]{8}-[\da-f]{4}-8[\da-f]{3}-[89ab][\da-f]{3}-[\da-f]{12}$/);
  expect(first!.id).not.toBe(ID);
  expect(compareTakes([item], [], ELSEWHERE)[0]!.id).not.toBe(first!.id);
  expect(compareTakes([{ ...item, id: HERE }], [], HERE)[0]!.id).not.toBe(first!.id);
  expect(compareTakes([item], [{ id: first!.id, take }], HERE)).toMatchObject([{ id: first!.id, isSame: true }]);
});

test('what is no id stays as it is, so that it can be refused', () => {
  expect(compareTakes([{ ...item, id: 'seven' }], [], HERE)).toMatchObject([{ id: 'seven', known: null }]);
});

test('one without an id is new each time', () => {
  expect(compareTakes([{ ...item, id: '' }], [{ id: ID, take }], HERE)).toMatchObject([{ id: '', known: null }]);
});
