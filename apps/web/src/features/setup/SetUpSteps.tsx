import { type SetUpStep, setUpSteps, type ShotPlan } from '@still-heron/core';
import { setUpStepText } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { useState } from 'react';
import styles from './SetUpSteps.module.css';

/** What is done before the camera rolls, by the method of the shot. Ticks are forgotten when the page is left: they are of one set-up. */
export function SetUpSteps({ plan }: { readonly plan: ShotPlan }) {
  const steps = setUpSteps(plan);
  const [done, setDone] = useState<readonly SetUpStep['code'][]>([]);
  const tick = (code: SetUpStep['code'], isDone: boolean) =>
    setDone(isDone ? [...done, code] : done.filter((one) => one !== code));
  return (
    <ol className={styles.steps} aria-label="Before the take">
      {steps.map((step) => (
        <li key={step.code}>
          <Checkbox checked={done.includes(step.code)} onChange={({ target }) => tick(step.code, target.checked)}>
            {setUpStepText(step)}
          </Checkbox>
        </li>
      ))}
    </ol>
  );
}
