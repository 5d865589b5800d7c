import {
  changePull,
  type CueTrigger,
  type Easing,
  PLAN_LIMITS,
  type Pull,
  pullTiming,
  pullEndS,
  pullRoom,
  removePull,
  type ShotPlan,
} from '@still-heron/core';
import { targetName } from '@still-heron/wording';
import { useEffect, useState } from 'react';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import { TextField } from '../../ui/fields/TextField';
import { TimeField } from '../../ui/fields/TimeField';
import { itemSelected } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { PullEffort } from './PullEffort';
import type { SideProps } from './sideProps';
import { TargetFields } from './TargetFields';
import { Button } from '../../ui/Button';
import fieldStyles from '../../ui/fields/fields.module.css';
import pullStyles from './pull.module.css';
import styles from './PullDetails.module.css';

const EASING_WORDS: readonly { value: Easing; word: string }[] = [
  { value: 'eased', word: 'gently at both ends' },
  { value: 'ease-in', word: 'gentle start' },
  { value: 'ease-out', word: 'gentle landing' },
  { value: 'steady', word: 'at one speed' },
];

const CUE_WORDS: readonly { value: CueTrigger; word: string; example: string }[] = [
  { value: 'clock', word: 'the clock', example: '' },
  { value: 'spoken-line', word: 'a spoken line', example: '“Who rang it?”' },
  { value: 'look', word: 'a look', example: 'she looks up' },
  { value: 'hand', word: 'a hand signal', example: 'his hand on the rope' },
];

/** Fields of a pull: times, target, easing, cue, and its effort for the hand. */
export function PullDetails({ move: pull, plan, verdict, units }: SideProps & { readonly move: Pull }) {
  const dispatch = useAppDispatch();
  const name = targetName(pull.target, plan, units);
  const change = (what: string, changes: Parameters<typeof changePull>[2], gesture?: string) =>
    dispatch(editPlan(what, (now) => changePull(now, pull.id, changes), gesture));
  const room = pullRoom(plan, pull.id);
  const judged = verdict?.pulls.find(({ pullId }) => pullId === pull.id);
  return (
    <section aria-label={`The pull to ${name}`}>
      <h2>The pull to {name}</h2>
      <div className={fieldStyles.fieldPair}>
        <PullTimes pull={pull} plan={plan} room={room} onChange={change} name={name} />
        <TargetFields
          label="goes to"
          target={pull.target}
          plan={plan}
          units={units}
          onChange={(target, gesture) => change('change the target of the pull', { target }, gesture)}
        />
        <Choice
          label="motion"
          value={pull.easing}
          choices={EASING_WORDS}
          onPick={(easing) => change(`change the motion of the pull to ${name}`, { easing })}
        />
      </div>
      <Cue move={pull} name={name} onChange={change} />
      {judged && <PullEffort judged={judged} plan={plan} units={units} />}
      <Timing move={pull} plan={plan} />
      <Button
        onClick={() => {
          dispatch(editPlan(`delete the pull to ${name}`, (now) => removePull(now, pull.id)));
          dispatch(itemSelected(null));
        }}
      >
        Delete this pull
      </Button>
    </section>
  );
}

interface PullTimesProps {
  readonly pull: Pull;
  readonly plan: ShotPlan;
  readonly room: ReturnType<typeof pullRoom>;
  readonly onChange: (what: string, changes: Parameters<typeof changePull>[2], gesture?: string) => void;
  readonly name: string;
}

function PullTimes({ pull, plan, room, onChange, name }: PullTimesProps) {
  return (
    <>
      <TimeField
        label="starts"
        decimals={2}
        timeS={pull.startS}
        captureFps={plan.captureFps}
        minS={room.earliestStartS}
        maxS={Math.max(room.earliestStartS, room.latestEndS - pull.durationS)}
        reason="neighbouring-pulls"
        testId="move-starts"
        onChange={(startS, gesture) => onChange(`change the start of the pull to ${name}`, { startS }, gesture)}
      />
      <TimeField
        label="duration"
        decimals={2}
        timeS={pull.durationS}
        captureFps={plan.captureFps}
        minS={PLAN_LIMITS.pullS.min}
        maxS={room.latestEndS - pull.startS}
        reason="next-pull"
        testId="move-lasts"
        hint={`lands at ${pullEndS(pull).toFixed(2)} s`}
        onChange={(durationS, gesture) => onChange(`change the landing of the pull to ${name}`, { durationS }, gesture)}
      />
    </>
  );
}

interface CueProps {
  readonly move: Pull;
  readonly name: string;
  readonly onChange: (what: string, changes: Parameters<typeof changePull>[2], gesture?: string) => void;
}

/** Trigger of the pull and its count-in. */
function Cue({ move: pull, name, onChange }: CueProps) {
  const chosen = CUE_WORDS.find(({ value }) => value === pull.trigger)!;
  return (
    <>
      <div className={fieldStyles.fieldPair}>
        <Choice
          label="cue"
          value={pull.trigger}
          choices={CUE_WORDS}
          onPick={(trigger) =>
            onChange(`change the cue of the pull to ${name}`, { trigger, ...(trigger === 'clock' ? { cue: '' } : {}) })
          }
        />
        <NumberField
          label="count-in"
          unit="s"
          step={0.5}
          decimals={1}
          min={PLAN_LIMITS.countInS.min}
          max={PLAN_LIMITS.countInS.max}
          value={pull.countInS}
          onChange={(countInS, gesture) => onChange(`change the count-in of the pull to ${name}`, { countInS }, gesture)}
        />
      </div>
      {pull.trigger !== 'clock' && (
        <TextField
          label="words of the cue"
          value={pull.cue}
          max={PLAN_LIMITS.cue.max}
          placeholder={chosen.example}
          className={pullStyles.cueField}
          onChange={(cue) => onChange('change the words of the cue', { cue })}
        />
      )}
    </>
  );
}

/** Delay from the last edit. */
const SETTLE_MS = 250;

/** Free range of start time and duration, computed after the last edit. */
function Timing({ move: pull, plan }: { readonly move: Pull; readonly plan: ShotPlan }) {
  const [timing, setTiming] = useState<ReturnType<typeof pullTiming>>(null);
  useEffect(() => {
    const timer = setTimeout(() => setTiming(pullTiming(plan, pull.id)), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [plan, pull.id]);
  if (!timing) return null;
  const { earliestStartS, latestStartS, longestS, lostFrames } = timing;
  const when =
    latestStartS - earliestStartS < 0.005
      ? `at ${earliestStartS.toFixed(2)} s`
      : `from ${earliestStartS.toFixed(2)} to ${latestStartS.toFixed(2)} s`;
  return (
    <p className={clsx(fieldStyles.fieldHint, styles.moveTiming)}>
      At the speed of this hand it can start {when}; it may take up to {longestS.toFixed(2)} s.
      {lostFrames > 0 && ` Even then ${lostFrames} ${lostFrames === 1 ? 'frame is' : 'frames are'} lost.`}
    </p>
  );
}
