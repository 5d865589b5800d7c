import {
  cameraErrorsOf,
  changeCameraKey,
  changeLandmark,
  type Landmark,
  type PathKey,
  PLAN_LIMITS,
  removeCameraKey,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { useAppDispatch } from '../../shared/store/hooks';
import { GapField } from '../../ui/fields/GapField';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import { TextField } from '../../ui/fields/TextField';
import { TimeField } from '../../ui/fields/TimeField';
import { editPlan } from '../shot/shotSlice';
import { FloorLength } from './FloorLength';
import { PlaceFields } from './PlaceFields';
import { Button } from '../../ui/Button';
import fieldStyles from '../../ui/fields/fields.module.css';
import floorStyles from './floor.module.css';

interface PlanFieldsProps {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** A camera key: place, time, lens height and pace. */
export function CameraKeyFields({ cameraKey, plan, units }: PlanFieldsProps & { readonly cameraKey: PathKey }) {
  const dispatch = useAppDispatch();
  const change = (changes: Partial<PathKey>, gesture?: string) =>
    dispatch(editPlan('change the path of the camera', (now) => changeCameraKey(now, cameraKey.id, changes), gesture));
  const keys = plan.floor!.camera;
  const at = keys.indexOf(cameraKey);
  return (
    <section aria-label="Camera position">
      <h2>Camera at {cameraKey.timeS.toFixed(1)} s</h2>
      <div className={fieldStyles.fieldPair}>
        <PlaceFields place={cameraKey} units={units} onChange={change} />
        <TimeField
          label="arrives at"
          timeS={cameraKey.timeS}
          captureFps={plan.captureFps}
          decimals={2}
          minS={keys[at - 1] ? keys[at - 1]!.timeS + 0.02 : 0}
          maxS={keys[at + 1] ? keys[at + 1]!.timeS - 0.02 : plan.durationS}
          reason="camera-keys"
          onChange={(timeS, gesture) => change({ timeS }, gesture)}
        />
        <FloorLength
          label="height of the lens here"
          mm={cameraKey.heightMm ?? plan.floor!.lensHeightMm}
          units={units}
          onChange={(heightMm, gesture) => change({ heightMm }, gesture)}
        />
        <Choice
          label="pace"
          value={cameraKey.pace}
          choices={[
            { value: 'eased', word: 'smooth' },
            { value: 'steady', word: 'steady' },
          ]}
          onPick={(pace) => change({ pace })}
        />
      </div>
      <CameraMiss cameraKey={cameraKey} plan={plan} units={units} onChange={change} />
      {keys.length > 1 && (
        <Button onClick={() => dispatch(editPlan('delete a camera position', (now) => removeCameraKey(now, cameraKey.id)))}>
          Delete this position
        </Button>
      )}
    </section>
  );
}

interface CameraMissProps extends PlanFieldsProps {
  readonly cameraKey: PathKey;
  readonly onChange: (changes: Partial<PathKey>, gesture?: string) => void;
}

/** How far the operator misses this place: as its support has it, or as typed of a mark on the floor. */
function CameraMiss({ cameraKey, plan, units, onChange }: CameraMissProps) {
  const { missSigmaMm } = cameraKey;
  const isStart = plan.floor!.camera[0] === cameraKey;
  const assumedMm = isStart ? 0 : cameraErrorsOf(plan).stopSigmaMm;
  return (
    <div className={floorStyles.cameraMiss}>
      <GapField
        label="operator misses this by ±"
        mm={missSigmaMm ?? assumedMm}
        limit={PLAN_LIMITS.markSigmaMm}
        units={units}
        onChange={(mm, gesture) => onChange({ missSigmaMm: mm }, gesture)}
      />
      {missSigmaMm === null ? (
        <p className={fieldStyles.fieldHint}>
          {isStart ? 'Not typed: the camera starts where it is drawn.' : 'Assumed of the support.'} Tape the floor, and type how
          well it is met.
        </p>
      ) : (
        <Button onClick={() => onChange({ missSigmaMm: null })}>As before it was typed</Button>
      )}
    </div>
  );
}

/** Name and size of a landmark. */
export function LandmarkFields({ landmark, units }: { readonly landmark: Landmark; readonly units: UnitSystem }) {
  const dispatch = useAppDispatch();
  const change = (changes: Partial<Landmark>, gesture?: string) =>
    dispatch(editPlan(`change ${landmark.name}`, (now) => changeLandmark(now, landmark.id, changes), gesture));
  return (
    <section aria-label="Landmark">
      <TextField
        label="name"
        isOptional={false}
        max={PLAN_LIMITS.name.max}
        value={landmark.name}
        onChange={(name) => change({ name })}
      />
      <div className={fieldStyles.fieldPair}>
        <PlaceFields place={landmark} units={units} onChange={change} />
        <FloorLength
          label={landmark.shape === 'post' ? 'across' : 'long'}
          mm={landmark.widthMm}
          units={units}
          onChange={(widthMm, gesture) => change({ widthMm }, gesture)}
        />
        {landmark.shape !== 'post' && (
          <FloorLength
            label="depth"
            mm={landmark.depthMm}
            units={units}
            onChange={(depthMm, gesture) => change({ depthMm }, gesture)}
          />
        )}
        <FloorLength
          label="height"
          mm={landmark.tallMm}
          units={units}
          onChange={(tallMm, gesture) => change({ tallMm }, gesture)}
        />
        {landmark.shape !== 'post' && (
          <NumberField
            label="turned by"
            unit="°"
            step={5}
            {...PLAN_LIMITS.headingDeg}
            value={landmark.turnedDeg}
            onChange={(turnedDeg, gesture) => change({ turnedDeg }, gesture)}
          />
        )}
      </div>
    </section>
  );
}
