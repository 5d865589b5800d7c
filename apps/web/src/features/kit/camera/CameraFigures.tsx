import { FORMATS, KIT_LIMITS, type KitCamera, type RecordingMode } from '@still-heron/core';
import { Button, Select } from 'antd';
import { NumberField } from '../../../fields/NumberField';
import { TextField } from '../../../fields/TextField';
import { KitFormFoot, MaybeNumber } from '../KitForm';
import { FiguresField } from './FiguresField';

interface Props {
  readonly camera: KitCamera;
  readonly onChange: (name: string, change: (camera: KitCamera) => KitCamera, gesture?: string) => void;
}

/** A camera by its recording modes, steadying, rates and displays. */
export function CameraFigures({ camera, onChange }: Props) {
  return (
    <aside className="side setup-fields" aria-label="Figures of the camera">
      <section>
        <TextField
          label="name"
          isOptional={false}
          max={KIT_LIMITS.name.max}
          value={camera.name}
          testId="kit-name"
          onChange={(name) => onChange(`call it ${name}`, (now) => ({ ...now, name }))}
        />
        <div className="field-pair">
          <TextField
            label="software"
            max={KIT_LIMITS.optionalName.max}
            value={camera.software}
            placeholder="version"
            onChange={(software) => onChange('change the software', (now) => ({ ...now, software }))}
          />
          <NumberField
            label="try again after"
            unit="days"
            step={30}
            isWhole
            {...KIT_LIMITS.retestAfterDays}
            value={camera.retestAfterDays}
            hint={camera.retestAfterDays === 0 ? 'never' : undefined}
            onChange={(retestAfterDays, gesture) =>
              onChange('change the reminder', (now) => ({ ...now, retestAfterDays }), gesture)
            }
          />
        </div>
      </section>
      <Modes camera={camera} onChange={onChange} />
      <section>
        <h2>Rates and sensitivities</h2>
        <FiguresField
          label="frames a second"
          values={camera.frameRates}
          limit={KIT_LIMITS.captureFps}
          most={KIT_LIMITS.frameRates.max}
          onChange={(frameRates) => onChange('change the frame rates', (now) => ({ ...now, frameRates }))}
        />
        <FiguresField
          label="base ISO"
          values={camera.baseIsos}
          limit={KIT_LIMITS.iso}
          most={KIT_LIMITS.baseIsos.max}
          onChange={(baseIsos) => onChange('change the base sensitivities', (now) => ({ ...now, baseIsos }))}
        />
        <MaybeNumber
          label="automatic focus looks in the middle"
          unit="% of the width"
          start={80}
          limit={KIT_LIMITS.percent}
          step={5}
          value={camera.automaticAreaPercent}
          onChange={(automaticAreaPercent, gesture) =>
            onChange('change the automatic area', (now) => ({ ...now, automaticAreaPercent }), gesture)
          }
        />
      </section>
      <Displays camera={camera} onChange={onChange} />
      <KitFormFoot kind="cameras" />
    </aside>
  );
}

function Modes({ camera, onChange }: Props) {
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
        <div className="kit-part" key={mode.id}>
          <TextField
            label="mode"
            isOptional={false}
            max={KIT_LIMITS.name.max}
            value={mode.name}
            onChange={(name) => put(mode.id, 'name a mode', { name })}
          />
          <Select
            aria-label={`Format of ${mode.name}`}
            className="wide-select"
            value={null}
            placeholder="take the size of a generic format"
            options={FORMATS.map(({ id, name, sensorWidthMm, sensorHeightMm }) => ({
              value: id,
              label: `${name} · ${sensorWidthMm} × ${sensorHeightMm}`,
            }))}
            onChange={(id: string | null) => {
              const format = FORMATS.find((item) => item.id === id);
              if (format) {
                const { sensorWidthMm, sensorHeightMm, photositesWide } = format;
                put(mode.id, `size of ${format.name}`, { sensorWidthMm, sensorHeightMm, photositesWide });
              }
            }}
          />
          <div className="field-pair">
            {(
              [
                ['width', 'sensorWidthMm', 'mm', KIT_LIMITS.sensorMm, 2, 0.1],
                ['height', 'sensorHeightMm', 'mm', KIT_LIMITS.sensorMm, 2, 0.1],
                ['photosites across', 'photositesWide', '', KIT_LIMITS.photositesWide, 0, 16],
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
                onChange={(value, gesture) => put(mode.id, `change the ${label}`, { [key]: value }, gesture)}
              />
            ))}
          </div>
          {camera.modes.length > 1 && (
            <button
              type="button"
              className="quiet"
              onClick={() =>
                onChange('remove a mode', (now) => ({
                  ...now,
                  modes: now.modes.filter(({ id }) => id !== mode.id),
                  tests: now.tests.filter(({ modeId }) => modeId !== mode.id),
                }))
              }
            >
              Remove this mode
            </button>
          )}
        </div>
      ))}
      <Button onClick={add} disabled={camera.modes.length >= KIT_LIMITS.modes.max}>
        Add a mode
      </Button>
      <h2>Digital steadying</h2>
      {camera.steadying.length === 0 && (
        <p className="field-hint">None. Prefer optical or mechanical steadiness: it costs no picture.</p>
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
        return (
          <div className="field-pair kit-line" key={level.id}>
            <TextField
              label="strength"
              isOptional={false}
              max={KIT_LIMITS.name.max}
              value={level.name}
              onChange={(name) => put({ name })}
            />
            <NumberField
              label="cuts away"
              unit="%"
              step={1}
              decimals={1}
              {...KIT_LIMITS.cropPercent}
              value={level.cropPercent}
              onChange={(cropPercent, gesture) => put({ cropPercent }, gesture)}
            />
            <button
              type="button"
              className="quiet"
              aria-label={`Remove ${level.name}`}
              onClick={() =>
                onChange('remove a steadying', (now) => ({
                  ...now,
                  steadying: now.steadying.filter(({ id }) => id !== level.id),
                }))
              }
            >
              ✕
            </button>
          </div>
        );
      })}
      <Button
        disabled={camera.steadying.length >= KIT_LIMITS.steadying.max}
        onClick={() =>
          onChange('add a steadying', (now) => ({
            ...now,
            steadying: [...now.steadying, { id: freeId('steadying', now.steadying), name: 'standard', cropPercent: 10 }],
          }))
        }
      >
        Add a strength
      </Button>
    </section>
  );
}

function Displays({ camera, onChange }: Props) {
  return (
    <section>
      <h2>Displays</h2>
      {camera.displays.map((display, index) => (
        <div className="kit-line" key={`${index}-${display}`}>
          <TextField
            label={`display ${index + 1}`}
            isBare
            isOptional={false}
            max={KIT_LIMITS.name.max}
            value={display}
            onChange={(name) =>
              !camera.displays.includes(name) &&
              onChange('name a display', (now) => ({
                ...now,
                displays: now.displays.map((item) => (item === display ? name : item)),
                tests: now.tests.map((test) => (test.display === display ? { ...test, display: name } : test)),
              }))
            }
          />
          <button
            type="button"
            className="quiet"
            aria-label={`Remove ${display}`}
            onClick={() =>
              onChange('remove a display', (now) => ({
                ...now,
                displays: now.displays.filter((item) => item !== display),
                tests: now.tests.filter((test) => test.display !== display),
              }))
            }
          >
            ✕
          </button>
        </div>
      ))}
      <Button
        disabled={camera.displays.length >= KIT_LIMITS.displays.max}
        onClick={() =>
          onChange('add a display', (now) => {
            const free = [
              'Rear screen',
              'Finder',
              'Monitor',
              'Tablet',
              'Second monitor',
              'Third monitor',
              'Fourth monitor',
              'Fifth monitor',
            ];
            const name = free.find((item) => !now.displays.includes(item));
            return name ? { ...now, displays: [...now.displays, name] } : now;
          })
        }
      >
        Add a display
      </Button>
    </section>
  );
}

function freeId(prefix: string, items: readonly { readonly id: string }[]): string {
  for (let number = 1; ; number++) if (!items.some(({ id }) => id === `${prefix}-${number}`)) return `${prefix}-${number}`;
}
