import {
  isTriggeredByEvent,
  nearSign,
  ringOf,
  type PreparedRoll,
  prepareRoll,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { Suspense, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import clsx from 'clsx';
import { useTakesQuery } from '../../shared/api/takesApi';
import { lazyPart } from '../../shared/lazyPart';
import { useAppSelector } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { selectSaving } from '../shot/savingSlice';
import { selectSession } from '../shot/sessionSlice';
import { selectPlan } from '../shot/shotSlice';
import { useKeepRate } from '../shot/useKeepRate';
import { useUnits } from '../../shared/useUnits';
import { AfterTake } from './AfterTake';
import { LastRun } from './LastRun';
import { NextSide } from './NextSide';
import { type PracticeChoice, practiceOf } from './practice';
import { RollActions } from './RollActions';
import { RollChart } from './RollChart';
import { RollState } from './RollFigures';
import { readOptions, type RollOptions, writeOptions } from '../../shared/rollOptions';
import { RollSide } from './RollSide';
import { RollStatus } from './RollStatus';
import { useRehearsalCues } from './useRehearsalCues';
import { useRoll } from './useRoll';
import { WheelPad } from './WheelPad';
import { Button } from '../../ui/Button';
import layoutStyles from '../../ui/layout.module.css';
import styles from './RollPage.module.css';
import type { RollMoment } from './rollMoment';
import type { RingTrace } from './ringTrace';

const RehearsalPanel = lazyPart(() => import('../floor/RehearsalPanel').then(({ RehearsalPanel }) => RehearsalPanel));

/** Roll step: current and next pull, cues, and the take. */
export function RollPage() {
  const { shotId = '' } = useParams();
  const plan = useAppSelector(selectPlan)!;
  const ready = useMemo(() => prepareRoll(plan), [plan]);
  if (!ready)
    return (
      <div className={layoutStyles.stepPage}>
        <div className={layoutStyles.surface}>
          <p data-testid="sentence" className={layoutStyles.sentence}>
            There is no focus track to roll yet. <Link to={`/shots/${shotId}/pull`}>Make one in Pull</Link>.
          </p>
        </div>
      </div>
    );
  return <Rolling key={shotId} shotId={shotId} plan={plan} ready={ready} />;
}

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
}

function Rolling(props: Props) {
  const { shotId, plan, ready } = props;
  const units = useUnits();
  const { data: takes = [] } = useTakesQuery(shotId);
  const { options, change, practice, setPractice } = useRollOptions();
  const { isRehearsing, setIsRehearsing, toggle, asksEnd, leave, ...roll } = useRollKeys(props, options, practice);
  const { moment, shown, connection, ringDeg, ended, before, trace, controller } = roll;
  // a roll under way is shown with its own plan, whatever is edited meanwhile
  const now = roll.rolled ?? { plan, ready };
  const isReady = moment.phase === 'ready';
  const hasWheel = options.turnedBy === 'wheel' || options.turnedBy === 'motor-wheel';
  const hasEvents = plan.focusTrack.pulls.some(isTriggeredByEvent);
  return (
    <div className={clsx(layoutStyles.stepPage, styles.rollPage, !isReady && styles.isRolling)}>
      <div data-testid="surface" className={layoutStyles.surface}>
        <RollStatus
          moment={moment}
          connection={connection}
          plan={now.plan}
          number={(takes.at(-1)?.number ?? 0) + 1}
          options={options}
        />
        {isReady && ended && !isRehearsing ? (
          <AfterTake key={ended.id} shotId={shotId} units={units} ended={ended} before={before} onDone={controller.forget} />
        ) : (
          <RollNow {...now} shown={shown} ringDeg={ringDeg} units={units} options={options} trace={trace} />
        )}
        {!isReady && moment.isPractice && ended?.loopPullId && <LastRun ended={ended} before={before} units={units} />}
        {hasWheel && moment.isOurs && !(isReady && ended) && (
          <WheelPad ringDeg={ringDeg ?? 0} nearerSign={nearSign(ringOf(plan.optics.lens))} onTurn={controller.turn} />
        )}
        <RollActions {...{ isReady, toggle, practice, hasEvents, options, moment, controller, asksEnd }} onLeave={leave} />
      </div>
      {isReady && isRehearsing && <RollRehearsal onBack={() => setIsRehearsing(false)} plan={plan} options={options} />}
      {isReady &&
        !isRehearsing &&
        (ended && !ended.isPractice ? (
          <NextSide shotId={shotId} plan={plan} units={units} takes={takes} />
        ) : (
          <RollSide
            plan={plan}
            options={options}
            units={units}
            practice={practice}
            hasEvents={hasEvents}
            onChange={change}
            onPractice={setPractice}
            onRehearse={() => setIsRehearsing(true)}
          />
        ))}
    </div>
  );
}

interface RollNowProps {
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly shown: RollMoment;
  readonly ringDeg: number | null;
  readonly units: UnitSystem;
  readonly options: RollOptions;
  readonly trace: RingTrace;
}

function RollNow({ plan, ready, shown, ringDeg, units, options, trace }: RollNowProps) {
  return (
    <>
      <RollState plan={plan} ready={ready} moment={shown} ringDeg={ringDeg} units={units} isAlone={options.view === 'alone'} />
      <RollChart plan={plan} ready={ready} units={units} planS={shown.planS} ringDeg={ringDeg} trace={trace} />
    </>
  );
}

/** Options of a roll, kept on this device, and whether it is practice. */
function useRollOptions() {
  const [options, setOptions] = useState<RollOptions>(() => readOptions(window.localStorage));
  const [practice, setPractice] = useState<PracticeChoice | null>(null);
  function change(changes: Partial<RollOptions>): void {
    const changed = { ...options, ...changes };
    setOptions(changed);
    writeOptions(window.localStorage, changed);
  }
  return { options, change, practice, setPractice };
}

/** The roll with its keys; while rehearsing, its moment is that of the rehearsal. */
function useRollKeys({ shotId, plan, ready }: Props, options: RollOptions, choice: PracticeChoice | null) {
  const planVersion = useAppSelector((state) => selectSaving(state).baseVersion);
  const rate = useKeepRate()?.rate ?? null;
  const [isRehearsing, setIsRehearsing] = useState(false);
  const rehearsedS = useAppSelector((state) => selectSession(state).timeS);
  const roll = useRoll({
    shotId,
    plan,
    ready,
    planVersion,
    predictedKeepRate: rate?.keepRate ?? null,
    options,
    practice: useMemo(() => practiceOf(plan, choice), [plan, choice]),
  });
  const { moment, controller } = roll;
  const [asksEnd, setAsksEnd] = useState(false);
  const isOfOthers = moment.phase !== 'ready' && !moment.isOurs;
  const toggle = () => {
    setIsRehearsing(false);
    // another person has a hand on the ring there: ending that take is asked once
    if (isOfOthers && !asksEnd) return setAsksEnd(true);
    setAsksEnd(false);
    controller.toggle();
  };
  // a held key counts as one press
  useKeys('space', ({ repeat }) => !repeat && toggle(), { preventDefault: true });
  useKeys('c', ({ repeat }) => !repeat && controller.triggerNow());
  useKeys('w', ({ type, repeat }) => !repeat && controller.setFocusCheck(type === 'keydown'), { keydown: true, keyup: true });
  const shown = moment.phase === 'ready' && isRehearsing ? { ...moment, planS: rehearsedS } : moment;
  return {
    ...roll,
    shown,
    isRehearsing,
    setIsRehearsing,
    toggle,
    asksEnd: asksEnd && isOfOthers,
    leave: () => setAsksEnd(false),
  };
}

interface RollRehearsalProps extends Pick<Props, 'plan'> {
  readonly options: RollOptions;
  readonly onBack: () => void;
}

function RollRehearsal({ onBack, plan, options }: RollRehearsalProps) {
  useRehearsalCues(plan, options);
  return (
    <Suspense>
      <div className={styles.rollRehearsal}>
        <Button look="quiet" onClick={onBack}>
          ← back to the roll
        </Button>
        <RehearsalPanel plan={plan} />
      </div>
    </Suspense>
  );
}
