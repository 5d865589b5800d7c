import { formatStop, formatStops, type Mend, type ShotPlan, targetName, type UnitSystem } from '@still-heron/core';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../../app/store';
import { useKeys } from '../../app/useKeys';
import { mendsFor } from '../../workers/evaluator';
import { editPlan } from '../shot/shotSlice';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Nothing is tried while a hand is still at it. */
const QUIET_MS = 300;

/** What would mend the plan, in a row that is there whether or not it is filled, so that nothing under it moves while something is dragged: each tried in the background and offered with its result; X takes the first. */
export function Mends({ plan, units }: Props) {
  const dispatch = useAppDispatch();
  const mends = useMends(plan);
  const take = (mend: Mend) => dispatch(editPlan(uncapitalised(mendName(mend, plan, units)), () => mend.plan));
  useKeys('x', () => {
    if (mends[0]) take(mends[0]);
  });
  return (
    <ul className="mends" aria-label="What would mend it">
      {mends.map((mend, index) => (
        <li key={mendName(mend, plan, units)}>
          <button type="button" onClick={() => take(mend)}>
            <strong>{mendName(mend, plan, units)}</strong>{' '}
            <span className={mend.outcome === 'sharp' ? 'tone-sharp' : 'tone-edge'}>{resultWords(mend)}</span>
            {index === 0 && <kbd className="key">X</kbd>}
          </button>
        </li>
      ))}
    </ul>
  );
}

/** As the name of a step within a sentence: “Undo: start 0.3 s sooner”. */
function uncapitalised(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1);
}

/** Mends of the plan as it stands; none until they are known, and never those of another plan. */
function useMends(plan: ShotPlan): readonly Mend[] {
  const [found, setFound] = useState<{ readonly plan: ShotPlan; readonly mends: readonly Mend[] } | null>(null);
  useEffect(() => {
    let isCurrent = true;
    const timer = setTimeout(() => {
      void mendsFor(plan).then((mends) => isCurrent && setFound({ plan, mends }));
    }, QUIET_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [plan]);
  return found?.plan === plan ? found.mends : [];
}

function mendName({ change }: Mend, plan: ShotPlan, units: UnitSystem): string {
  if (change.kind === 'lay-line') return change.holds === 1 ? 'Set the ring once' : `Lay the line, ${change.holds} settings`;
  if (change.kind === 'stop') {
    const { stopScale } = plan.optics.lens;
    return `${formatStop(change.from, stopScale)} → ${formatStop(change.to, stopScale)}`;
  }
  const move = plan.line.moves.find(({ id }) => id === change.moveId);
  const to = move && plan.line.moves.length > 1 ? `Pull to ${targetName(move.target, plan, units)}: ` : '';
  const by = `${change.byS.toFixed(1)} s`;
  const words = {
    earlier: `start ${by} sooner`,
    later: `start ${by} later`,
    longer: `start ${by} sooner, land the same`,
    shorter: `start ${by} later, land the same`,
  }[change.kind];
  return to === '' ? words.charAt(0).toUpperCase() + words.slice(1) : to + words;
}

function resultWords({ sharpS, requiredS, outcome, stopsLost }: Mend): string {
  const kept =
    requiredS - sharpS < 1e-6
      ? `sharp for all ${requiredS.toFixed(1)} s`
      : `sharp ${sharpS.toFixed(1)} of ${requiredS.toFixed(1)} s`;
  const hand = outcome === 'barely' ? ', barely' : outcome === 'beyond-the-hand' ? ', on paper' : '';
  return `→ ${kept}${hand}${stopsLost > 0.1 ? `, ${formatStops(stopsLost)} less light` : ''}`;
}
