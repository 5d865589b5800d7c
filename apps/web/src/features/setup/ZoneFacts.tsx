import { formatStop, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { zoneFacts } from '@still-heron/wording';
import { Explain } from '../../ui/fields/Explain';
import type { ZoneFigures } from './zoneFigures';
import styles from './ZoneFacts.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly figures: ZoneFigures;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Figures of the zone, each with its formula and current values. */
export function ZoneFacts({ figures, plan, units }: Props) {
  const { circleMm, airyMm } = figures;
  const { lens, stop } = plan.optics;
  const facts = zoneFacts(figures, plan, units);
  return (
    <div data-testid="zone-facts" className={styles.zoneFacts}>
      <dl>
        {facts.map(({ word, value, what, lines }) => (
          <div key={word}>
            <dt>{word}</dt>
            <dd className={textStyles.figure}>
              <Explain what={what} lines={lines}>
                {value}
              </Explain>
            </dd>
          </div>
        ))}
      </dl>
      {airyMm > circleMm && (
        <p className={textStyles.toneEdge} role="note">
          At {formatStop(stop, lens.stopScale)} diffraction makes every point {(airyMm * 1000).toFixed(1)} µm wide, more than the{' '}
          {(circleMm * 1000).toFixed(1)} µm of the circle of confusion: the whole picture gets a little soft. Open up for full
          sharpness.
        </p>
      )}
    </div>
  );
}
