import { adoptScaleOfMarks, commonOffset, isDeepEqual, readAndMeasured, scaleOfMarks, type ShotPlan } from '@still-heron/core';
import { commonOffsetText, offsetCauseText, readAgainstScaleText, scaleOfMarksText } from '@still-heron/wording';
import { useMemo } from 'react';
import { Button } from '../../ui/Button';
import { useEdit } from '../shot/useEdit';
import { useScaleInKit } from './useScaleInKit';
import styles from './RingScale.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

/** What the marks that were read off the ring say of its scale; nothing while none was read. */
export function RingScale({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const inKit = useScaleInKit(plan);
  const { marks, scale } = useMemo(() => scaleOfMarks(plan), [plan]);
  const offset = useMemo(() => commonOffset(plan), [plan]);
  const hasScale = plan.optics.lens.ring.kind === 'table';
  const isUsed = 'ring' in scale && isDeepEqual(scale.ring, plan.optics.lens.ring);
  const text = hasScale ? readAgainstScaleText(readAndMeasured(plan)) : scaleOfMarksText(marks, scale, isUsed);
  if (text === null) return null;
  return (
    <section data-testid="ring-scale" className={styles.ringScale}>
      <h2>Scale of the ring</h2>
      {offset && (
        <>
          <p className={textStyles.toneEdge}>{commonOffsetText(offset)}</p>
          <ul>
            {offset.causes.map((cause) => (
              <li key={cause.cause}>{offsetCauseText(cause)}</li>
            ))}
          </ul>
        </>
      )}
      <p>{text}</p>
      {!hasScale && 'ring' in scale && (
        <div className={styles.ringScaleUses}>
          {!isUsed && (
            <Button size="small" onClick={() => edit('use the scale of the readings', adoptScaleOfMarks)}>
              Use it in this shot
            </Button>
          )}
          {inKit.name !== null && (
            <Button size="small" onClick={() => inKit.save(scale.ring)}>
              Use it for {inKit.name} in Kit
            </Button>
          )}
        </div>
      )}
      {inKit.message && (
        <p className={inKit.isRefused ? fieldStyles.fieldProblem : textStyles.muted} role="status">
          {inKit.message}
        </p>
      )}
    </section>
  );
}
