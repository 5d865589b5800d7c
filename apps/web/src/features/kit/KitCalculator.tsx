import { type LensSetup, cameraInMode, cameraOf, FORMATS, defaultLens, widestStopAt } from '@still-heron/core';
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

/** Zone calculator without a shot, for any camera and lens of the kit or a generic format. */
export function KitCalculator() {
  const { units } = useAppSelector((state) => state.preferences);
  const { items: lenses } = useKit('lenses');
  const { items: cameras } = useKit('cameras');
  const [chosenCamera, setCameraKey] = useState<string | null>(null);
  const [lensId, setLensId] = useState<string | null>(null);
  const [stop, setStop] = useState<number | null>(null);
  const [focalMm, setFocalMm] = useState<number | null>(null);
  const modes = cameras.flatMap(({ id, item }) =>
    item.modes.map((mode) => ({
      value: `${id}/${mode.id}`,
      word: `${item.name}, ${mode.name}`,
      camera: cameraInMode(item, mode.id, null),
    })),
  );
  const formats = FORMATS.map((format) => ({ value: format.id, word: format.name, camera: cameraOf(format) }));
  // the only camera of Kit is the one that is meant
  const cameraKey = chosenCamera ?? (cameras.length === 1 ? modes[0]?.value : undefined) ?? 's35-16x9';
  const camera = [...modes, ...formats].find(({ value }) => value === cameraKey)?.camera ?? formats[0]!.camera;
  // start with a lens of medium focal length
  const middle = [...lenses].sort(
    (a, b) => Math.abs(a.item.lens.focalLengthMm - 60) - Math.abs(b.item.lens.focalLengthMm - 60),
  )[0];
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
          {lens.longestMm > lens.focalLengthMm && (
            <NumberField
              label="zoomed to"
              unit="mm"
              step={1}
              decimals={1}
              min={lens.focalLengthMm}
              max={lens.longestMm}
              value={focalLengthMm}
              onChange={setFocalMm}
            />
          )}
          <p className={fieldStyles.fieldHint}>
            Limit of sharpness: 1/1500 of the diagonal. In a shot the calculator is in Set-up and uses the limit of the shot.
          </p>
        </section>
      </aside>
    </div>
  );
}
