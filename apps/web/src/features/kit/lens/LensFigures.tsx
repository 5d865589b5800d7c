import { fNumberOf, isZoom, KIT_LIMITS, type KitLens, type Lens, ringOf, type UnitSystem } from '@still-heron/core';
import { Checkbox } from 'antd';
import { testerNamed } from '../../../app/preferences';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import { DistanceField } from '../../../fields/DistanceField';
import { NumberField } from '../../../fields/NumberField';
import { Choice } from '../../../fields/Choice';
import { TextField } from '../../../fields/TextField';
import { KitFormFoot, MaybeNumber } from '../KitForm';
import { useOpenItem } from '../useKit';
import { HOLD_WORDS, RESPONSE_WORDS } from '../words';

type Change = (name: string, changes: Partial<Lens>, gesture?: string) => void;

interface Props {
  readonly item: KitLens;
  readonly units: UnitSystem;
  readonly onChange: Change;
}

/** A lens by its figures: glass, stops, ring, and what is fitted to it. */
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
          onChange={(name) => onChange(`call it ${name}`, { name })}
        />
        <Glass lens={lens} units={units} onChange={onChange} />
      </section>
      <Stops lens={lens} onChange={onChange} />
      <Ring lens={lens} onChange={onChange} />
      <Picture lens={lens} onChange={onChange} />
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
      hired, not owned
    </Checkbox>
  );
}

function Glass({ lens, units, onChange }: { readonly lens: Lens; readonly units: UnitSystem; readonly onChange: Change }) {
  const nearestMm = 4 * lens.longestMm + lens.principalSeparationMm;
  return (
    <div className="field-pair">
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
        label="longest, of a zoom"
        unit="mm"
        decimals={1}
        step={1}
        min={lens.focalLengthMm}
        max={KIT_LIMITS.focalLengthMm.max}
        value={lens.longestMm}
        onChange={(mm, gesture) => onChange('change the long end', withFocal(lens, lens.focalLengthMm, mm), gesture)}
      />
      {lens.ring.kind === 'helicoid' ? (
        <DistanceField
          label="close focus"
          distanceMm={lens.closeFocusMm}
          units={units}
          range={{ minMm: nearestMm, maxMm: KIT_LIMITS.closeFocusMm.max, why: 'not within four focal lengths and 20 m' }}
          onChange={(closeFocusMm, gesture) => onChange('change the close focus', { closeFocusMm }, gesture)}
          testId="kit-close-focus"
        />
      ) : (
        <div className="field">
          <span className="field-label">close focus</span>
          <span className="field-said">by the scale</span>
        </div>
      )}
      <NumberField
        label="principal planes apart"
        unit="mm"
        decimals={1}
        step={1}
        {...KIT_LIMITS.principalSeparationMm}
        value={lens.principalSeparationMm}
        hint={lens.principalSeparationMm === 0 ? '0 while not known' : undefined}
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

/** Another focal length takes close focus and the stop of the long end with it, so that the lens stays one that can be. */
function withFocal(lens: Lens, focalLengthMm: number, longestMm: number): Partial<Lens> {
  const closeFocusMm = Math.max(lens.closeFocusMm, 4 * longestMm + lens.principalSeparationMm);
  return {
    focalLengthMm,
    longestMm,
    closeFocusMm,
    widestStopLong: longestMm > focalLengthMm ? lens.widestStopLong : lens.widestStop,
  };
}

function Stops({ lens, onChange }: { readonly lens: Lens; readonly onChange: Change }) {
  const zoom = isZoom(lens);
  return (
    <section>
      <h2>Stops</h2>
      <div className="field-pair">
        <Choice
          label="engraved in"
          value={lens.stopScale}
          choices={[
            { value: 'T', word: 'T (light)' },
            { value: 'f', word: 'f (geometry)' },
          ]}
          onPick={(stopScale) => onChange(`stops in ${stopScale}`, { stopScale })}
        />
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
          label="light let through"
          unit="%"
          step={1}
          decimals={1}
          min={KIT_LIMITS.transmittance.min * 100}
          max={100}
          value={lens.transmittance * 100}
          hint={lens.stopScale === 'T' ? `T${lens.widestStop} is f/${fNumberOf(lens, lens.widestStop).toFixed(2)}` : undefined}
          onChange={(percent, gesture) => onChange('change the light let through', { transmittance: percent / 100 }, gesture)}
        />
      </div>
    </section>
  );
}

function Ring({ lens, onChange }: { readonly lens: Lens; readonly onChange: Change }) {
  return (
    <section>
      <h2>Ring</h2>
      <div className="field-pair">
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
          <div className="field">
            <span className="field-label">throw</span>
            <span className="field-said figure">{Math.round(ringOf(lens).throwDeg)}°, by the scale</span>
          </div>
        )}
        <Choice
          label="for nearer it turns"
          value={lens.nearerTurns}
          choices={[
            { value: 'clockwise', word: 'clockwise' },
            { value: 'anticlockwise', word: 'anticlockwise' },
          ]}
          onPick={(nearerTurns) => onChange(`nearer is ${nearerTurns}`, { nearerTurns })}
        />
      </div>
      <Choice
        label="it answers"
        value={lens.response}
        choices={(['angle', 'speed', 'steps'] as const).map((value) => ({ value, word: RESPONSE_WORDS[value].short }))}
        hint={RESPONSE_WORDS[lens.response].means}
        onPick={(response) =>
          onChange(`the ring answers ${RESPONSE_WORDS[response].short}`, { response, stepCount: response === 'steps' ? 200 : 0 })
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

function Picture({ lens, onChange }: { readonly lens: Lens; readonly onChange: Change }) {
  return (
    <section>
      <h2>Picture</h2>
      <div className="field-pair">
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
          label="breathing, ∞ to near"
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
          onChange(event.target.checked ? 'it reports data' : 'it reports nothing', { reportsData: event.target.checked })
        }
      >
        tells the camera its focal length, stop and distance
      </Checkbox>
      {!lens.reportsData && (
        <p className="field-hint">
          It tells nothing: set stop and exposure by hand, and type its true focal length where steadying asks for it.
        </p>
      )}
    </section>
  );
}

/** Does a zoom keep its focus? Focus long, go wide, look: the answer is kept with who tried it, and when. */
function HoldTest({ item }: { readonly item: KitLens }) {
  const { edit } = useOpenItem('lenses');
  const dispatch = useAppDispatch();
  const tester = useAppSelector((state) => state.preferences.tester);
  return (
    <section>
      <h2>Zooming</h2>
      <p className="field-hint">
        Focus at the long end, magnified. Zoom out in one go without touching the ring, magnify again: is it still sharp?
      </p>
      <Choice
        label="while it zooms it"
        value={item.lens.holdsFocus}
        choices={(['untested', 'holds', 'drifts'] as const).map((value) => ({ value, word: HOLD_WORDS[value] }))}
        hint={
          item.holdTestedOn ? `tried on ${item.holdTestedOn}${item.holdTestedBy ? ` by ${item.holdTestedBy}` : ''}` : undefined
        }
        onPick={(holdsFocus) =>
          edit('test its hold', (now) => ({
            ...now,
            lens: { ...now.lens, holdsFocus },
            holdTestedOn: holdsFocus === 'untested' ? '' : today(),
            holdTestedBy: holdsFocus === 'untested' ? '' : tester,
          }))
        }
      />
      <TextField
        label="tried by"
        value={tester}
        max={80}
        placeholder="your name"
        onChange={(name) => dispatch(testerNamed(name))}
      />
    </section>
  );
}

function Fittings({ lens, onChange }: { readonly lens: Lens; readonly onChange: Change }) {
  return (
    <section>
      <h2>Fittings</h2>
      <div className="field-pair">
        <MaybeNumber
          label="front"
          unit="mm"
          start={95}
          limit={KIT_LIMITS.diameterMm}
          step={1}
          value={lens.frontDiameterMm}
          onChange={(frontDiameterMm, gesture) => onChange('change the front', { frontDiameterMm }, gesture)}
        />
        <MaybeNumber
          label="focus ring across"
          unit="mm"
          start={84}
          limit={KIT_LIMITS.diameterMm}
          step={1}
          value={lens.ringDiameterMm}
          onChange={(ringDiameterMm, gesture) => onChange('change the ring', { ringDiameterMm }, gesture)}
        />
      </div>
      <TextField
        label="gear or grip ring"
        value={lens.gear}
        max={KIT_LIMITS.optionalName.max}
        placeholder="pitch and teeth"
        onChange={(gear) => onChange('change the gear', { gear })}
      />
    </section>
  );
}

/** YYYY-MM-DD, where the person is. */
export function today(): string {
  return new Date().toLocaleDateString('sv-SE');
}
