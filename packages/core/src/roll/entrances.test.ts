import { addSubjectAt, framedSpans, newPlan, setAim, type ShotPlan, walkTo } from '../plan/index';
import { twoPeople } from '../../test/plans';
import { entrances } from './entrances';

const at = (xMm: number, yMm: number) => ({ xMm, yMm });

/** The camera looks along x, and y is to its left. */
const crossing = (fromY: number): ShotPlan =>
  walkTo(addSubjectAt(newPlan(), 'Ines', at(4000, fromY)), 'subject-1', at(4000, -fromY), 8);

test('who crosses the picture comes in on the side that they come from', () => {
  const plan = crossing(4000);
  const [span] = framedSpans(plan, plan.subjects[0]!)!;
  expect(entrances(plan)).toEqual([{ subjectId: 'subject-1', timeS: span!.fromS, side: 'left' }]);
  expect(entrances(crossing(-4000))).toMatchObject([{ side: 'right' }]);
});

test('two who come in are told in order of time', () => {
  let plan = crossing(4000);
  plan = walkTo(addSubjectAt(plan, 'Old Tam', at(3000, -2500)), 'subject-2', at(3000, 0), 6);
  const all = entrances(plan);
  expect(all.map(({ subjectId, side }) => [subjectId, side]).sort()).toEqual([
    ['subject-1', 'left'],
    ['subject-2', 'right'],
  ]);
  expect(all[0]!.timeS).toBeLessThanOrEqual(all[1]!.timeS);
});

test('who is in the picture from the start, is kept in it, or is not drawn does not come in', () => {
  const plan = crossing(4000);
  expect(entrances(setAim(plan, { kind: 'subject', subjectId: 'subject-1' }))).toEqual([]);
  expect(entrances(twoPeople())).toEqual([]);
});
