import { type Finding, FINDINGS_AT } from '@still-heron/core';
import { FINDING_WORDS, practiceText } from '@still-heron/wording';
import clsx from 'clsx';
import type { RollOptions } from '../../shared/rollOptions';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import type { PracticeChoice } from './practice';
import type { RollController } from './rollController';
import type { RollMoment } from './rollMoment';
import styles from './RollPage.module.css';

interface Props {
  readonly isReady: boolean;
  readonly toggle: () => void;
  /** null for takes */
  readonly practice: PracticeChoice | null;
  readonly hasEvents: boolean;
  readonly options: RollOptions;
  readonly moment: RollMoment;
  readonly controller: RollController;
  /** Ending the take of another device is to be confirmed */
  readonly asksEnd: boolean;
  readonly onLeave: () => void;
}

const FAULTS = FINDINGS_AT.time.filter((found) => found !== 'fine' && found !== 'settled-late');

/** Starts and ends a roll, gives the cue, and says what is seen while it rolls, here or on another device. */
export function RollActions(props: Props) {
  const { isReady, toggle, practice, hasEvents, options, moment, controller, asksEnd, onLeave } = props;
  const isRolling = moment.phase === 'rolling';
  const startWord = practice ? practiceText(practice.rate).replace('Practice', 'Practise') : 'Roll';
  return (
    <div className={styles.rollBottom}>
      {isRolling && !moment.isPractice && options.view === 'puller' && <FaultsNow onFault={controller.sayFault} />}
      <div className={styles.rollActions}>
        <button type="button" className={clsx(styles.rollMain, !isReady && styles.isEnd)} onClick={toggle}>
          {isReady ? startWord : endWord(moment, asksEnd)}
          <Key>Space</Key>
        </button>
        {asksEnd && <Button onClick={onLeave}>Let it roll</Button>}
        {hasEvents && !options.isClockTriggered && (
          <button
            type="button"
            className={clsx(styles.rollCue, moment.waitingPullId && styles.isWaiting)}
            disabled={!isRolling}
            onClick={controller.triggerNow}
          >
            The cue: now <Key>C</Key>
          </button>
        )}
        {isRolling && (
          <button
            type="button"
            className={styles.rollCue}
            onPointerDown={() => controller.setFocusCheck(true)}
            onPointerUp={() => controller.setFocusCheck(false)}
            onPointerLeave={() => controller.setFocusCheck(false)}
          >
            Checking focus: hold <Key>W</Key>
          </button>
        )}
      </div>
    </div>
  );
}

function endWord({ phase, isOurs, device, isPractice }: RollMoment, asksEnd: boolean): string {
  if (!isOurs)
    return asksEnd
      ? `Yes, end the ${isPractice ? 'practice' : 'take'} of ${device}`
      : `End the ${isPractice ? 'practice' : 'take'} of ${device}`;
  if (phase === 'counting' && !isPractice) return 'Cancel';
  return isPractice ? 'End the practice' : 'End the take';
}

/** Faults seen right now, one press each. */
function FaultsNow({ onFault }: { readonly onFault: (found: Finding) => void }) {
  return (
    <div className={styles.rollFaults} role="group" aria-label="Seen just now">
      <span>seen just now</span>
      {FAULTS.map((found) => (
        <Button key={found} look="quiet" onClick={() => onFault(found)}>
          {FINDING_WORDS[found]}
        </Button>
      ))}
    </div>
  );
}
