import { KIT_LIMITS } from '@still-heron/core';
import { NumberField } from '../../../ui/fields/NumberField';
import { TextField } from '../../../ui/fields/TextField';
import { KitFormFoot, MaybeNumber } from '../KitForm';
import { CameraModes, Steadying } from './CameraModes';
import { FiguresField } from './FiguresField';
import type { CameraFiguresProps } from './cameraProps';
import { Button } from '../../../ui/Button';
import layoutStyles from '../../../ui/layout.module.css';
import fieldStyles from '../../../ui/fields/fields.module.css';
import kitStyles from '../kit.module.css';

/** Recording modes, steadying, frame rates and displays of a camera. */
export function CameraFigures({ camera, onChange }: CameraFiguresProps) {
  return (
    <aside data-testid="side" className={layoutStyles.side} aria-label="Figures of the camera">
      <section>
        <TextField
          label="name"
          isOptional={false}
          max={KIT_LIMITS.name.max}
          value={camera.name}
          testId="kit-name"
          onChange={(name) => onChange(`rename to ${name}`, (now) => ({ ...now, name }))}
        />
        <div className={fieldStyles.fieldPair}>
          <TextField
            label="software"
            max={KIT_LIMITS.optionalName.max}
            value={camera.software}
            placeholder="version"
            onChange={(software) => onChange('change the software', (now) => ({ ...now, software }))}
          />
          <NumberField
            label="test again after"
            unit="days"
            step={30}
            isWhole
            {...KIT_LIMITS.retestAfterDays}
            value={camera.retestAfterDays}
            hint={camera.retestAfterDays === 0 ? 'never' : undefined}
            onChange={(retestAfterDays, gesture) =>
              onChange('change the test interval', (now) => ({ ...now, retestAfterDays }), gesture)
            }
          />
        </div>
      </section>
      <CameraModes camera={camera} onChange={onChange} />
      <Steadying camera={camera} onChange={onChange} />
      <RatesAndSensitivities camera={camera} onChange={onChange} />
      <Displays camera={camera} onChange={onChange} />
      <KitFormFoot kind="cameras" />
    </aside>
  );
}

function RatesAndSensitivities({ camera, onChange }: Pick<CameraFiguresProps, 'camera' | 'onChange'>) {
  return (
    <section>
      <h2>Frame rates and sensitivities</h2>
      <FiguresField
        label="frame rates"
        values={camera.frameRates}
        limit={KIT_LIMITS.captureFps}
        maxCount={KIT_LIMITS.frameRates.max}
        onChange={(frameRates) => onChange('change the frame rates', (now) => ({ ...now, frameRates }))}
      />
      <FiguresField
        label="base ISO"
        values={camera.baseIsos}
        limit={KIT_LIMITS.iso}
        maxCount={KIT_LIMITS.baseIsos.max}
        onChange={(baseIsos) => onChange('change the base sensitivities', (now) => ({ ...now, baseIsos }))}
      />
      <MaybeNumber
        label="autofocus area"
        unit="% of the width"
        start={80}
        limit={KIT_LIMITS.percent}
        step={5}
        value={camera.automaticAreaPercent}
        onChange={(automaticAreaPercent, gesture) =>
          onChange('change the autofocus area', (now) => ({ ...now, automaticAreaPercent }), gesture)
        }
      />
    </section>
  );
}

function Displays({ camera, onChange }: CameraFiguresProps) {
  return (
    <section>
      <h2>Displays</h2>
      {camera.displays.map((display, index) => (
        <div className={kitStyles.kitLine} key={`${index}-${display}`}>
          <TextField
            label={`display ${index + 1}`}
            isBare
            isOptional={false}
            max={KIT_LIMITS.name.max}
            value={display}
            onChange={(name) =>
              !camera.displays.includes(name) &&
              onChange('rename a display', (now) => ({
                ...now,
                displays: now.displays.map((item) => (item === display ? name : item)),
                tests: now.tests.map((test) => (test.display === display ? { ...test, display: name } : test)),
              }))
            }
          />
          <Button
            look="quiet"
            aria-label={`Remove ${display}`}
            onClick={() =>
              onChange('delete a display', (now) => ({
                ...now,
                displays: now.displays.filter((item) => item !== display),
                tests: now.tests.filter((test) => test.display !== display),
              }))
            }
          >
            ✕
          </Button>
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
