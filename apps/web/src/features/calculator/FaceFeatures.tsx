import { blurDiameterMm, depthOfField, zoneLensOf } from '@still-heron/core';
import { useState } from 'react';
import { DistanceField } from '../../ui/fields/DistanceField';
import { NumberField } from '../../ui/fields/NumberField';
import { attempt } from './attempt';
import type { CalculatorProps } from './calculatorProps';
import styles from './FaceFeatures.module.css';
import textStyles from '../../ui/text.module.css';

/** Distances of parts of a face from the near eye in mm, positive away from the lens. Typical values, editable. */
const FACE = [
  { word: 'nose', mm: -25 },
  { word: 'far eye, head turned', mm: 30 },
  { word: 'ear', mm: 95 },
] as const;

/** Sharpness of the other parts of a face, with focus on the near eye. */
export function FaceFeatures({ optics, units }: CalculatorProps) {
  const [atMm, setAtMm] = useState(1200);
  const [offsets, setOffsets] = useState<readonly number[]>(FACE.map(({ mm }) => mm));
  const lens = zoneLensOf(optics);
  const zone = attempt(() => depthOfField({ ...lens, focusDistanceMm: atMm }));
  return (
    <section aria-label="Small features">
      <h2>Sharp on the near eye: what else is sharp?</h2>
      <DistanceField label="the eye is at" distanceMm={atMm} units={units} onChange={setAtMm} />
      {'problem' in zone ? (
        <p className={textStyles.toneSoft}>{zone.problem}</p>
      ) : (
        <>
          <ul className={styles.featureList}>
            {FACE.map(({ word }, index) => {
              const offset = offsets[index]!;
              const circles =
                blurDiameterMm({ ...lens, focusDistanceMm: atMm, subjectDistanceMm: atMm + offset }) / lens.circleOfConfusionMm;
              return (
                <li key={word}>
                  <NumberField
                    label={word}
                    unit="mm"
                    step={5}
                    min={-400}
                    max={1000}
                    value={offset}
                    onChange={(mm) => setOffsets(offsets.map((item, k) => (k === index ? mm : item)))}
                  />
                  <strong className={circles <= 1 ? textStyles.toneSharp : textStyles.toneSoft}>
                    {circles <= 1 ? 'sharp' : `soft, ${circles.toFixed(1)} circles of confusion`}
                  </strong>
                </li>
              );
            })}
          </ul>
          <p className={textStyles.figure}>
            {closeUp(zone.value.inFrontMm)} in front,{' '}
            {zone.value.behindMm === Infinity ? 'everything' : closeUp(zone.value.behindMm)} behind · magnification{' '}
            {zone.value.magnification.toFixed(3)}
          </p>
        </>
      )}
    </section>
  );
}

/** Close up, distances are shown in millimetres. */
function closeUp(mm: number): string {
  return mm < 300 ? `${mm < 10 ? mm.toFixed(1) : mm.toFixed(0)} mm` : `${(mm / 1000).toFixed(2)} m`;
}
