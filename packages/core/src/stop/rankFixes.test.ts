import { twoPeople } from '../../test/plans';
import { addPull, changeBeat, changePull, setStop, type ShotPlan } from '../plan/index';
import { solveTrack } from '../track/index';
import { drawLayoutOf, prepareTrials, runTrials } from '../trials/index';
import { type Fix, findFixes } from '../verdict/index';
import { suggestImprovements } from './improvements';
import { rankFixes, takesKept } from './rankFixes';

/** Ines must be sharp from 5 s on; the pull to her starts too late for it. */
const late = changeBeat(changePull(setStop(twoPeople(), 2.8), 'pull-1', { startS: 4.6, durationS: 0.8 }), 'beat-2', { fromS: 5 });

function keepRateOf(plan: ShotPlan, like: ShotPlan): number {
  const prepared = prepareTrials(plan, { order: drawLayoutOf(like) });
  if ('missing' in prepared) throw new Error('nothing to judge');
  return runTrials(prepared, 1, { first: 0, count: 1000 }).kept / 1000;
}

const fixOf = (change: Fix['change'], sharpS: number): Fix => ({
  change,
  plan: late,
  outcome: 'sharp',
  sharpS,
  requiredS: 8.4,
  stopsLost: 0,
});

describe('fixes by the takes that they keep', () => {
  const sooner = fixOf({ kind: 'earlier', pullId: 'pull-1', byS: 0.4 }, 8.4);
  const longer = fixOf({ kind: 'longer', pullId: 'pull-1', byS: 0.3 }, 8.1);
  const follow = fixOf({ kind: 'follow', subjectId: 'subject-2', leadS: 0 }, 8.2);
  const reversed = fixOf({ kind: 'reversed' }, 8.4);

  test('“all 8.4 s; 61 of 100, was 77” comes after one that keeps more, though that one keeps fewer seconds', () => {
    const ranked = rankFixes([sooner, longer, follow], [0.61, 0.83, 0.77], 0.77);
    expect(ranked.map(({ change, takes }) => [change.kind, takes])).toEqual([
      ['longer', 'more'],
      ['follow', 'same'],
      ['earlier', 'fewer'],
    ]);
  });

  test('of two that keep more, the one that gains most for a minute on the set is first', () => {
    // 20 takes for 2 minutes, or 12 for half a minute
    const ranked = rankFixes([follow, longer], [0.97, 0.89], 0.77);
    expect(ranked.map(({ change }) => change.kind)).toEqual(['longer', 'follow']);
  });

  test('to shoot it reversed is offered only if more takes are kept', () => {
    expect(rankFixes([reversed], [0.77], 0.77)).toEqual([]);
    expect(rankFixes([reversed], [0.5], 0.77)).toEqual([]);
    expect(rankFixes([reversed], [0.9], 0.77)).toHaveLength(1);
  });

  test('what is not known is neither more nor fewer', () => {
    expect(takesKept(null, 0.5)).toEqual({ keepRate: null, keepRateBefore: 0.5, takes: 'same' });
    expect(rankFixes([sooner], [null], 0.77)[0]).toMatchObject({ keepRate: null, takes: 'same' });
  });

  test('the first fix of a late pull keeps more takes than before, by the same draws', () => {
    const fixes = findFixes(late);
    const before = keepRateOf(late, late);
    const ranked = rankFixes(
      fixes,
      fixes.map(({ plan }) => keepRateOf(plan, late)),
      before,
    );
    expect(ranked.length).toBeGreaterThan(1);
    expect(keepRateOf(ranked[0]!.plan, late)).toBeGreaterThan(before);
    const order = ranked.map(({ takes }) => ['more', 'same', 'fewer'].indexOf(takes));
    expect(order).toEqual([...order].sort());
  });
});

describe('a pull that an event sets off', () => {
  const onLook = changePull(late, 'pull-1', { trigger: 'look', cue: 'she turns' });

  test('is not started before it by any fix or improvement', () => {
    expect(findFixes(late).map(({ change }) => change.kind)).toEqual(expect.arrayContaining(['earlier']));
    const kinds = findFixes(onLook).map(({ change }) => change.kind);
    expect(kinds).not.toContain('earlier');
    expect(kinds).not.toContain('longer');
    for (const { plan } of [...findFixes(onLook), ...suggestImprovements(onLook)])
      for (const pull of plan.focusTrack.pulls)
        if (pull.trigger === 'look') expect(pull.startS).toBeGreaterThanOrEqual(4.6 - 1e-9);
    const sooner = ({ change }: ReturnType<typeof suggestImprovements>[number]) =>
      change.kind === 'fix' && change.change.kind === 'longer';
    expect(suggestImprovements(late).some(sooner)).toBe(true);
    expect(suggestImprovements(onLook).some(sooner)).toBe(false);
  });

  test.each(['fewest-holds', 'retime'] as const)('nor by the solver: %s', (way) => {
    const byClock = solveTrack(late, way)!.plan.focusTrack.pulls[0]!;
    expect(byClock.startS).toBeLessThan(4.6);
    const [pull] = solveTrack(onLook, way)!.plan.focusTrack.pulls;
    if (pull!.trigger === 'look') expect(pull!.startS).toBeGreaterThanOrEqual(4.6 - 1e-9);
    // the event comes too late for what is required: only the clock can set it off
    else expect([pull!.trigger, pull!.cue, solveTrack(onLook, way)!.cuesGivenUp]).toEqual(['clock', '', 1]);
  });

  test('it stays with its event where there is time for both', () => {
    const easy = changeBeat(onLook, 'beat-2', { fromS: 7 });
    const there = addPull(easy, 'mark-1', 9);
    const [pull] = solveTrack(there, 'fewest-holds')!.plan.focusTrack.pulls;
    expect(pull).toMatchObject({ trigger: 'look', cue: 'she turns' });
    expect(pull!.startS).toBeGreaterThanOrEqual(4.6 - 1e-9);
  });
});
