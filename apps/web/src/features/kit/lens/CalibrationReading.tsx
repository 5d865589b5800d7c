import { formatDistanceFigure, KIT_LIMITS, type Lens, ringDegOfArc, ringOf, type UnitSystem } from '@still-heron/core';
import { useState } from 'react';
import { OptionalNumberField } from '../../../ui/fields/OptionalNumberField';
import { QuantityField } from '../../../ui/fields/QuantityField';
import { readDistance } from '../../../ui/fields/readDistance';

/** What a reading is typed in. Figures are those of the scale that the ring has so far. */
export type ReadIn = 'degrees' | 'rim' | 'figures';

/** Tape on the rim needs its diameter; figures need a scale. */
export function readChoices({ ringDiameterMm, ring }: Lens): { readonly value: ReadIn; readonly word: string }[] {
  return [
    { value: 'degrees', word: 'degrees' },
    ...(ringDiameterMm === null ? [] : [{ value: 'rim' as const, word: 'mm of tape on the rim' }]),
    ...(ring.kind === 'table' ? [{ value: 'figures' as const, word: 'engraved figures' }] : []),
  ];
}

interface Props {
  readonly lens: Lens;
  readonly units: UnitSystem;
  readonly reads: ReadIn;
  readonly guessDeg: number;
  readonly onChange: (ringDeg: number | null) => void;
}

/** What the ring shows. It is empty until somebody has read it: the expected angle is only a hint. */
export function ReadingField({ lens, units, reads, guessDeg, onChange }: Props) {
  const [typed, setTyped] = useState<number | null>(null);
  const take = (value: number | null) => {
    setTyped(value);
    onChange(value === null ? null : ringDegOfReading(lens, reads, value));
  };
  if (reads === 'figures')
    return (
      <QuantityField<number | null>
        label="figure at the index"
        value={typed}
        print={(mm) => (mm === null ? '' : formatDistanceFigure(mm, units))}
        placeholder="read it"
        testId="calibration-reading"
        hasCursor
        read={(text) => readDistance(text, units, { minMm: ringOf(lens).closeFocusMm, maxMm: ringOf(lens).farthestMm })}
        onChange={take}
      />
    );
  const unit = reads === 'rim' ? 'mm' : '°';
  const expected = reads === 'rim' ? guessDeg / ringDegOfArc(1, lens.ringDiameterMm!) : guessDeg;
  return (
    <OptionalNumberField
      label={reads === 'rim' ? 'tape along the rim from the first mark' : 'ring reading'}
      unit={unit}
      decimals={1}
      {...KIT_LIMITS.ringDeg}
      value={typed}
      placeholder={`about ${Math.round(expected)}?`}
      testId="calibration-reading"
      hasCursor
      onChange={take}
    />
  );
}

function ringDegOfReading(lens: Lens, reads: ReadIn, value: number): number {
  if (reads === 'figures') return ringOf(lens).angleAt(value);
  return reads === 'rim' ? ringDegOfArc(value, lens.ringDiameterMm!) : value;
}
