import { followPaces, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { useMemo } from 'react';
import { Checkbox } from '../../ui/antd/Checkbox';
import clsx from 'clsx';
import { TextField } from '../../ui/fields/TextField';
import { WordChoice } from '../../ui/fields/WordChoice';
import { PlanNotes } from '../setup/PlanNotes';
import { TurnsOtherWay } from '../setup/TurnsOtherWay';
import { SetUpSteps } from '../setup/SetUpSteps';
import type { PracticeChoice } from './practice';
import { PracticePanel } from './PracticePanel';
import type { RollOptions } from '../../shared/rollOptions';
import layoutStyles from '../../ui/layout.module.css';
import styles from './RollSide.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly options: RollOptions;
  readonly units: UnitSystem;
  /** null for takes */
  readonly practice: PracticeChoice | null;
  readonly hasEvents: boolean;
  readonly onChange: (changes: Partial<RollOptions>) => void;
  readonly onPractice: (practice: PracticeChoice | null) => void;
  readonly onRehearse: () => void;
}

const TURNED_BY = [
  { value: 'nobody', word: 'by hand, not recorded', inFull: 'A hand on the lens: nothing records it' },
  { value: 'wheel', word: 'this wheel', inFull: 'The simulated wheel on this screen' },
  { value: 'motor-wheel', word: 'simulated motor', inFull: 'The simulated motor follows the simulated wheel' },
  { value: 'motor-line', word: 'simulated motor alone', inFull: 'The simulated motor runs the focus track by itself' },
  { value: 'port', word: 'a device', inFull: 'A device connected to the device port' },
] as const;
const VIEWS = [
  { value: 'puller', word: 'now and next' },
  { value: 'alone', word: 'only the next cue' },
] as const;
const COUNT_INS = [
  { value: '0', word: 'at once' },
  { value: '3', word: '3 s' },
  { value: '5', word: '5 s' },
] as const;

/** Options and cautions before a roll. Hidden while rolling. */
export function RollSide({ plan, options, units, practice, hasEvents, onChange, onPractice, onRehearse }: Props) {
  const follows = useMemo(() => followPaces(plan).ticks.length > 0, [plan]);
  return (
    <aside data-testid="side" className={clsx(layoutStyles.side, styles.rollSide)} aria-label="Before the roll">
      <section>
        <button type="button" className={styles.rollRehearse} onClick={onRehearse}>
          Rehearse: tap each event
        </button>
      </section>
      <section>
        <h2>Before the take</h2>
        <SetUpSteps key={plan.method} plan={plan} />
      </section>
      <section>
        <TurnsOtherWay plan={plan} />
        <PlanNotes plan={plan} only="caution" />
        <p className={textStyles.muted}>
          Walk the path once without looking at a screen. During a take nothing here has to be read or touched. Local rules and
          the production’s safety lead decide.
        </p>
      </section>
      <section>
        <h2>The ring is turned by</h2>
        <WordChoice
          label="The ring is turned by"
          chosen={options.turnedBy}
          choices={TURNED_BY}
          onChoose={(turnedBy) => onChange({ turnedBy })}
        />
        {options.turnedBy === 'port' && <p className={textStyles.muted}>Any device that uses the port: see docs/devices.md.</p>}
      </section>
      <PracticePanel plan={plan} units={units} practice={practice} onPractice={onPractice} />
      <section>
        <h2>Count-in, cues and view</h2>
        <WordChoice
          label="Count-in"
          chosen={String(options.countInS) as '0' | '3' | '5'}
          choices={COUNT_INS}
          onChoose={(value) => onChange({ countInS: Number(value) as RollOptions['countInS'] })}
        />
        <WordChoice label="View" chosen={options.view} choices={VIEWS} onChoose={(view) => onChange({ view })} />
        <RollChecks options={options} onChange={onChange} hasEvents={hasEvents} follows={follows} />
        <TextField label="who pulls" max={60} value={options.puller} onChange={(puller) => onChange({ puller })} />
      </section>
    </aside>
  );
}

interface ChecksProps extends Pick<Props, 'options' | 'onChange' | 'hasEvents'> {
  /** Somebody is followed */
  readonly follows: boolean;
}

function RollChecks({ options, onChange, hasEvents, follows }: ChecksProps) {
  return (
    <div className={styles.rollChecks}>
      <Checkbox checked={options.hasSound} onChange={({ target }) => onChange({ hasSound: target.checked })}>
        sound cues: high is nearer, low is farther
      </Checkbox>
      {follows && options.hasSound && (
        <Checkbox checked={options.hasPaceTicks} onChange={({ target }) => onChange({ hasPaceTicks: target.checked })}>
          ticks at the pace of the ring while it follows
        </Checkbox>
      )}
      {'vibrate' in navigator && (
        <Checkbox checked={options.vibrates} onChange={({ target }) => onChange({ vibrates: target.checked })}>
          vibration cues
        </Checkbox>
      )}
      <Checkbox checked={options.hasCamera} onChange={({ target }) => onChange({ hasCamera: target.checked })}>
        camera rolls with timecode (simulated)
      </Checkbox>
      {hasEvents && (
        <Checkbox checked={options.isClockTriggered} onChange={({ target }) => onChange({ isClockTriggered: target.checked })}>
          nobody presses the cue key: the clock starts every pull
        </Checkbox>
      )}
    </div>
  );
}
