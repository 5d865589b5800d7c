import {
  cameraOf,
  FORMATS,
  isZoom,
  type KitKind,
  detachFromKit,
  setCamera,
  setFocalLength,
  type ShotPlan,
  chooseCamera,
  chooseLens,
  chooseRig,
  type UnitSystem,
  type Camera,
  type KitSources,
} from '@still-heron/core';
import type { KitItemView } from '@still-heron/contract';
import { lensLine, PULLER_WORDS, SUPPORT_WORDS } from '@still-heron/wording';
import { Link } from 'react-router';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import { useKit } from '../../shared/api/useKit';
import { CameraFields } from './CameraFields';
import { choicesOf, NONE, OWN } from './gearChoices';
import { LensFields } from './LensFields';
import { OwnedGear } from './OwnedGear';
import { WheelPick } from './WheelPick';
import { useEdit } from '../shot/useEdit';
import fieldStyles from '../../ui/fields/fields.module.css';
import styles from './GearFields.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Gear of the shot: camera, lens, wheel and rig from the kit, or a camera and a lens with figures of their own. */
export function GearFields({ plan, units }: Props) {
  return (
    <>
      <CameraPick plan={plan} />
      <LensPick plan={plan} units={units} />
      <WheelPick plan={plan} />
      <RigPick plan={plan} />
    </>
  );
}

function CameraPick({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { items } = useKit('cameras');
  const { camera } = plan.optics;
  const source = plan.kit.camera;
  const taken = items.find(({ id }) => id === source?.id);
  const known = FORMATS.find(
    (format) => format.sensorWidthMm === camera.sensorWidthMm && format.sensorHeightMm === camera.sensorHeightMm,
  );
  const pick = (value: string) => {
    const view = items.find(({ id }) => id === value);
    const format = FORMATS.find(({ id }) => id === value);
    if (view)
      edit(`camera ${view.item.name}`, (now) =>
        chooseCamera(now, { id: view.id, modeId: view.item.modes[0]!.id, steadyingId: null }, view.item),
      );
    else if (format) edit(`format ${format.name}`, (now) => setCamera(detachFromKit(now, 'camera'), cameraOf(format)));
    else edit('use a camera by its figures', (now) => detachFromKit(now, 'camera'));
  };
  const inMode = (name: string, changes: Partial<NonNullable<typeof source>>) =>
    taken && source && edit(name, (now) => chooseCamera(now, { ...source, ...changes }, taken.item));
  return (
    <section>
      <h2>Camera</h2>
      <Choice
        label="Camera"
        isBare
        isSearched
        value={source?.id ?? known?.id ?? OWN}
        choices={[
          ...choicesOf(items, source?.id ?? null, camera.name, ({ name }) => name),
          ...FORMATS.map(({ id, name, sensorWidthMm, sensorHeightMm }) => ({
            value: id,
            word: `${name} · ${sensorWidthMm} × ${sensorHeightMm}`,
          })),
          ...(source || known ? [] : [{ value: OWN, word: 'own format' }]),
        ]}
        onPick={pick}
      />
      {taken && source ? (
        <CameraInKit source={source} taken={taken} inMode={inMode} camera={camera} />
      ) : (
        <CameraFields plan={plan} />
      )}
    </section>
  );
}

interface CameraInKitProps {
  readonly source: NonNullable<KitSources['camera']>;
  readonly taken: KitItemView<'cameras'>;
  readonly inMode: (name: string, changes: Partial<NonNullable<KitSources['camera']>>) => void;
  readonly camera: Camera;
}

function CameraInKit({ source, taken, inMode, camera }: CameraInKitProps) {
  return (
    <>
      <div className={fieldStyles.fieldPair}>
        <Choice
          label="records"
          value={source.modeId}
          choices={taken.item.modes.map(({ id, name }) => ({ value: id, word: name }))}
          onPick={(modeId) => inMode('change the recording mode', { modeId })}
        />
        {taken.item.steadying.length > 0 && (
          <Choice
            label="digital steadying"
            value={source.steadyingId ?? NONE}
            choices={[
              { value: NONE, word: 'off' },
              ...taken.item.steadying.map(({ id, name, cropPercent }) => ({ value: id, word: `${name}, −${cropPercent} %` })),
            ]}
            onPick={(id) => inMode('change the steadying', { steadyingId: id === NONE ? null : id })}
          />
        )}
      </div>
      {camera.steadyingCropPercent > 0 && (
        <p className={fieldStyles.fieldHint}>
          The picture is narrower by {camera.steadyingCropPercent} % and enlarged as much, so the zone gets thinner. Use the
          weakest level that works.
        </p>
      )}
      <FromKit kind="cameras" id={source.id} />
    </>
  );
}

function LensPick({ plan, units }: Props) {
  const edit = useEdit();
  const { items } = useKit('lenses');
  const { lens, focalLengthMm } = plan.optics;
  const { lensId } = plan.kit;
  const pick = (value: string) => {
    const view = items.find(({ id }) => id === value);
    if (view) edit(`lens ${view.item.lens.name}`, (now) => chooseLens(now, view.id, view.item.lens));
    else edit('use a lens by its figures', (now) => detachFromKit(now, 'lens'));
  };
  return (
    <section>
      <h2>Lens</h2>
      <Choice
        label="Lens"
        isBare
        isSearched
        value={lensId ?? OWN}
        choices={[
          { value: OWN, word: lensId === null ? `${lens.name}, with its own figures` : 'with its own figures' },
          ...choicesOf(items, lensId, lens.name, (item) => item.lens.name),
        ]}
        onPick={pick}
      />
      {isZoom(lens) && (
        <NumberField
          label="focal length at the start"
          unit="mm"
          step={1}
          decimals={1}
          min={lens.focalLengthMm}
          max={lens.longestMm}
          value={focalLengthMm}
          testId="zoomed-to"
          onChange={(mm, gesture) => edit(`zoom to ${mm} mm`, (now) => setFocalLength(now, mm), gesture)}
        />
      )}
      {lensId === null ? (
        <LensFields plan={plan} units={units} />
      ) : (
        <>
          <p className={fieldStyles.fieldHint}>{lensLine(lens)}</p>
          <FromKit kind="lenses" id={lensId} />
        </>
      )}
    </section>
  );
}

function RigPick({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { rig } = plan;
  return (
    <OwnedGear
      kind="rigs"
      title="Rig"
      taken={rig}
      takenFrom={plan.kit.rigId}
      nothing="none"
      hint={rig ? `${SUPPORT_WORDS[rig.support]} · ${PULLER_WORDS[rig.puller]}` : undefined}
      onPick={(name, id, item) => edit(name, (now) => chooseRig(now, id, item))}
    />
  );
}

function FromKit({ kind, id }: { readonly kind: KitKind; readonly id: string }) {
  return (
    <Link className={styles.fromKit} to={`/kit/${kind}/${id}`}>
      Open it in Kit
    </Link>
  );
}
