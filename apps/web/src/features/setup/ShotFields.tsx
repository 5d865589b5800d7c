import { methodsOf, PLAN_LIMITS, setDuration, shortestDurationS, type ShotPlan } from '@still-heron/core';
import { METHOD_WORDS, onScreenText } from '@still-heron/wording';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { NumberField } from '../../ui/fields/NumberField';
import { TextField } from '../../ui/fields/TextField';
import { TimeField } from '../../ui/fields/TimeField';
import { editHeading, selectDocument } from '../shot/shotSlice';
import { PlanNotes } from './PlanNotes';
import { CameraMoved } from './CameraMoved';
import { TurnsOtherWay } from './TurnsOtherWay';
import { MethodParts } from './MethodParts';
import { ModesForRate } from './ModesForRate';
import { useEdit } from '../shot/useEdit';
import fieldStyles from '../../ui/fields/fields.module.css';
import styles from './ShotFields.module.css';
import layoutStyles from '../../ui/layout.module.css';

/** Scene, duration, frame rates and focus method, with the cautions of the method. */
export function ShotFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const scene = useAppSelector((state) => selectDocument(state)?.scene ?? '');
  return (
    <section>
      <h2>Shot</h2>
      <div className={fieldStyles.fieldPair}>
        <TextField
          label="scene"
          value={scene}
          max={40}
          placeholder="number or place"
          onChange={(text) => dispatch(editHeading('change the scene', { scene: text }))}
        />
        <ShotTimes plan={plan} onEdit={edit} />
      </div>
      <MethodParts plan={plan} />
      <TurnsOtherWay plan={plan} />
      <PlanNotes plan={plan} without={['diffraction']} />
      <ModesForRate plan={plan} />
      {[...new Set(methodsOf(plan).flatMap((method) => METHOD_WORDS[method].caution ?? []))].map((caution) => (
        <p key={caution} data-testid="caution" className={layoutStyles.caution} role="note">
          {caution}
        </p>
      ))}
      <CameraMoved plan={plan} />
      <TextField
        label="notes"
        value={plan.notes}
        max={PLAN_LIMITS.notes.max}
        placeholder="anything else to remember"
        className={styles.setupMethod}
        onChange={(notes) => edit('change the notes', (now) => ({ ...now, notes }))}
      />
    </section>
  );
}

function ShotTimes({
  plan,
  onEdit,
}: {
  readonly plan: ShotPlan;
  readonly onEdit: (name: string, edit: (plan: ShotPlan) => ShotPlan, gesture?: string) => void;
}) {
  return (
    <>
      <TimeField
        label="length"
        timeS={plan.durationS}
        captureFps={plan.captureFps}
        minS={shortestDurationS(plan)}
        maxS={PLAN_LIMITS.durationS.max}
        {...(plan.focusTrack.pulls.length > 0 ? { reason: 'last-pull' as const } : {})}
        onChange={(durationS, gesture) => onEdit('change the length', (now) => setDuration(now, durationS), gesture)}
      />
      <NumberField
        label="frames a second"
        decimals={3}
        step={1}
        {...PLAN_LIMITS.captureFps}
        value={plan.captureFps}
        onChange={(captureFps, gesture) => onEdit('change the frame rate', (now) => ({ ...now, captureFps }), gesture)}
      />
      <NumberField
        label="played back at"
        decimals={3}
        step={1}
        {...PLAN_LIMITS.deliveryFps}
        value={plan.deliveryFps}
        hint={onScreenText(plan)}
        onChange={(deliveryFps, gesture) => onEdit('change the playback frame rate', (now) => ({ ...now, deliveryFps }), gesture)}
      />
    </>
  );
}
