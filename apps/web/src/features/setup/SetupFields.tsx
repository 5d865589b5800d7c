import {
  FORMATS,
  METHODS,
  type Method,
  PLAN_LIMITS,
  setCamera,
  setDuration,
  setLens,
  type Lens,
  type Sharpness,
  shortestDurationS,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { Select } from 'antd';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { DistanceField } from '../../fields/DistanceField';
import { NumberField } from '../../fields/NumberField';
import { TextField } from '../../fields/TextField';
import { TimeField } from '../../fields/TimeField';
import { editHeading, editPlan, selectDocument } from '../shot/shotSlice';
import { METHOD_WORDS } from './words';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** What is on the camera and how it runs, in the order in which one asks. */
export function SetupFields({ plan, units }: Props) {
  return (
    <aside className="side setup-fields" aria-label="Camera, lens and shot">
      <CameraFields plan={plan} />
      <LensFields plan={plan} units={units} />
      <ShotFields plan={plan} />
      <SharpnessFields plan={plan} />
    </aside>
  );
}

function useEdit() {
  const dispatch = useAppDispatch();
  return (name: string, edit: (plan: ShotPlan) => ShotPlan, gesture?: string) => dispatch(editPlan(name, edit, gesture));
}

function CameraFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { camera } = plan.optics;
  const known = FORMATS.find(
    (format) => format.sensorWidthMm === camera.sensorWidthMm && format.sensorHeightMm === camera.sensorHeightMm,
  );
  const sizeField = (label: string, key: 'sensorWidthMm' | 'sensorHeightMm') => (
    <NumberField
      label={label}
      unit="mm"
      decimals={2}
      step={0.1}
      {...PLAN_LIMITS.sensorMm}
      value={camera[key]}
      onChange={(value, gesture) =>
        edit('change the sensor', (now) => setCamera(now, { ...now.optics.camera, name: 'Own format', [key]: value }), gesture)
      }
    />
  );
  return (
    <section>
      <h2>Camera</h2>
      <Select
        aria-label="Format"
        className="wide-select"
        value={known?.id ?? 'own'}
        options={[
          ...FORMATS.map(({ id, name, sensorWidthMm, sensorHeightMm }) => ({
            value: id,
            label: `${name} · ${sensorWidthMm} × ${sensorHeightMm}`,
          })),
          ...(known ? [] : [{ value: 'own', label: 'Own format' }]),
        ]}
        onChange={(id) => {
          const format = FORMATS.find((item) => item.id === id);
          if (!format) return;
          const { id: _, ...chosen } = format;
          edit(`format ${chosen.name}`, (now) => setCamera(now, chosen));
        }}
      />
      <div className="field-pair">
        {sizeField('width', 'sensorWidthMm')}
        {sizeField('height', 'sensorHeightMm')}
      </div>
    </section>
  );
}

function LensFields({ plan, units }: Props) {
  const edit = useEdit();
  const { lens } = plan.optics;
  const change = (name: string, changes: Partial<Lens>, gesture?: string) => edit(name, (now) => setLens(now, changes), gesture);
  const closestMm = Math.max(4 * lens.focalLengthMm + lens.principalSeparationMm, PLAN_LIMITS.closeFocusMm.min);
  return (
    <section>
      <h2>Lens</h2>
      <div className="field-pair">
        <NumberField
          label="focal length"
          unit="mm"
          decimals={1}
          step={1}
          {...PLAN_LIMITS.focalLengthMm}
          value={lens.focalLengthMm}
          testId="focal-length"
          onChange={(focalLengthMm, gesture) =>
            change(`lens ${focalLengthMm} mm`, { focalLengthMm, name: lensName({ ...lens, focalLengthMm }) }, gesture)
          }
        />
        <DistanceField
          label="close focus"
          distanceMm={lens.ring.kind === 'table' ? plan.optics.lens.closeFocusMm : lens.closeFocusMm}
          units={units}
          range={{ minMm: closestMm, maxMm: PLAN_LIMITS.closeFocusMm.max, why: 'not within four focal lengths and 20 m' }}
          onChange={(closeFocusMm, gesture) => change('change the close focus', { closeFocusMm }, gesture)}
        />
        <NumberField
          label="widest stop"
          unit={lens.stopScale}
          decimals={2}
          step={0.1}
          min={PLAN_LIMITS.stop.min}
          max={lens.narrowestStop}
          value={lens.widestStop}
          testId="widest-stop"
          onChange={(widestStop, gesture) =>
            change('change the widest stop', { widestStop, name: lensName({ ...lens, widestStop }) }, gesture)
          }
        />
        <NumberField
          label="narrowest stop"
          unit={lens.stopScale}
          decimals={1}
          step={1}
          min={lens.widestStop}
          max={PLAN_LIMITS.stop.max}
          value={lens.narrowestStop}
          onChange={(narrowestStop, gesture) => change('change the narrowest stop', { narrowestStop }, gesture)}
        />
        {lens.ring.kind === 'helicoid' && (
          <NumberField
            label="throw of the ring"
            unit="°"
            step={5}
            {...PLAN_LIMITS.focusThrowDeg}
            value={lens.ring.focusThrowDeg}
            onChange={(focusThrowDeg, gesture) =>
              change('change the throw', { ring: { kind: 'helicoid', focusThrowDeg } }, gesture)
            }
          />
        )}
        <label className="field">
          <span className="field-label">stops are</span>
          <Select
            value={lens.stopScale}
            options={[
              { value: 'T', label: 'T (light)' },
              { value: 'f', label: 'f (geometry)' },
            ]}
            onChange={(stopScale) => change(`stops in ${stopScale}`, { stopScale, name: lensName({ ...lens, stopScale }) })}
          />
        </label>
      </div>
    </section>
  );
}

/** A lens is called by its figures until Kit gives it a name. */
function lensName({ focalLengthMm, stopScale, widestStop }: Lens): string {
  return `${Number(focalLengthMm.toFixed(1))} mm ${stopScale}${Number(widestStop.toFixed(2))}`;
}

function ShotFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const scene = useAppSelector((state) => selectDocument(state)?.scene ?? '');
  return (
    <section>
      <h2>Shot</h2>
      <div className="field-pair">
        <TextField
          label="scene"
          value={scene}
          max={40}
          placeholder="number or place"
          onChange={(text) => dispatch(editHeading('change the scene', { scene: text }))}
        />
        <TimeField
          label="length"
          timeS={plan.durationS}
          captureFps={plan.captureFps}
          minS={shortestDurationS(plan)}
          maxS={PLAN_LIMITS.durationS.max}
          why={plan.line.moves.length > 0 ? 'the last pull lands before that' : undefined}
          onChange={(durationS, gesture) => edit('change the length', (now) => setDuration(now, durationS), gesture)}
        />
        <NumberField
          label="frames a second"
          decimals={3}
          step={1}
          {...PLAN_LIMITS.captureFps}
          value={plan.captureFps}
          onChange={(captureFps, gesture) => edit('change the frame rate', (now) => ({ ...now, captureFps }), gesture)}
        />
        <NumberField
          label="shown at"
          decimals={3}
          step={1}
          {...PLAN_LIMITS.deliveryFps}
          value={plan.deliveryFps}
          hint={
            plan.captureFps > plan.deliveryFps * 1.01
              ? `${Number((plan.captureFps / plan.deliveryFps).toFixed(2))} × slower`
              : undefined
          }
          onChange={(deliveryFps, gesture) => edit('change the delivery rate', (now) => ({ ...now, deliveryFps }), gesture)}
        />
      </div>
      <label className="field setup-method">
        <span className="field-label">focus is</span>
        <Select
          value={plan.method}
          options={METHODS.map((method) => ({ value: method, label: METHOD_WORDS[method].short }))}
          onChange={(method: Method) => edit(`method ${METHOD_WORDS[method].short}`, (now) => ({ ...now, method }))}
        />
        <span className="field-hint">{METHOD_WORDS[plan.method].means}</span>
      </label>
      {METHOD_WORDS[plan.method].caution && (
        <p className="caution" role="note">
          {METHOD_WORDS[plan.method].caution}
        </p>
      )}
    </section>
  );
}

const STANDARDS: readonly { readonly value: Sharpness['kind']; readonly label: string; readonly start: Sharpness }[] = [
  { value: 'diagonal', label: 'by the sensor’s diagonal', start: { kind: 'diagonal', divisor: 1500 } },
  { value: 'photosite', label: 'by photosites', start: { kind: 'photosite', count: 2 } },
  { value: 'viewer', label: 'by what a viewer sees', start: { kind: 'viewer', viewingDistancePictureHeights: 3 } },
];

function SharpnessFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { sharpness, camera } = plan.optics;
  const set = (next: Sharpness, gesture?: string) =>
    edit('how sharp is sharp', (now) => ({ ...now, optics: { ...now.optics, sharpness: next } }), gesture);
  return (
    <section>
      <h2>How sharp is sharp</h2>
      <Select
        aria-label="Sharpness standard"
        className="wide-select"
        value={sharpness.kind}
        options={STANDARDS.map(({ value, label }) => ({ value, label }))}
        onChange={(kind) => set(STANDARDS.find(({ value }) => value === kind)!.start)}
      />
      {sharpness.kind === 'diagonal' && (
        <NumberField
          label="diagonal divided by"
          step={100}
          isWhole
          {...PLAN_LIMITS.diagonalDivisor}
          value={sharpness.divisor}
          onChange={(divisor, gesture) => set({ kind: 'diagonal', divisor }, gesture)}
        />
      )}
      {sharpness.kind === 'photosite' && (
        <div className="field-pair">
          <NumberField
            label="photosites"
            step={0.5}
            decimals={1}
            {...PLAN_LIMITS.photositeCount}
            value={sharpness.count}
            onChange={(count, gesture) => set({ kind: 'photosite', count }, gesture)}
          />
          <NumberField
            label="of, across"
            step={16}
            isWhole
            min={PLAN_LIMITS.photositesWide.min}
            max={PLAN_LIMITS.photositesWide.max}
            value={camera.photositesWide}
            onChange={(photositesWide, gesture) =>
              edit('change the photosites', (now) => setCamera(now, { ...now.optics.camera, photositesWide }), gesture)
            }
          />
        </div>
      )}
      {sharpness.kind === 'viewer' && (
        <NumberField
          label="viewer sits away, in picture heights"
          step={0.5}
          decimals={1}
          {...PLAN_LIMITS.viewingDistancePictureHeights}
          value={sharpness.viewingDistancePictureHeights}
          onChange={(viewingDistancePictureHeights, gesture) => set({ kind: 'viewer', viewingDistancePictureHeights }, gesture)}
        />
      )}
    </section>
  );
}
