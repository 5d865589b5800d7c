import { type Mark, markReading, readGear, readingProblem, type RingReading, ringOf } from '@still-heron/core';
import { problemText, typeSentence } from '@still-heron/wording';
import { useState } from 'react';
import { DistanceField } from '../../ui/fields/DistanceField';
import { NumberField } from '../../ui/fields/NumberField';
import type { MarkProps } from './markProps';
import fieldStyles from '../../ui/fields/fields.module.css';

type Figures = Extract<RingReading, { kind: 'figures' }>;

interface Props extends MarkProps {
  readonly onChange: (reading: RingReading, gesture?: string) => void;
}

/** A reading between two engraved figures: both figures, and tenths of the way between them. */
export function FigureReading({ mark, plan, units, onChange }: Props) {
  const [draft, setDraft] = useState<Figures>(() => figuresOf(mark, plan));
  const [problem, setProblem] = useState<string | null>(null);
  const change = (changes: Partial<Figures>, gesture: string) => {
    const next = { ...draft, ...changes };
    setDraft(next);
    const refused = readingProblem(readGear(plan), next, 'reading');
    setProblem(refused && typeSentence(problemText(refused)));
    if (!refused) onChange(next, gesture);
  };
  const inCode = (mm: number) => (mm === Infinity ? null : mm);
  return (
    <div className={fieldStyles.fieldPair}>
      <DistanceField
        label="from the figure"
        distanceMm={draft.fromMm ?? Infinity}
        units={units}
        onChange={(mm, gesture) => change({ fromMm: inCode(mm) }, gesture)}
      />
      <DistanceField
        label="to the figure"
        distanceMm={draft.toMm ?? Infinity}
        units={units}
        onChange={(mm, gesture) => change({ toMm: inCode(mm) }, gesture)}
      />
      <NumberField
        label="tenths of the way between"
        value={draft.share * 10}
        min={0}
        max={10}
        step={1}
        decimals={1}
        testId="ring-tenths"
        onChange={(tenths, gesture) => change({ share: tenths / 10 }, gesture)}
      />
      {problem && (
        <p className={fieldStyles.fieldProblem} role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

/** The reading of a mark, or else the figures beside its distance, to start from. */
function figuresOf(mark: Mark, plan: MarkProps['plan']): Figures {
  if (mark.reading?.kind === 'figures') return mark.reading;
  const { nearerFigure, fartherFigure } = markReading(plan, mark);
  const { closeFocusMm } = ringOf(plan.optics.lens);
  return {
    kind: 'figures',
    fromMm: fartherFigure ? fartherFigure.distanceMm : null,
    toMm: nearerFigure?.distanceMm ?? closeFocusMm,
    share: 0,
  };
}
