import { frameOfTimecode, REPAIRS, TAKE_LIMITS } from '@still-heron/core';
import { REPAIR_WORDS } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { GapField } from '../../ui/fields/GapField';
import { TextField } from '../../ui/fields/TextField';
import { FaultAtTime } from './FaultAtTime';
import { RecoveryFields } from './RecoveryFields';
import { SpanFields } from './SpanFields';
import type { AskedAt, TakeFormProps } from './takeFormProps';
import { FindingLine } from './TakeLines';
import { TrackStrip } from './TrackStrip';
import formStyles from './TakeForm.module.css';
import styles from './TakeMore.module.css';

interface Props extends Pick<TakeFormProps, 'draft' | 'plan' | 'units' | 'take' | 'onChange'> {
  /** Spans and key moments that are not asked about above */
  readonly places: readonly AskedAt[];
}

/** Less common details of a take, each in a fold of its own. */
export function TakeMore({ draft, plan, units, take, places, onChange }: Props) {
  return (
    <div className={formStyles.takeFolds}>
      <details className={styles.takeMore}>
        <summary>Other faults</summary>
        {places.map((at) => (
          <FindingLine key={JSON.stringify(at)} {...{ draft, plan, at, onChange }} />
        ))}
        <FaultAtTime draft={draft} take={take} onChange={onChange} />
      </details>
      <details className={styles.takeMore}>
        <summary>In and out</summary>
        <TrackStrip take={take} />
        <SpanFields
          label="use"
          spans={draft.usable ?? take.measured?.usable ?? []}
          isMeasured={draft.usable === null && (take.measured?.usable.length ?? 0) > 0}
          take={take}
          onChange={(usable) => onChange({ ...draft, usable })}
          onForget={() => onChange({ ...draft, usable: null })}
        />
        <SpanFields
          label="focus check"
          spans={draft.focusChecks}
          take={take}
          onChange={(focusChecks) => onChange({ ...draft, focusChecks })}
        />
      </details>
      <details className={styles.takeMore}>
        <summary>Lost and back</summary>
        <RecoveryFields draft={draft} take={take} onChange={onChange} />
      </details>
      <CheckAndSlate {...{ draft, plan, units, onChange }} />
    </div>
  );
}

function CheckAndSlate({ draft, plan, units, onChange }: Pick<Props, 'draft' | 'plan' | 'units' | 'onChange'>) {
  const { missedMm, clip, startTimecode } = draft;
  return (
    <details className={styles.takeMore}>
      <summary>Marks, slate, repairs</summary>
      <div className={styles.takeMoreFields}>
        {plan.marks.map(({ id, letter }) => (
          <GapField
            key={id}
            label={`missed ${letter} by, below 0 is nearer`}
            mm={missedMm[id] ?? 0}
            units={units}
            limit={TAKE_LIMITS.missMm}
            onChange={(byMm) => onChange({ ...draft, missedMm: { ...missedMm, [id]: byMm } })}
          />
        ))}
        <TextField
          label="timecode on the slate"
          max={TAKE_LIMITS.timecode.max}
          placeholder="10:00:00:00"
          refusal={(text) =>
            frameOfTimecode(text, plan.captureFps) === null
              ? `A timecode at ${plan.captureFps} frames a second is needed, such as 10:00:00:00.`
              : null
          }
          value={startTimecode}
          onChange={(value) => onChange({ ...draft, startTimecode: value })}
        />
        <TextField
          label="file of the camera"
          max={TAKE_LIMITS.clip.max}
          value={clip}
          onChange={(value) => onChange({ ...draft, clip: value })}
        />
      </div>
      <Repairs draft={draft} onChange={onChange} />
    </details>
  );
}

function Repairs({ draft, onChange }: Pick<Props, 'draft' | 'onChange'>) {
  const { repairs } = draft;
  return (
    <div className={styles.takeRepairs}>
      {REPAIRS.map((repair) => (
        <Checkbox
          key={repair}
          checked={repairs.includes(repair)}
          onChange={({ target }) =>
            onChange({
              ...draft,
              repairs: target.checked ? [...repairs, repair] : repairs.filter((other) => other !== repair),
            })
          }
        >
          {REPAIR_WORDS[repair]}
        </Checkbox>
      ))}
    </div>
  );
}
