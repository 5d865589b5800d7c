import { FORMATS, KIT_LIMITS, type RecordingMode, type SteadyingLevel } from '@still-heron/core';
import { Select } from '../../../ui/antd/Select';
import clsx from 'clsx';
import { NumberField } from '../../../ui/fields/NumberField';
import { TextField } from '../../../ui/fields/TextField';
import type { CameraFiguresProps } from './cameraProps';
import { Button } from '../../../ui/Button';
import styles from './CameraModes.module.css';
import layoutStyles from '../../../ui/layout.module.css';
import fieldStyles from '../../../ui/fields/fields.module.css';
import kitStyles from '../kit.module.css';

/** Recording modes: sensor area, resolution and frame rates. */
export function CameraModes({ camera, onChange }: CameraFiguresProps) {
  const put = (id: string, name: string, changes: Partial<RecordingMode>, gesture?: string) =>
    onChange(
      name,
      (now) => ({ ...now, modes: now.modes.map((mode) => (mode.id === id ? { ...mode, ...changes } : mode)) }),
      gesture,
    );
  const add = () =>
    onChange('add a mode', (now) => {
      const last = now.modes[now.modes.length - 1]!;
      return { ...now, modes: [...now.modes, { ...last, id: freeId('mode', now.modes), name: `Mode ${now.modes.length + 1}` }] };
    });
  return (
    <section>
      <h2>Recording modes</h2>
      {camera.modes.map((mode) => (
        <ModeFields key={mode.id} mode={mode} onPut={put} camera={camera} onChange={onChange} />
      ))}
      <Button onClick={add} disabled={camera.modes.length >= KIT_LIMITS.modes.max}>
        Add a mode
      </Button>
    </section>
  );
}

interface ModeFieldsProps extends Pick<CameraFiguresProps, 'camera' | 'onChange'> {
  readonly mode: RecordingMode;
  readonly onPut: (id: string, name: string, changes: Partial<RecordingMode>, gesture?: string) => void;
}

function ModeFields({ mode, onPut, camera, onChange }: ModeFieldsProps) {
  return (
    <div data-testid="kit-part" className={styles.kitPart}>
      <TextField
        label="mode"
        isOptional={false}
        max={KIT_LIMITS.name.max}
        value={mode.name}
        onChange={(name) => onPut(mode.id, 'rename a mode', { name })}
      />
      <Select
        aria-label={`Format of ${mode.name}`}
        className={layoutStyles.wideSelect}
        value={null}
        placeholder="use a standard format"
        options={FORMATS.map(({ id, name, sensorWidthMm, sensorHeightMm }) => ({
          value: id,
          label: `${name} · ${sensorWidthMm} × ${sensorHeightMm}`,
        }))}
        onChange={(id: string | null) => {
          const format = FORMATS.find((item) => item.id === id);
          if (format) {
            const { sensorWidthMm, sensorHeightMm, photositesWide } = format;
            onPut(mode.id, `size of ${format.name}`, { sensorWidthMm, sensorHeightMm, photositesWide });
          }
        }}
      />
      <div className={fieldStyles.fieldPair}>
        <ModeFigures mode={mode} onPut={onPut} />
      </div>
      {camera.modes.length > 1 && (
        <Button
          look="quiet"
          onClick={() =>
            onChange('delete a mode', (now) => ({
              ...now,
              modes: now.modes.filter(({ id }) => id !== mode.id),
              tests: now.tests.filter(({ modeId }) => modeId !== mode.id),
            }))
          }
        >
          Delete this mode
        </Button>
      )}
    </div>
  );
}

function ModeFigures({ mode, onPut }: Pick<ModeFieldsProps, 'mode' | 'onPut'>) {
  return (
    <>
      {(
        [
          ['width', 'sensorWidthMm', 'mm', KIT_LIMITS.sensorMm, 2, 0.1],
          ['height', 'sensorHeightMm', 'mm', KIT_LIMITS.sensorMm, 2, 0.1],
          ['pixels across the sensor', 'photositesWide', '', KIT_LIMITS.photositesWide, 0, 16],
          ['fastest', 'fastestFps', 'fps', KIT_LIMITS.captureFps, 2, 1],
        ] as const
      ).map(([label, key, unit, { min, max }, decimals, step]) => (
        <NumberField
          key={key}
          label={label}
          {...(unit ? { unit } : {})}
          decimals={decimals}
          step={step}
          isWhole={key === 'photositesWide'}
          min={min}
          max={max}
          value={mode[key]}
          onChange={(value, gesture) => onPut(mode.id, `change the ${label}`, { [key]: value }, gesture)}
        />
      ))}
    </>
  );
}

/** Digital steadying: crop of each level. */
export function Steadying({ camera, onChange }: CameraFiguresProps) {
  return (
    <section>
      <h2>Digital steadying</h2>
      {camera.steadying.length === 0 && (
        <p className={fieldStyles.fieldHint}>None. Prefer optical or mechanical steadying: it does not crop the picture.</p>
      )}
      {camera.steadying.map((level) => {
        const put = (changes: Partial<typeof level>, gesture?: string) =>
          onChange(
            'change the steadying',
            (now) => ({
              ...now,
              steadying: now.steadying.map((item) => (item.id === level.id ? { ...item, ...changes } : item)),
            }),
            gesture,
          );
        return <LevelFields key={level.id} level={level} onPut={put} onChange={onChange} />;
      })}
      <Button
        disabled={camera.steadying.length >= KIT_LIMITS.steadying.max}
        onClick={() =>
          onChange('add a steadying level', (now) => ({
            ...now,
            steadying: [...now.steadying, { id: freeId('steadying', now.steadying), name: 'standard', cropPercent: 10 }],
          }))
        }
      >
        Add a level
      </Button>
    </section>
  );
}

interface LevelFieldsProps extends Pick<CameraFiguresProps, 'onChange'> {
  readonly level: SteadyingLevel;
  readonly onPut: (changes: Partial<SteadyingLevel>, gesture?: string) => void;
}

function LevelFields({ level, onPut, onChange }: LevelFieldsProps) {
  return (
    <div className={clsx(fieldStyles.fieldPair, kitStyles.kitLine)}>
      <TextField
        label="level"
        isOptional={false}
        max={KIT_LIMITS.name.max}
        value={level.name}
        onChange={(name) => onPut({ name })}
      />
      <NumberField
        label="crops"
        unit="%"
        step={1}
        decimals={1}
        {...KIT_LIMITS.cropPercent}
        value={level.cropPercent}
        onChange={(cropPercent, gesture) => onPut({ cropPercent }, gesture)}
      />
      <Button
        look="quiet"
        aria-label={`Remove ${level.name}`}
        onClick={() =>
          onChange('delete a steadying level', (now) => ({
            ...now,
            steadying: now.steadying.filter(({ id }) => id !== level.id),
          }))
        }
      >
        ✕
      </Button>
    </div>
  );
}

function freeId(prefix: string, items: readonly { readonly id: string }[]): string {
  for (let number = 1; ; number++) if (!items.some(({ id }) => id === `${prefix}-${number}`)) return `${prefix}-${number}`;
}
