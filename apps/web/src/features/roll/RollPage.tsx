import { isTriggeredByEvent, nearSign, ringOf, type PreparedRoll, prepareRoll, type ShotPlan } from '@still-heron/core';
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
import { NextSide } from './NextSide';
import { RollChart } from './RollChart';
import { RollState } from './RollFigures';
import { readOptions, type RollOptions, writeOptions } from '../../shared/rollOptions';
import { RollSide } from './RollSide';
import { RollStatus } from './RollStatus';
import { useRoll } from './useRoll';
import { WheelPad } from './WheelPad';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import layoutStyles from '../../ui/layout.module.css';
import styles from './RollPage.module.css';

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

function Rolling({ shotId, plan, ready }: Props) {
  const units = useUnits();
  const planVersion = useAppSelector((state) => selectSaving(state).baseVersion);
  const { data: takes = [] } = useTakesQuery(shotId);
  const rate = useKeepRate()?.rate ?? null;
  const [options, setOptions] = useState<RollOptions>(() => readOptions(window.localStorage));
  const [speed, setSpeed] = useState(1);
  const [isRehearsing, setIsRehearsing] = useState(false);
  const rehearsedS = useAppSelector((state) => selectSession(state).timeS);
  const { moment, connection, ringDeg, ended, trace, controller } = useRoll({
    shotId,
    plan,
    ready,
    planVersion,
    predictedKeepRate: rate?.keepRate ?? null,
    options,
    rate: speed,
  });
  const isReady = moment.phase === 'ready';
  const shown = isReady && isRehearsing ? { ...moment, planS: rehearsedS } : moment;
  const hasWheel = options.turnedBy === 'wheel' || options.turnedBy === 'motor-wheel';
  const hasEvents = plan.focusTrack.pulls.some(isTriggeredByEvent);
  const toggle = () => {
    setIsRehearsing(false);
    controller.toggle();
  };
  // a held key counts as one press
  useKeys('space', ({ repeat }) => !repeat && toggle(), { preventDefault: true });
  useKeys('c', ({ repeat }) => !repeat && controller.triggerNow());
  useKeys('w', ({ type, repeat }) => !repeat && controller.setFocusCheck(type === 'keydown'), { keydown: true, keyup: true });

  function change(changes: Partial<RollOptions>): void {
    const changed = { ...options, ...changes };
    setOptions(changed);
    writeOptions(window.localStorage, changed);
  }
  const startWord = speed === 1 ? 'Roll' : `Practise at ${speed * 100} %`;
  const endWord = moment.phase === 'counting' ? 'Cancel' : 'End the take';
  return (
    <div className={clsx(layoutStyles.stepPage, styles.rollPage, !isReady && styles.isRolling)}>
      <div data-testid="surface" className={layoutStyles.surface}>
        <RollStatus
          moment={moment}
          connection={connection}
          plan={plan}
          number={(takes.at(-1)?.number ?? 0) + 1}
          options={options}
        />
        {isReady && ended && !isRehearsing ? (
          <AfterTake key={ended.id} shotId={shotId} units={units} ended={ended} onDone={controller.forget} />
        ) : (
          <>
            <RollState
              plan={plan}
              ready={ready}
              moment={shown}
              ringDeg={ringDeg}
              units={units}
              isAlone={options.view === 'alone'}
            />
            <RollChart plan={plan} ready={ready} units={units} planS={shown.planS} ringDeg={ringDeg} trace={trace} />
          </>
        )}
        {hasWheel && moment.isOurs && !(isReady && ended) && (
          <WheelPad ringDeg={ringDeg ?? 0} nearerSign={nearSign(ringOf(plan.optics.lens))} onTurn={controller.turn} />
        )}
        <div className={styles.rollActions}>
          <button type="button" className={clsx(styles.rollMain, !isReady && styles.isEnd)} onClick={toggle}>
            {isReady ? startWord : endWord}
            <Key>Space</Key>
          </button>
          {hasEvents && !options.isClockTriggered && (
            <button
              type="button"
              className={clsx(styles.rollCue, moment.waitingPullId && styles.isWaiting)}
              disabled={moment.phase !== 'rolling'}
              onClick={controller.triggerNow}
            >
              The cue: now <Key>C</Key>
            </button>
          )}
          {moment.phase === 'rolling' && moment.isOurs && (
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
      {isReady && isRehearsing && (
        <Suspense>
          <div className={styles.rollRehearsal}>
            <Button look="quiet" onClick={() => setIsRehearsing(false)}>
              ← back to the roll
            </Button>
            <RehearsalPanel plan={plan} />
          </div>
        </Suspense>
      )}
      {isReady &&
        !isRehearsing &&
        (ended ? (
          <NextSide shotId={shotId} plan={plan} units={units} takes={takes} />
        ) : (
          <RollSide
            plan={plan}
            options={options}
            rate={speed}
            hasEvents={hasEvents}
            onChange={change}
            onRate={setSpeed}
            onRehearse={() => setIsRehearsing(true)}
          />
        ))}
    </div>
  );
}
