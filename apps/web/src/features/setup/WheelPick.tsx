import { chooseWheel, setWheelJob, type ShotPlan, WHEEL_JOBS, wheelJob, wheelNearerTurns, wheelOf } from '@still-heron/core';
import { WHEEL_JOB_WORDS, wheelJobText } from '@still-heron/wording';
import { WordChoice } from '../../ui/fields/WordChoice';
import { useEdit } from '../shot/useEdit';
import styles from './WheelPick.module.css';
import { OwnedGear } from './OwnedGear';

/** The wheel of the shot, and what it turns. */
export function WheelPick({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const wheel = wheelOf(plan);
  return (
    <div className={styles.wheel}>
      <OwnedGear
        kind="wheels"
        title="Wheel"
        taken={wheel}
        takenFrom={plan.kit.wheelId}
        nothing="hand on the ring"
        hint={wheelJobText(plan) ?? `nearer is ${wheelNearerTurns(plan.wheel, plan.optics.lens.nearerTurns)}`}
        onPick={(name, id, item) => edit(name, (now) => chooseWheel(now, id, item))}
      />
      {wheel && (
        <WordChoice
          label="What the wheel turns"
          chosen={wheelJob(plan)}
          choices={WHEEL_JOBS.map((value) => ({ value, word: value, inFull: `The wheel turns ${WHEEL_JOB_WORDS[value]}` }))}
          onChoose={(job) => edit(`the wheel turns ${WHEEL_JOB_WORDS[job]}`, (now) => setWheelJob(now, job))}
        />
      )}
    </div>
  );
}
