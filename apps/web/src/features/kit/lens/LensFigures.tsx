import { fNumberOf, isZoom, KIT_LIMITS, type KitLens, type Lens, type UnitSystem } from '@still-heron/core';
import { Checkbox } from '../../../ui/antd/Checkbox';
import { Choice } from '../../../ui/fields/Choice';
import { DistanceField } from '../../../ui/fields/DistanceField';
import { NumberField } from '../../../ui/fields/NumberField';
import { TextField } from '../../../ui/fields/TextField';
import { KitFormFoot } from '../KitForm';
import { useOpenItem } from '../useOpenItem';
import type { ChangeLens } from './changeLens';
import { HoldTest } from './HoldTest';
import { Fittings, PictureFigures, RingFigures } from './RingFigures';
import fieldStyles from '../../../ui/fields/fields.module.css';
import kitStyles from '../kit.module.css';

interface Props {
  readonly item: KitLens;
  readonly units: UnitSystem;
  readonly onChange: ChangeLens;
}

/** Figures of a lens: optics, stops, ring and fittings. */
export function LensFigures({ item, units, onChange }: Props) {
  const { lens } = item;
  return (
    <>
      <section>
        <TextField
          label="name"
          isOptional={false}
          max={KIT_LIMITS.name.max}
          value={lens.name}
          testId="kit-name"
          onChange={(name) => onChange(`rename to ${name}`, { name })}
        />
        <Glass lens={lens} units={units} onChange={onChange} />
      </section>
      <Stops lens={lens} onChange={onChange} />
      <RingFigures lens={lens} onChange={onChange} />
      <PictureFigures lens={lens} onChange={onChange} />
      {isZoom(lens) && <HoldTest item={item} />}
      <Fittings lens={lens} onChange={onChange} />
      <KitFormFoot kind="lenses">
        <HiredBox item={item} />
      </KitFormFoot>
    </>
  );
}

function HiredBox({ item }: { readonly item: KitLens }) {
  const { edit } = useOpenItem('lenses');
  return (
    <Checkbox
      checked={item.isHired}
      onChange={(event) => edit(event.target.checked ? 'hired' : 'owned', (now) => ({ ...now, isHired: event.target.checked }))}
    >
      hired
    </Checkbox>
  );
}

function Glass({ lens, units, onChange }: { readonly lens: Lens; readonly units: UnitSystem; readonly onChange: ChangeLens }) {
  const nearestMm = 4 * lens.longestMm + lens.principalSeparationMm;
  return (
    <div className={fieldStyles.fieldPair}>
      <NumberField
        label={isZoom(lens) ? 'shortest' : 'focal length'}
        unit="mm"
        decimals={1}
        step={1}
        {...KIT_LIMITS.focalLengthMm}
        value={lens.focalLengthMm}
        testId="kit-focal-length"
        onChange={(mm, gesture) =>
          onChange('change the focal length', withFocal(lens, mm, isZoom(lens) ? Math.max(mm, lens.longestMm) : mm), gesture)
        }
      />
      <NumberField
        label="longest focal length"
        unit="mm"
        decimals={1}
        step={1}
        min={lens.focalLengthMm}
        max={KIT_LIMITS.focalLengthMm.max}
        value={lens.longestMm}
        onChange={(mm, gesture) => onChange('change the longest focal length', withFocal(lens, lens.focalLengthMm, mm), gesture)}
      />
      {lens.ring.kind !== 'table' ? (
        <DistanceField
          label="close focus"
          distanceMm={lens.closeFocusMm}
          units={units}
          range={{ minMm: nearestMm, maxMm: KIT_LIMITS.closeFocusMm.max, reason: 'four-focal-lengths' }}
          onChange={(closeFocusMm, gesture) => onChange('change the close focus', { closeFocusMm }, gesture)}
          testId="kit-close-focus"
        />
      ) : (
        <div className={fieldStyles.field}>
          <span className={fieldStyles.fieldLabel}>close focus</span>
          <span className={kitStyles.fieldSaid}>from the scale</span>
        </div>
      )}
      <NumberField
        label="distance between principal planes"
        unit="mm"
        decimals={1}
        step={1}
        {...KIT_LIMITS.principalSeparationMm}
        value={lens.principalSeparationMm}
        hint={lens.principalSeparationMm === 0 ? '0 if unknown' : undefined}
        onChange={(principalSeparationMm, gesture) =>
          onChange(
            'change the principal planes',
            { principalSeparationMm, closeFocusMm: Math.max(lens.closeFocusMm, 4 * lens.longestMm + principalSeparationMm) },
            gesture,
          )
        }
      />
    </div>
  );
}

/** A new focal length also adjusts close focus and the long end's stop, so that the lens stays valid. */
function withFocal(lens: Lens, focalLengthMm: number, longestMm: number): Partial<Lens> {
  const closeFocusMm = Math.max(lens.closeFocusMm, 4 * longestMm + lens.principalSeparationMm);
  return {
    focalLengthMm,
    longestMm,
    closeFocusMm,
    widestStopLong: longestMm > focalLengthMm ? lens.widestStopLong : lens.widestStop,
  };
}

function Stops({ lens, onChange }: { readonly lens: Lens; readonly onChange: ChangeLens }) {
  const zoom = isZoom(lens);
  return (
    <section>
      <h2>Stops</h2>
      <div className={fieldStyles.fieldPair}>
        <Choice
          label="engraved in"
          value={lens.stopScale}
          choices={[
            { value: 'T', word: 'T-stops' },
            { value: 'f', word: 'f-numbers' },
          ]}
          onPick={(stopScale) => onChange(`use ${stopScale} stops`, { stopScale })}
        />
        <WidestStops zoom={zoom} lens={lens} onChange={onChange} />
        <NumberField
          label="narrowest"
          unit={lens.stopScale}
          decimals={1}
          step={1}
          min={Math.max(lens.widestStop, lens.widestStopLong)}
          max={KIT_LIMITS.stop.max}
          value={lens.narrowestStop}
          onChange={(narrowestStop, gesture) => onChange('change the narrowest stop', { narrowestStop }, gesture)}
        />
        <NumberField
          label="transmittance"
          unit="%"
          step={1}
          decimals={1}
          min={KIT_LIMITS.transmittance.min * 100}
          max={100}
          value={lens.transmittance * 100}
          hint={lens.stopScale === 'T' ? `T${lens.widestStop} is f/${fNumberOf(lens, lens.widestStop).toFixed(2)}` : undefined}
          onChange={(percent, gesture) => onChange('change the transmittance', { transmittance: percent / 100 }, gesture)}
        />
      </div>
    </section>
  );
}

function WidestStops({ zoom, lens, onChange }: { readonly zoom: boolean; readonly lens: Lens; readonly onChange: ChangeLens }) {
  return (
    <>
      <NumberField
        label={zoom ? 'widest, at the short end' : 'widest'}
        unit={lens.stopScale}
        decimals={2}
        step={0.1}
        min={KIT_LIMITS.stop.min}
        max={lens.narrowestStop}
        value={lens.widestStop}
        testId="kit-widest"
        onChange={(widestStop, gesture) =>
          onChange(
            'change the widest stop',
            { widestStop, widestStopLong: zoom ? Math.max(widestStop, lens.widestStopLong) : widestStop },
            gesture,
          )
        }
      />
      {zoom && (
        <NumberField
          label="widest, at the long end"
          unit={lens.stopScale}
          decimals={2}
          step={0.1}
          min={KIT_LIMITS.stop.min}
          max={lens.narrowestStop}
          value={lens.widestStopLong}
          onChange={(widestStopLong, gesture) => onChange('change the widest stop', { widestStopLong }, gesture)}
        />
      )}
    </>
  );
}
