import {
  type LensSetup,
  type ComparedSetup,
  compareSetups,
  formatDistance,
  formatGap,
  formatStop,
  type HeldEqual,
  isZoom,
  type Lens,
  type UnitSystem,
} from '@still-heron/core';
import { compareSentence, formatMatchText } from '@still-heron/wording';
import { useState } from 'react';
import clsx from 'clsx';
import { useSize } from '../../shared/useSize';
import { DistanceField } from '../../ui/fields/DistanceField';
import { WordChoice } from '../../ui/fields/WordChoice';
import { useKit } from '../../shared/api/useKit';
import { compareLayout } from './compareLayout';
import { CompareRowView, Frame, RowAxis } from './CompareRow';
import { SetupPicker } from './SetupPicker';
import type { CalculatorProps } from './calculatorProps';
import { Button } from '../../ui/Button';
import styles from './CompareView.module.css';
import { Sentence } from '../../ui/Sentence';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

const HELD: readonly { readonly value: HeldEqual; readonly word: string }[] = [
  { value: 'framing', word: 'the same framing' },
  { value: 'distance', word: 'the same distance' },
];
const MOST = 4;

/** Compares two to four set-ups on one scale. What is held equal comes first, because the result depends on it. */
export function CompareView({ optics, units }: CalculatorProps) {
  const [held, setHeld] = useState<HeldEqual>('framing');
  const [distanceMm, setDistanceMm] = useState(3000);
  const [backgroundMm, setBackgroundMm] = useState(6000);
  const { items } = useKit('lenses');
  const kitLenses = items.map(({ item }) => item.lens);
  const [others, setOthers] = useOthers(optics, kitLenses);
  const { ref, size } = useSize();
  const setups = [optics, ...others];
  const compared = compareSetups(setups, { held, distanceMm, backgroundBehindMm: backgroundMm });
  const layout = compareLayout(compared, {
    width: Math.max((size?.width ?? 0) - 2, 200),
    units,
    backgroundBehindMm: backgroundMm,
  });
  const change = (index: number, next: LensSetup) => setOthers(others.map((item, k) => (k === index ? next : item)));
  return (
    <div className={styles.compare}>
      <Sentence parts={compareSentence(setups, compared, held, units)} aria-live="polite" />
      <div className={styles.compareFields}>
        <WordChoice label="Compare at" chosen={held} choices={HELD} onChoose={setHeld} />
        <DistanceField
          label={held === 'framing' ? 'distance of the first set-up' : 'distance of all set-ups'}
          distanceMm={distanceMm}
          units={units}
          range={{ minMm: 4 * optics.focalLengthMm, maxMm: 1_000_000, reason: 'compared' }}
          onChange={setDistanceMm}
          testId="compare-distance"
        />
        <DistanceField label="background behind the subject" distanceMm={backgroundMm} units={units} onChange={setBackgroundMm} />
      </div>
      <div className={styles.compareRows}>
        {setups.map((setup, index) => (
          <section data-testid="compare-row" className={styles.compareRow} key={index} aria-label={`Set-up ${index + 1}`}>
            <header>
              <SetupHeading index={index} setup={setup} onChange={change} others={others} onOthers={setOthers} />
            </header>
            <div className={styles.compareDrawing} {...(index === 0 ? { ref } : {})}>
              {size && <CompareRowView layout={layout} row={layout.rows[index]!} />}
            </div>
            <div className={styles.compareFrame}>{compared[index]!.at && <Frame at={compared[index]!.at} />}</div>
            <Figures compared={compared[index]!} match={index === 0 ? null : formatMatchText(optics, setup)} units={units} />
          </section>
        ))}
        <div className={clsx(styles.compareRow, styles.compareAxis)}>
          <span />
          {size && <RowAxis layout={layout} units={units} />}
          <span />
          {others.length < MOST - 1 ? (
            <Button onClick={() => setOthers([...others, nextSetup(optics, setups, kitLenses)])}>Add a set-up</Button>
          ) : (
            <span />
          )}
        </div>
      </div>
    </div>
  );
}

interface SetupHeadingProps {
  readonly index: number;
  readonly setup: LensSetup;
  readonly onChange: (index: number, next: LensSetup) => void;
  readonly others: readonly LensSetup[];
  readonly onOthers: (value: readonly LensSetup[] | null) => void;
}

function SetupHeading({ index, setup, onChange, others, onOthers }: SetupHeadingProps) {
  return (
    <>
      {index === 0 ? (
        <p className={styles.compareFirst}>
          <strong>{setup.lens.name}</strong>
          <span className={textStyles.figure}>{formatStop(setup.stop, setup.lens.stopScale)}</span>
          <span className={textStyles.muted}>{setup.camera.name}</span>
        </p>
      ) : (
        <SetupPicker
          setup={setup}
          number={index + 1}
          onChange={(next) => onChange(index - 1, next)}
          {...(others.length > 1 ? { onRemove: () => onOthers(others.filter((_, k) => k !== index - 1)) } : {})}
        />
      )}
    </>
  );
}

interface FiguresProps {
  readonly compared: ComparedSetup;
  readonly match: string | null;
  readonly units: UnitSystem;
}

function Figures({ compared: { at, distanceMm, closeFocusMm }, match, units }: FiguresProps) {
  if (!at)
    return (
      <p className={clsx(styles.compareFigures, textStyles.toneSoft)}>
        It would have to stand at {formatDistance(distanceMm, units)} , and it focuses from {formatDistance(closeFocusMm, units)}{' '}
        on.
      </p>
    );
  return (
    <dl className={styles.compareFigures}>
      <div>
        <dt>zone</dt>
        <dd className={textStyles.figure}>
          −{formatGap(at.zone.inFrontMm, units)} /{' '}
          {at.zone.behindMm === Infinity ? 'any' : `+${formatGap(at.zone.behindMm, units)}`}
        </dd>
      </div>
      <div>
        <dt>ring window</dt>
        <dd className={textStyles.figure}>{at.windowDeg.toFixed(1)}°</dd>
      </div>
      <div>
        <dt>background blur, of the width</dt>
        <dd className={textStyles.figure}>{at.backgroundPercent.toFixed(1)} %</dd>
      </div>
      {match && <p className={fieldStyles.fieldHint}>{match}</p>}
    </dl>
  );
}

/** The set-ups beside the first one. By default, the lens of the kit that differs most from it. */
function useOthers(first: LensSetup, kitLenses: readonly Lens[]) {
  const [chosen, setChosen] = useState<readonly LensSetup[] | null>(null);
  return [chosen ?? [nextSetup(first, [first], kitLenses)], setChosen] as const;
}

/** The unused lens whose focal length differs most from the first one's; otherwise the first one stopped down. */
function nextSetup(first: LensSetup, held: readonly LensSetup[], kitLenses: readonly Lens[]): LensSetup {
  const apart = (lens: Lens) => Math.abs(Math.log(lens.focalLengthMm / first.focalLengthMm));
  const [lens] = kitLenses
    .filter((candidate) => !isZoom(candidate) && !held.some((setup) => setup.lens.name === candidate.name))
    .sort((a, b) => apart(b) - apart(a));
  if (!lens) return { ...first, stop: Math.min(first.stop * 2, first.lens.narrowestStop) };
  return {
    ...first,
    lens,
    focalLengthMm: lens.focalLengthMm,
    stop: Math.min(Math.max(first.stop, lens.widestStop), lens.narrowestStop),
  };
}
