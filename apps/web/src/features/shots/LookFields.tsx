import type { ProductionView } from '@still-heron/contract';
import { PLAN_LIMITS } from '@still-heron/core';
import { frameText, refusalText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useRef } from 'react';
import { problemOf, useChangeProductionMutation } from '../../shared/api/api';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import { OptionalNumberField } from '../../ui/fields/OptionalNumberField';
import styles from './ProductionLook.module.css';
import textStyles from '../../ui/text.module.css';

/** Usual shapes of a delivered picture. */
const FRAMES = [2.39, 2, 1.85, 16 / 9, 4 / 3, 1, 9 / 16] as const;
const AS_RECORDED = 'recorded';

/** Frame, blur and enlargement that new shots of a production begin with. */
export function LookFields({ production }: { readonly production: ProductionView }) {
  const [change] = useChangeProductionMutation();
  const notices = useNotices();
  const { id, version, frameAspect, lookBlurPercent, enlargedPercent } = production;
  // one change after another: each is based on the version that the one before made
  const last = useRef(Promise.resolve(0));
  const set = (changes: Partial<Pick<ProductionView, 'frameAspect' | 'lookBlurPercent' | 'enlargedPercent'>>) => {
    last.current = last.current.then(async (made) => {
      const { data, error } = await change({ id, version: Math.max(version, made), ...changes });
      if (error) notices.fail(refusalText('The look was not changed', problemOf(error).body));
      return data?.version ?? made;
    });
  };
  const frames = frameAspect === null || FRAMES.some((one) => one === frameAspect) ? FRAMES : [frameAspect, ...FRAMES];
  return (
    <>
      <div className={styles.fields}>
        <Choice
          label="delivered frame"
          value={frameAspect === null ? AS_RECORDED : String(frameAspect)}
          choices={[
            { value: AS_RECORDED, word: frameText(null) },
            ...frames.map((aspect) => ({ value: String(aspect), word: frameText(aspect) })),
          ]}
          onPick={(value) => set({ frameAspect: value === AS_RECORDED ? null : Number(value) })}
        />
        <OptionalNumberField
          label="background blur, of the width"
          unit="%"
          decimals={2}
          {...PLAN_LIMITS.blurPercent}
          value={lookBlurPercent}
          placeholder="any"
          onChange={(percent) => set({ lookBlurPercent: percent })}
        />
        <NumberField
          label="enlarged later in the edit"
          unit="%"
          step={5}
          {...PLAN_LIMITS.enlargedPercent}
          value={enlargedPercent}
          onChange={(percent) => set({ enlargedPercent: percent })}
        />
      </div>
      <p className={textStyles.muted}>Shots that are there stay as they are: each can be changed on Set-up and Stop.</p>
    </>
  );
}
