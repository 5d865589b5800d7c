import { evaluatePull, formatTime, layLine, LINE_WAYS, type LineWay, type ShotPlan } from '@still-heron/core';
import { useMemo } from 'react';
import { useAppDispatch } from '../../app/store';
import { itemSelected } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';

const WORDS: Readonly<Record<LineWay, string>> = { 'fewest-holds': 'Fewest settings', fixed: 'One setting' };

/** Lines that the program would lay for what must be sharp, each with what would come of it; a press takes one. */
export function LayLine({ plan, onLaid }: { readonly plan: ShotPlan; readonly onLaid: () => void }) {
  const dispatch = useAppDispatch();
  const offers = useMemo(() => LINE_WAYS.flatMap((way) => offerOf(plan, way)), [plan]);
  if (offers.length === 0)
    return <p className="lay-line">Nobody has to be sharp yet: say who, and when, and a line can be laid for it.</p>;
  return (
    <div className="lay-line" role="group" aria-label="Lay the line">
      {offers.map(({ way, laid, result, isWhole }) => (
        <button
          key={way}
          type="button"
          onClick={() => {
            dispatch(editPlan(`lay the line: ${WORDS[way].toLowerCase()}`, () => laid));
            dispatch(itemSelected(null));
            onLaid();
          }}
        >
          <strong>{WORDS[way]}</strong>
          <span className={isWhole ? 'tone-sharp' : 'tone-edge'}>{result}</span>
        </button>
      ))}
    </div>
  );
}

interface Offer {
  readonly way: LineWay;
  readonly laid: ShotPlan;
  readonly result: string;
  readonly isWhole: boolean;
}

function offerOf(plan: ShotPlan, way: LineWay): Offer[] {
  const line = layLine(plan, way);
  const verdict = line && evaluatePull(line.plan);
  if (!line || verdict?.status !== 'judged') return [];
  const { sharpFrames, requiredFrames, captureFps } = verdict;
  const isWhole = sharpFrames === requiredFrames;
  const kept = isWhole
    ? `sharp for all ${formatTime(requiredFrames / captureFps)}`
    : `sharp ${(sharpFrames / captureFps).toFixed(1)} of ${formatTime(requiredFrames / captureFps)}`;
  const changes = way === 'fixed' ? '' : `, ${line.holds} in all`;
  const impossible =
    line.impossibleFromS === null ? '' : `; from ${formatTime(line.impossibleFromS)} nothing keeps everyone at this stop`;
  return [{ way, laid: line.plan, result: `${kept}${changes}${impossible}`, isWhole }];
}
