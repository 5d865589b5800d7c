import {
  changeRack,
  type CueKind,
  type Easing,
  PLAN_LIMITS,
  type Rack,
  rackTiming,
  rackEndS,
  rackRoom,
  removeRack,
  type ShotPlan,
  targetName,
} from '@still-heron/core';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../../app/store';
import { Choice } from '../../fields/Choice';
import { NumberField } from '../../fields/NumberField';
import { TextField } from '../../fields/TextField';
import { TimeField } from '../../fields/TimeField';
import { itemSelected } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { HandFacts } from './HandFacts';
import type { SideProps } from './PullSide';
import { TargetFields } from './TargetFields';

const EASING_WORDS: readonly { value: Easing; word: string }[] = [
  { value: 'eased', word: 'gently' },
  { value: 'ease-in', word: 'gentle start' },
  { value: 'ease-out', word: 'gentle landing' },
  { value: 'steady', word: 'steadily' },
];

const CUE_WORDS: readonly { value: CueKind; word: string; example: string }[] = [
  { value: 'clock', word: 'the clock', example: '' },
  { value: 'line', word: 'a line', example: '“Who rang it?”' },
  { value: 'look', word: 'a look', example: 'she looks up' },
  { value: 'hand', word: 'a hand', example: 'his hand on the rope' },
];

/** Fields of a pull: times, target, easing, cue, and its effort for the hand. */
export function MoveDetails({ move, plan, verdict, units }: SideProps & { readonly move: Rack }) {
  const dispatch = useAppDispatch();
  const name = targetName(move.target, plan, units);
  const change = (what: string, changes: Parameters<typeof changeRack>[2], gesture?: string) =>
    dispatch(editPlan(what, (now) => changeRack(now, move.id, changes), gesture));
  const room = rackRoom(plan, move.id);
  const judged = verdict?.moves.find(({ moveId }) => moveId === move.id);
  return (
    <section aria-label={`The pull to ${name}`}>
      <h2>The pull to {name}</h2>
      <div className="field-pair">
        <TimeField
          label="starts"
          decimals={2}
          timeS={move.startS}
          captureFps={plan.captureFps}
          minS={room.earliestStartS}
          maxS={Math.max(room.earliestStartS, room.latestEndS - move.durationS)}
          why="the pulls beside it and the shot's ends leave no more room"
          testId="move-starts"
          onChange={(startS, gesture) => change(`start the pull to ${name}`, { startS }, gesture)}
        />
        <TimeField
          label="lasts"
          decimals={2}
          timeS={move.durationS}
          captureFps={plan.captureFps}
          minS={PLAN_LIMITS.rackS.min}
          maxS={room.latestEndS - move.startS}
          why="the next pull or the shot's end comes then"
          testId="move-lasts"
          hint={`lands at ${rackEndS(move).toFixed(2)} s`}
          onChange={(durationS, gesture) => change(`land the pull to ${name}`, { durationS }, gesture)}
        />
        <TargetFields
          label="goes to"
          target={move.target}
          plan={plan}
          units={units}
          onChange={(target, gesture) => change('aim the pull', { target }, gesture)}
        />
        <Choice
          label="turns"
          value={move.easing}
          choices={EASING_WORDS}
          onPick={(easing) => change(`ease the pull to ${name}`, { easing })}
        />
      </div>
      <Cue move={move} name={name} onChange={change} />
      {judged && <HandFacts judged={judged} plan={plan} units={units} />}
      <Timing move={move} plan={plan} />
      <Button
        onClick={() => {
          dispatch(editPlan(`remove the pull to ${name}`, (now) => removeRack(now, move.id)));
          dispatch(itemSelected(null));
        }}
      >
        Remove this pull
      </Button>
    </section>
  );
}

interface CueProps {
  readonly move: Rack;
  readonly name: string;
  readonly onChange: (what: string, changes: Parameters<typeof changeRack>[2], gesture?: string) => void;
}

/** Trigger of the pull and its count-in. */
function Cue({ move, name, onChange }: CueProps) {
  const chosen = CUE_WORDS.find(({ value }) => value === move.cueKind)!;
  return (
    <>
      <div className="field-pair cue-pair">
        <Choice
          label="set off by"
          value={move.cueKind}
          choices={CUE_WORDS}
          onPick={(cueKind) =>
            onChange(`what sets off the pull to ${name}`, { cueKind, ...(cueKind === 'clock' ? { cue: '' } : {}) })
          }
        />
        <NumberField
          label="counted in before"
          unit="s"
          step={0.5}
          decimals={1}
          min={PLAN_LIMITS.cueLeadS.min}
          max={PLAN_LIMITS.cueLeadS.max}
          value={move.cueLeadS}
          onChange={(cueLeadS, gesture) => onChange(`count in the pull to ${name}`, { cueLeadS }, gesture)}
        />
      </div>
      {move.cueKind !== 'clock' && (
        <TextField
          label="cue"
          value={move.cue}
          max={PLAN_LIMITS.cue.max}
          placeholder={chosen.example}
          className="cue-field"
          onChange={(cue) => onChange('change the cue', { cue })}
        />
      )}
    </>
  );
}

/** Delay from the last edit. */
const AT_REST_MS = 250;

/** Free range of start time and duration, computed after the last edit. */
function Timing({ move, plan }: { readonly move: Rack; readonly plan: ShotPlan }) {
  const [timing, setTiming] = useState<ReturnType<typeof rackTiming>>(null);
  useEffect(() => {
    const timer = setTimeout(() => setTiming(rackTiming(plan, move.id)), AT_REST_MS);
    return () => clearTimeout(timer);
  }, [plan, move.id]);
  if (!timing) return null;
  const { earliestStartS, latestStartS, longestS, lostFrames } = timing;
  const when =
    latestStartS - earliestStartS < 0.005
      ? `at ${earliestStartS.toFixed(2)} s`
      : `from ${earliestStartS.toFixed(2)} to ${latestStartS.toFixed(2)} s`;
  return (
    <p className="field-hint move-timing">
      As fast as the hand can, it may start {when}; it may last up to {longestS.toFixed(2)} s.
      {lostFrames > 0 && ` At best ${lostFrames} ${lostFrames === 1 ? 'frame is' : 'frames are'} lost.`}
    </p>
  );
}
