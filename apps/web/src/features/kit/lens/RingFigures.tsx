import { KIT_LIMITS, type Lens, LENS_AUTOFOCUS, ringOf } from '@still-heron/core';
import { LENS_AUTOFOCUS_WORDS, RESPONSE_WORDS } from '@still-heron/wording';
import { Checkbox } from '../../../ui/antd/Checkbox';
import clsx from 'clsx';
import { Choice } from '../../../ui/fields/Choice';
import { NumberField } from '../../../ui/fields/NumberField';
import { TextField } from '../../../ui/fields/TextField';
import { MaybeNumber } from '../KitForm';
import type { ChangeLens } from './changeLens';
import fieldStyles from '../../../ui/fields/fields.module.css';
import kitStyles from '../kit.module.css';
import textStyles from '../../../ui/text.module.css';

interface Props {
  readonly lens: Lens;
  readonly onChange: ChangeLens;
}

/** Throw, direction and response of the ring. */
export function RingFigures({ lens, onChange }: Props) {
  return (
    <section>
      <h2>Ring</h2>
      <div className={fieldStyles.fieldPair}>
        {lens.ring.kind === 'helicoid' ? (
          <NumberField
            label="throw"
            unit="°"
            step={5}
            {...KIT_LIMITS.focusThrowDeg}
            value={lens.ring.focusThrowDeg}
            testId="kit-throw"
            onChange={(focusThrowDeg, gesture) =>
              onChange('change the throw', { ring: { kind: 'helicoid', focusThrowDeg } }, gesture)
            }
          />
        ) : (
          <div className={fieldStyles.field}>
            <span className={fieldStyles.fieldLabel}>throw</span>
            <span className={clsx(kitStyles.fieldSaid, textStyles.figure)}>
              {Math.round(ringOf(lens).throwDeg)}°, from the scale
            </span>
          </div>
        )}
        <Choice
          label="nearer turns"
          value={lens.nearerTurns}
          choices={[
            { value: 'clockwise', word: 'clockwise' },
            { value: 'anticlockwise', word: 'anticlockwise' },
          ]}
          onPick={(nearerTurns) => onChange(`nearer turns ${nearerTurns}`, { nearerTurns })}
        />
      </div>
      <Choice
        label="ring response"
        value={lens.response}
        choices={(['angle', 'speed', 'steps'] as const).map((value) => ({ value, word: RESPONSE_WORDS[value].short }))}
        hint={RESPONSE_WORDS[lens.response].means}
        onPick={(response) =>
          onChange(`ring response ${RESPONSE_WORDS[response].short}`, { response, stepCount: response === 'steps' ? 200 : 0 })
        }
      />
      {lens.response === 'steps' && (
        <NumberField
          label="presses from end to end"
          step={1}
          isWhole
          min={1}
          max={KIT_LIMITS.stepCount.max}
          value={lens.stepCount}
          onChange={(stepCount, gesture) => onChange('change the steps', { stepCount }, gesture)}
        />
      )}
    </section>
  );
}

/** Effects of the lens on the picture besides focus. */
export function PictureFigures({ lens, onChange }: Props) {
  return (
    <section>
      <h2>Picture</h2>
      <div className={fieldStyles.fieldPair}>
        <NumberField
          label="squeeze"
          unit="×"
          step={0.05}
          decimals={2}
          {...KIT_LIMITS.squeeze}
          value={lens.squeeze}
          onChange={(squeeze, gesture) => onChange('change the squeeze', { squeeze }, gesture)}
        />
        <NumberField
          label="breathing, ∞ to close focus"
          unit="%"
          step={0.5}
          decimals={1}
          {...KIT_LIMITS.breathingPercent}
          value={lens.breathingPercent}
          onChange={(breathingPercent, gesture) => onChange('change the breathing', { breathingPercent }, gesture)}
        />
      </div>
      <Checkbox
        checked={lens.reportsData}
        onChange={(event) =>
          onChange(event.target.checked ? 'the lens sends data' : 'the lens sends no data', { reportsData: event.target.checked })
        }
      >
        sends focal length, stop and distance to the camera
      </Checkbox>
      <Choice
        label="autofocus with this lens"
        value={lens.autofocus}
        choices={LENS_AUTOFOCUS.map((value) => ({ value, word: LENS_AUTOFOCUS_WORDS[value] }))}
        onPick={(autofocus) => onChange(`autofocus ${LENS_AUTOFOCUS_WORDS[autofocus]}`, { autofocus })}
      />
      {!lens.reportsData && (
        <p className={fieldStyles.fieldHint}>
          It sends nothing: set stop and exposure by hand, and type its focal length where the steadying asks for it.
        </p>
      )}
    </section>
  );
}

/** Gear and diameters. */
export function Fittings({ lens, onChange }: Props) {
  return (
    <section>
      <h2>Fittings</h2>
      <div className={fieldStyles.fieldPair}>
        <MaybeNumber
          label="front diameter"
          unit="mm"
          start={95}
          limit={KIT_LIMITS.diameterMm}
          step={1}
          value={lens.frontDiameterMm}
          onChange={(frontDiameterMm, gesture) => onChange('change the front diameter', { frontDiameterMm }, gesture)}
        />
        <MaybeNumber
          label="ring diameter"
          unit="mm"
          start={84}
          limit={KIT_LIMITS.diameterMm}
          step={1}
          value={lens.ringDiameterMm}
          onChange={(ringDiameterMm, gesture) => onChange('change the ring diameter', { ringDiameterMm }, gesture)}
        />
      </div>
      <TextField
        label="gear on the ring"
        value={lens.gear}
        max={KIT_LIMITS.optionalName.max}
        placeholder="pitch and teeth"
        onChange={(gear) => onChange('change the gear', { gear })}
      />
    </section>
  );
}
