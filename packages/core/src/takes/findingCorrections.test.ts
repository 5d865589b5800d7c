import { twoPeople } from '../../test/plans';
import { setStop } from '../plan/index';
import { adviseNext } from './advice';
import { findingCorrections } from './findingCorrections';
import { FINDINGS_AT, type FindingPlace, type LoggedFinding } from './findings';
import { newTake } from './newTake';

const plan = setStop(twoPeople(), 3.2);
const PLACES: readonly FindingPlace[] = [
  { kind: 'arrival', subjectId: 'subject-1', markId: 'mark-1' },
  { kind: 'beat', beatId: 'beat-1' },
  { kind: 'key-moment', beatId: 'beat-1' },
  { kind: 'time', timeS: 3 },
];

describe.each(PLACES)('a fault at $kind', (at) => {
  test.each(FINDINGS_AT[at.kind].filter((found) => found !== 'fine'))('%s asks for a change, until it was fine', (found) => {
    const fault: LoggedFinding = { at, found };
    const [once] = findingCorrections(plan, [[fault]]);
    expect(once).toMatchObject({ at, found, times: 1 });
    expect(findingCorrections(plan, [[fault], [], [fault]])[0]).toMatchObject({ times: 2 });
    // what was fine the last time needs no change; nothing said of a time is not fine
    if (at.kind !== 'time') expect(findingCorrections(plan, [[fault], [{ at, found: 'fine' }]])).toEqual([]);
  });
});

test('who drifted out of the zone gets a deeper one: a stop smaller, as the lens has it', () => {
  for (const found of ['left-zone', 'drifted-nearer', 'drifted-farther'] as const) {
    const [one] = findingCorrections(plan, [[{ at: PLACES[1]!, found }]]);
    expect(one!.plan!.optics.stop / 3.2).toBeGreaterThan(1.35);
    expect(one!.plan!.optics.stop / 3.2).toBeLessThan(1.45);
  }
  const smallest = setStop(plan, 1000);
  expect(findingCorrections(smallest, [[{ at: PLACES[1]!, found: 'left-zone' }]])[0]!.plan).toBeNull();
  expect(findingCorrections(plan, [[{ at: PLACES[1]!, found: 'searched' }]])[0]!.plan).toBeNull();
});

test('two faults at different times are told apart by what went wrong, and the same one is counted', () => {
  const at = (timeS: number): FindingPlace => ({ kind: 'time', timeS });
  const found = findingCorrections(plan, [
    [{ at: at(2), found: 'camera-jumped' }],
    [
      { at: at(3.5), found: 'camera-jumped' },
      { at: at(4), found: 'searched' },
    ],
  ]);
  expect(found.map(({ found: what, times }) => [what, times])).toEqual([
    ['camera-jumped', 2],
    ['searched', 1],
  ]);
});

test('a shot without pulls in which the same thing went wrong twice asks for a change first', () => {
  const fixed = { ...plan, focusTrack: { start: { kind: 'mark' as const, markId: 'mark-1' }, pulls: [] } };
  const lost = { ...newTake(fixed, 1), focus: 'soft' as const, findings: [{ at: PLACES[1]!, found: 'left-zone' as const }] };
  expect(adviseNext(fixed, [lost])).toMatchObject({ advice: 'go-again', others: [{ found: 'left-zone', times: 1 }] });
  expect(adviseNext(fixed, [lost, lost])).toMatchObject({ advice: 'change-first', others: [{ times: 2 }] });
});
