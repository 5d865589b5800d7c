import { type LensSetup, defaultLens, widestStopAt, type Lens } from '@still-heron/core';
import { useState } from 'react';
import clsx from 'clsx';
import { useAppSelector } from '../../shared/store/hooks';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import { ZoneCalculator } from '../calculator/ZoneCalculator';
import { useKit } from '../../shared/api/useKit';
import layoutStyles from '../../ui/layout.module.css';
import styles from './KitCalculator.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import { formatChoices, modeChoices } from '../calculator/cameraChoices';
import { mediumLens } from './mediumLens';

/** Zone calculator without a shot, for any camera and lens of the kit or a generic format. */
export function KitCalculator() {
  const { units } = useAppSelector((state) => state.preferences);
  const { items: lenses } = useKit('lenses');
  const { items: cameras } = useKit('cameras');
  const [chosenCamera, setCameraKey] = useState<string | null>(null);
  const [lensId, setLensId] = useState<string | null>(null);
  const [stop, setStop] = useState<number | null>(null);
  const [focalMm, setFocalMm] = useState<number | null>(null);
  const modes = modeChoices(cameras);
  const formats = formatChoices();
  // the only camera of Kit is the one that is meant
  const cameraKey = chosenCamera ?? (cameras.length === 1 ? modes[0]?.value : undefined) ?? 's35-16x9';
  const camera = [...modes, ...formats].find(({ value }) => value === cameraKey)?.camera ?? formats[0]!.camera;
  const middle = mediumLens(lenses);
  const lens =
    (lenses.find(({ id }) => id === lensId) ?? middle)?.item.lens ??
    defaultLens({ name: '50 mm', focalLengthMm: 50, closeFocusMm: 500 });
  const focalLengthMm = Math.min(Math.max(focalMm ?? lens.focalLengthMm, lens.focalLengthMm), lens.longestMm);
  const optics: LensSetup = {
    camera,
    lens,
    focalLengthMm,
    stop: Math.min(Math.max(stop ?? 0, widestStopAt(lens, focalLengthMm)), lens.narrowestStop),
    sharpness: { kind: 'diagonal', divisor: 1500 },
  };
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={clsx(layoutStyles.surface, styles.calculatorSurface)}>
        <ZoneCalculator optics={optics} units={units} onStop={setStop} />
      </div>
      <aside data-testid="side" className={layoutStyles.side} aria-label="In the calculator">
        <section>
          <h2>In the calculator</h2>
          <Choice label="camera" isSearched value={cameraKey} choices={[...modes, ...formats]} onPick={setCameraKey} />
          {lenses.length > 0 && (
            <Choice
              label="lens"
              isSearched
              value={(lenses.find(({ id }) => id === lensId) ?? middle!).id}
              choices={lenses.map(({ id, item }) => ({ value: id, word: item.lens.name }))}
              onPick={(id) => {
                setLensId(id);
                setStop(null);
                setFocalMm(null);
              }}
            />
          )}
          {lens.longestMm > lens.focalLengthMm && <ZoomField lens={lens} focalLengthMm={focalLengthMm} onFocalMm={setFocalMm} />}
          <p className={fieldStyles.fieldHint}>
            Limit of sharpness: 1/1500 of the diagonal. In a shot the calculator is in Set-up and uses the limit of the shot.
          </p>
        </section>
      </aside>
    </div>
  );
}

function ZoomField({
  lens,
  focalLengthMm,
  onFocalMm,
}: {
  readonly lens: Lens;
  readonly focalLengthMm: number;
  readonly onFocalMm: (value: number | null) => void;
}) {
  return (
    <NumberField
      label="zoomed to"
      unit="mm"
      step={1}
      decimals={1}
      min={lens.focalLengthMm}
      max={lens.longestMm}
      value={focalLengthMm}
      onChange={onFocalMm}
    />
  );
}
