import {
  addMethodPart,
  changeMethodPart,
  type Method,
  type MethodPart,
  methodParts,
  METHODS,
  MIN_PART_S,
  PLAN_LIMITS,
  removeMethodPart,
  setMethod,
  type ShotPlan,
} from '@still-heron/core';
import { METHOD_WORDS, partTimes } from '@still-heron/wording';
import { Select } from '../../ui/antd/Select';
import { useAppStore } from '../../shared/store/hooks';
import { Button } from '../../ui/Button';
import { TimeField } from '../../ui/fields/TimeField';
import { selectSession } from '../shot/sessionSlice';
import { useEdit } from '../shot/useEdit';
import fieldStyles from '../../ui/fields/fields.module.css';
import styles from './MethodParts.module.css';

/** The method of the shot, and of each later part that has another. */
export function MethodParts({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const store = useAppStore();
  const [first, ...later] = methodParts(plan);
  const add = () => {
    const { timeS } = selectSession(store.getState());
    edit('a part with its own method', (now) => {
      const added = addMethodPart(now, timeS, 'automatic');
      return added === now ? addMethodPart(now, middleOfLast(now), 'automatic') : added;
    });
  };
  return (
    <div className={styles.parts}>
      <div className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>method{later.length > 0 && `, ${partTimes(first!)}`}</span>
        <MethodSelect plan={plan} part={first!} />
        <span className={fieldStyles.fieldHint}>{METHOD_WORDS[plan.method].means}</span>
      </div>
      {later.map((part, index) => (
        <LaterPart key={part.id} plan={plan} part={part} before={later[index - 1] ?? first!} />
      ))}
      {plan.laterMethods.length < PLAN_LIMITS.laterMethods.max && (
        <Button look="quiet" onClick={add}>
          Another method for a later part
        </Button>
      )}
    </div>
  );
}

/** Where a part is added if the playhead leaves no room. */
function middleOfLast(plan: ShotPlan): number {
  const { fromS, toS } = methodParts(plan).at(-1)!;
  return (fromS + toS) / 2;
}

function MethodSelect({ plan, part: { id, method, fromS, toS } }: { readonly plan: ShotPlan; readonly part: MethodPart }) {
  const edit = useEdit();
  return (
    <Select
      aria-label={plan.laterMethods.length === 0 ? 'method' : `method from ${partTimes({ fromS, toS })}`}
      value={method}
      options={METHODS.map((one) => ({ value: one, label: METHOD_WORDS[one].short }))}
      onChange={(chosen: Method) => edit(`use the method ${METHOD_WORDS[chosen].short}`, (now) => setMethod(now, id, chosen))}
    />
  );
}

interface LaterPartProps {
  readonly plan: ShotPlan;
  readonly part: MethodPart;
  readonly before: MethodPart;
}

function LaterPart({ plan, part, before }: LaterPartProps) {
  const edit = useEdit();
  const id = part.id!;
  return (
    <div className={styles.later} role="group" aria-label={`method from ${partTimes(part)}`}>
      <TimeField
        label="then from"
        timeS={part.fromS}
        captureFps={plan.captureFps}
        decimals={2}
        minS={before.fromS + MIN_PART_S}
        maxS={part.toS - MIN_PART_S}
        onChange={(fromS, gesture) => edit('move the start of a part', (now) => changeMethodPart(now, id, fromS), gesture)}
      />
      <div className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>method</span>
        <MethodSelect plan={plan} part={part} />
      </div>
      <Button
        look="quiet"
        aria-label={`Remove the part from ${partTimes(part)}`}
        onClick={() => edit('remove a part', (now) => removeMethodPart(now, id))}
      >
        ✕
      </Button>
    </div>
  );
}
