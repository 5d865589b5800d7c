import { REQUIREMENT_WORDS } from '@still-heron/wording';
import {
  type Beat,
  changeBeat,
  formatTime,
  type CompleteVerdict,
  PLAN_LIMITS,
  removeBeat,
  MIN_BEAT_S,
  type ShotPlan,
  splitAlternates,
} from '@still-heron/core';
import { Select } from '../../ui/antd/Select';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import { TextField } from '../../ui/fields/TextField';
import { TimeField } from '../../ui/fields/TimeField';
import { WordChoice } from '../../ui/fields/WordChoice';
import { itemSelected, playheadMoved } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { Button } from '../../ui/Button';
import layoutStyles from '../../ui/layout.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import pullStyles from './pull.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './BeatDetails.module.css';

interface Props {
  readonly beat: Beat;
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
}

const KINDS = (Object.keys(REQUIREMENT_WORDS) as Beat['requirement'][]).map((value) => ({
  value,
  word: REQUIREMENT_WORDS[value].choice,
}));
const TAKES = [
  { value: 'both', word: 'all takes' },
  { value: 'A', word: 'A only' },
  { value: 'B', word: 'B only' },
] as const;

/** Fields of a beat: subject, requirement, times, required share, key moment, alternate and purpose. */
export function BeatDetails({ beat, plan, verdict }: Props) {
  const dispatch = useAppDispatch();
  const name = plan.subjects.find(({ id }) => id === beat.subjectId)?.name ?? 'the subject';
  const { phrase } = REQUIREMENT_WORDS[beat.requirement];
  const change = (changes: Parameters<typeof changeBeat>[2], gesture?: string) =>
    dispatch(editPlan(`change when ${name} ${phrase}`, (now) => changeBeat(now, beat.id, changes), gesture));
  return (
    <section aria-label={`${name} ${phrase}`}>
      <h2>Requirement</h2>
      <WordChoice
        label="Requirement"
        chosen={beat.requirement}
        choices={KINDS}
        onChoose={(kind) => change({ requirement: kind })}
      />
      <Select
        aria-label="Subject"
        className={layoutStyles.wideSelect}
        value={beat.subjectId}
        options={plan.subjects.map(({ id, name: label }) => ({ value: id, label }))}
        onChange={(subjectId) => change({ subjectId })}
      />
      <div className={fieldStyles.fieldPair}>
        <BeatTimes beat={beat} plan={plan} onChange={change} />
        <Kept beat={beat} verdict={verdict} />
      </div>
      {beat.requirement !== 'none' && <Key beat={beat} plan={plan} onChange={change} />}
      <AlternateChoice beat={beat} name={name} phrase={phrase} />
      <TextField
        label="reason"
        value={beat.why}
        max={PLAN_LIMITS.note.max}
        placeholder="a reaction, a reveal"
        className={pullStyles.cueField}
        onChange={(why) => change({ why })}
      />
      <Button
        onClick={() => {
          dispatch(editPlan('delete a span', (now) => removeBeat(now, beat.id)));
          dispatch(itemSelected(null));
        }}
      >
        Delete this span
      </Button>
    </section>
  );
}

interface BeatTimesProps extends Pick<Props, 'beat' | 'plan'> {
  readonly onChange: (changes: Parameters<typeof changeBeat>[2], gesture?: string) => void;
}

function BeatTimes({ beat, plan, onChange }: BeatTimesProps) {
  return (
    <>
      <TimeField
        label="from"
        decimals={2}
        timeS={beat.fromS}
        captureFps={plan.captureFps}
        minS={0}
        maxS={beat.toS - MIN_BEAT_S}
        reason="beat-start"
        onChange={(fromS, gesture) => onChange({ fromS }, gesture)}
      />
      <TimeField
        label="until"
        decimals={2}
        timeS={beat.toS}
        captureFps={plan.captureFps}
        minS={beat.fromS + MIN_BEAT_S}
        maxS={plan.durationS}
        reason="beat-end"
        onChange={(toS, gesture) => onChange({ toS }, gesture)}
      />
      {beat.requirement !== 'none' && (
        <NumberField
          label="share of the span"
          unit="%"
          step={5}
          isWhole
          min={1}
          max={100}
          value={Math.round(beat.requiredShare * 100)}
          onChange={(share, gesture) => onChange({ requiredShare: share / 100 }, gesture)}
        />
      )}
      {beat.requirement === 'sharp' && <SoftMoment beat={beat} onChange={onChange} />}
      {beat.requirement === 'soft' && (
        <NumberField
          label="blur, of the width"
          unit="%"
          step={0.1}
          decimals={2}
          min={PLAN_LIMITS.blurPercent.min}
          max={PLAN_LIMITS.blurPercent.max}
          value={beat.blurPercent}
          onChange={(blurPercent, gesture) => onChange({ blurPercent }, gesture)}
        />
      )}
    </>
  );
}

function SoftMoment({ beat, onChange }: Pick<BeatTimesProps, 'beat' | 'onChange'>) {
  return (
    <NumberField
      label="soft moment allowed"
      unit="frames"
      step={1}
      {...PLAN_LIMITS.toleratedFrames}
      isWhole
      value={beat.toleratedFrames}
      onChange={(toleratedFrames, gesture) => onChange({ toleratedFrames }, gesture)}
    />
  );
}

interface AlternateChoiceProps extends Pick<Props, 'beat'> {
  readonly name: string;
  readonly phrase: string;
}

function AlternateChoice({ beat, name, phrase }: AlternateChoiceProps) {
  const dispatch = useAppDispatch();
  return (
    <Choice
      label="alternate"
      value={beat.alternate ?? 'both'}
      choices={TAKES}
      onPick={(take) =>
        dispatch(
          editPlan(`in which takes ${name} ${phrase}`, (now) =>
            changeBeat(take === 'both' ? now : splitAlternates(now), beat.id, { alternate: take === 'both' ? null : take }),
          ),
        )
      }
    />
  );
}

/** Share of the beat that meets its requirement, with a link to its worst frame. */
function Kept({ beat, verdict }: Pick<Props, 'beat' | 'verdict'>) {
  const dispatch = useAppDispatch();
  const judged = verdict?.beats.find(({ beatId }) => beatId === beat.id);
  if (!verdict || !judged) return null;
  const { share, kept, worstFrame } = judged;
  const worstS = worstFrame === null ? null : worstFrame / verdict.captureFps;
  const keptWord = kept ? 'kept' : 'not kept';
  const verdictWord = beat.requirement === 'none' ? 'nothing required' : keptWord;
  return (
    <div className={fieldStyles.field}>
      <span className={fieldStyles.fieldLabel}>{beat.requirement === 'soft' ? 'is soft' : 'is sharp'}</span>
      <span className={clsx(textStyles.figure, styles.beatShare, kept ? textStyles.toneSharp : textStyles.toneSoft)}>
        {Math.floor(share * 100)} % <strong>{verdictWord}</strong>
      </span>
      {worstS !== null && (
        <button
          type="button"
          className={clsx(fieldStyles.fieldHint, styles.worstFrame)}
          onClick={() => dispatch(playheadMoved(worstS))}
        >
          least room at {formatTime(worstS)}
        </button>
      )}
    </div>
  );
}

interface KeyProps {
  readonly beat: Beat;
  readonly plan: ShotPlan;
  readonly onChange: (changes: { keyMomentS: number | null }, gesture?: string) => void;
}

/** Key moment of the beat: the instant that must be perfect. */
function Key({ beat, plan, onChange }: KeyProps) {
  if (beat.keyMomentS === null)
    return (
      <Button className={styles.keyAdd} onClick={() => onChange({ keyMomentS: (beat.fromS + beat.toS) / 2 })}>
        Set a key moment
      </Button>
    );
  return (
    <div className={fieldStyles.fieldPair}>
      <TimeField
        label="key moment"
        decimals={2}
        timeS={beat.keyMomentS}
        captureFps={plan.captureFps}
        minS={beat.fromS}
        maxS={beat.toS - 1 / plan.captureFps}
        reason="key-moment"
        onChange={(keyMomentS, gesture) => onChange({ keyMomentS }, gesture)}
      />
      <Button className={styles.keyAdd} onClick={() => onChange({ keyMomentS: null })}>
        Remove the key moment
      </Button>
    </div>
  );
}
