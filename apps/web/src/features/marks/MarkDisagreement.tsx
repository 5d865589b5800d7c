import { disagreementText } from '@still-heron/wording';
import { disagreement, drawAtDistance, formatDistance, formatGap, adoptDrawnDistance } from '@still-heron/core';
import { useMemo } from 'react';
import type { MarkProps } from './markProps';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';

/** A mark whose tape and drawing disagree: the tape wins; the page shows the loss if the drawing is right. */
export function MarkDisagreement({ mark, plan, units }: MarkProps) {
  const edit = useEdit();
  const found = useMemo(() => disagreement(plan, mark), [plan, mark]);
  if (!found) return null;
  const { drawnMm, tapedMm, sharpS } = found;
  const loses = sharpS ? sharpS.byTape - sharpS.byDrawing : 0;
  return (
    <p className={textStyles.toneEdge}>
      drawn {formatDistance(drawnMm, units)}, taped {formatDistance(tapedMm, units)}: the tape counts, difference{' '}
      {formatGap(tapedMm - drawnMm, units)}. {sharpS && <span>{disagreementText(loses)} </span>}
      <Button
        look="quiet"
        onClick={() => edit(`use the drawn distance of ${mark.letter}`, (now) => adoptDrawnDistance(now, mark.id))}
      >
        Use the drawn distance
      </Button>
      <Button
        look="quiet"
        onClick={() => edit(`draw ${mark.letter} where it was taped`, (now) => drawAtDistance(now, mark.id, tapedMm))}
      >
        Draw it where it was taped
      </Button>
    </p>
  );
}
