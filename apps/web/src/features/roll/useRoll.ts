import type { RollView } from '@still-heron/contract';
import type { PreparedRoll, ShotPlan } from '@still-heron/core';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { takesApi } from '../../shared/api/takesApi';
import { useAppDispatch } from '../../shared/store/hooks';
import { ownMs } from '../../shared/live/clockOffset';
import { type ConnectionState, type LiveConnection, openConnection } from '../../shared/live/liveConnection';
import { type CueSounds, cueSounds } from './cueSounds';
import { ringSource, type RingSource } from './ringSource';
import { SETTLED, type FinishedRoll, RollEngine, type RollMoment } from './rollEngine';
import type { RollOptions } from '../../shared/rollOptions';
import { storeAndSend } from './sendTakes';
import { signalCue } from './signalCue';
import { deviceName, newId } from './thisDevice';
import { takeOutbox } from './takeOutbox';

export interface RollInput {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly planVersion: number;
  readonly predictedKeepRate: number | null;
  readonly options: RollOptions;
  readonly rate: number;
}

export interface Roll {
  readonly moment: RollMoment;
  readonly line: ConnectionState;
  /** Ring angle here, or on the device that turns it; null if unknown */
  readonly ringDeg: number | null;
  /** Last roll of this device; null before the first */
  readonly ended: FinishedRoll | null;
  readonly toggle: () => void;
  readonly triggerNow: () => void;
  readonly turn: (wheelDeg: number) => void;
  /** Starts or ends a focus check */
  readonly setFocusCheck: (isRocked: boolean) => void;
  readonly forget: () => void;
}

/** Interval between writes of a rolling take. */
const WRITE_MS = 500;
/**
 * Minimum pause as a multiple of the last write's duration, with an upper limit below the time at which the page counts as
 * gone.
 */
const WRITE_TIMES = 20;
const MAX_WRITE_MS = 3000;
/** By then a take of another device is in the log. */
const LOGGED_BY_MS = 1500;
/** Interval at which other devices receive the ring angle. */
const WHEEL_MS = 50;
/** A hidden page is not drawn but keeps recording. */
const TICK_MS = 10;
const NO_LINE: ConnectionState = { isConnected: false, others: [], clock: null };

/** Runs a roll, started here or on another device. */
export function useRoll(input: RollInput): Roll {
  const dispatch = useAppDispatch();
  const newest = useRef(input);
  newest.current = input;
  const { shotId, plan, ready, options } = input;
  const [moment, setMoment] = useState<RollMoment>(SETTLED);
  const [ended, setEnded] = useState<FinishedRoll | null>(null);
  const [ringDeg, setRingDeg] = useState<number | null>(null);
  const [line, setLine] = useState<LiveConnection | null>(null);
  const ring = useRef<RingSource>(null);
  const engine = useRef<RollEngine>(null);
  const sounds = useRef<CueSounds>(null);
  const remoteDeg = useRef<number | null>(null);
  const offset = useRef(0);
  const realS = () => (engine.current ? (ownMs() + offset.current - engine.current.roll.startedAtMs) / 1000 : 0);

  // the ring source follows plan and options, but never changes during a roll
  useEffect(() => {
    if (engine.current) return;
    ring.current = ringSource(plan, options.turnedBy, ready.track.start.ringDeg);
    setRingDeg(ring.current.ringDeg());
  }, [plan, ready, options.turnedBy]);

  function begin(roll: RollView, isOurs: boolean): void {
    const { plan, ready, planVersion, predictedKeepRate, options } = newest.current;
    ring.current?.reset(ready.track.start.ringDeg);
    // a device that only shows the roll plays sounds as well
    if (options.hasSound) sounds.current ??= cueSounds();
    engine.current = new RollEngine(
      {
        plan,
        ready,
        planVersion,
        predictedKeepRate,
        puller: options.puller,
        hasCamera: options.hasCamera && isOurs,
        ring: isOurs ? ring.current! : ringSource(plan, 'nobody', 0),
      },
      roll,
      isOurs,
      new Date(roll.startedAtMs - offset.current),
    );
    remoteDeg.current = null;
    if (isOurs) setEnded(null);
    setMoment(engine.current.tick(realS()));
  }

  function finish(): void {
    const over = engine.current;
    if (!over) return;
    engine.current = null;
    setMoment(SETTLED);
    sounds.current?.hush();
    const endS = (ownMs() + offset.current - over.roll.startedAtMs) / 1000;
    if (!over.isOurs) return;
    // cancelled during the count-in, or slow practice: no take
    if (endS <= 0) return;
    over.setFocusCheck(false, endS);
    const done = over.endAt(endS);
    setEnded(done);
    if (over.rate !== 1) return;
    void storeAndSend({ id: done.id, shotId: over.roll.shotId, rolledAt: done.rolledAt, take: done.take }, dispatch);
  }

  useEffect(() => {
    const live = openConnection(shotId, deviceName(), {
      roll: (roll) => {
        if (engine.current?.id === roll.rollId) engine.current.applyRemote(roll);
        else if (!engine.current) begin(roll, false);
      },
      cue: ({ rollId, pullId, timeS }) => {
        if (engine.current?.id === rollId) engine.current.triggerPull(pullId, timeS);
      },
      end: (rollId) => {
        if (engine.current?.id !== rollId) return;
        const isOurs = engine.current.isOurs;
        finish();
        // another device logs its take a moment later
        if (!isOurs) setTimeout(() => dispatch(takesApi.util.invalidateTags([{ type: 'Takes', id: shotId }])), LOGGED_BY_MS);
      },
      wheel: (deg) => (remoteDeg.current = deg),
      device: (message) => {
        if (message.kind !== 'camera') ring.current?.reported(message.ringDeg);
        else if (message.isRolling && engine.current?.isOurs)
          engine.current.receiveTimecode(message.device, message.timecode, realS());
      },
      joined: () => {
        if (engine.current?.isOurs) live.tellRoll(engine.current.sharedState);
      },
    });
    setLine(live);
    const stop = live.subscribe(() => {
      // the clock offset stays fixed during our own roll; a change would make its time jump
      if (!engine.current?.isOurs) offset.current = live.state().clock?.offsetMs ?? offset.current;
    });
    return () => {
      stop();
      if (engine.current?.isOurs) live.tellEnd(engine.current.id);
      finish();
      live.close();
      sounds.current?.close();
      sounds.current = null;
      setLine(null);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- all other values are read from refs, so that the connection stays open
  }, [shotId]);

  useEffect(() => {
    let [writtenMs, wheelMs, frame] = [0, 0, 0];
    // the ring is read more often than it is drawn
    const show = (tick: RollMoment | null, deg: number | null) => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => {
        // ignore ticks of a roll that has ended
        if (tick && engine.current) setMoment(tick);
        setRingDeg(deg);
      });
    };
    const timer = setInterval(() => {
      const now = ownMs();
      const rolling = engine.current;
      if (!rolling) {
        ring.current?.run((now % 1e8) / 1000, newest.current.ready.track.start.ringDeg);
        show(null, ring.current?.ringDeg() ?? null);
        return;
      }
      const atS = realS();
      const tick = rolling.tick(atS);
      for (const { cue, inS } of rolling.dueCues(atS)) signalCue(cue, inS, newest.current.options, sounds.current);
      const deg = rolling.isOurs ? rolling.setting.ring.ringDeg() : remoteDeg.current;
      show(tick, deg);
      if (!rolling.isOurs) return;
      if (now - wheelMs > WHEEL_MS) {
        wheelMs = now;
        if (deg !== null) line?.tellWheel(deg);
        line?.order({ kind: 'drive', ringDeg: rolling.setting.ready.track.ringDegAt(tick.planS) });
      }
      if (now - writtenMs > WRITE_MS && rolling.rate === 1 && atS > 0) {
        const { id, rolledAt, take } = rolling.endAt(atS);
        // longer takes need longer to write; the pause leaves time for cues
        writtenMs = now + Math.min(WRITE_TIMES * (ownMs() - now), MAX_WRITE_MS);
        void takeOutbox.put({ id, shotId, rolledAt, take, aliveAtMs: Date.now() }).catch(() => undefined);
      }
    }, TICK_MS);
    return () => {
      clearInterval(timer);
      cancelAnimationFrame(frame);
    };
  }, [shotId, line]);

  const state = useSyncExternalStore(line?.subscribe ?? noLine, line?.state ?? (() => NO_LINE));
  return {
    moment,
    line: state,
    ringDeg,
    ended,
    toggle: () => {
      if (engine.current) {
        line?.tellEnd(engine.current.id);
        line?.order({ kind: 'roll', isRolling: false });
        finish();
        return;
      }
      const { options, rate } = newest.current;
      const roll: RollView = {
        rollId: newId(),
        shotId,
        startedAtMs: ownMs() + offset.current + options.countInS * 1000,
        rate,
        isClockTriggered: options.isClockTriggered,
        device: deviceName(),
        cueEvents: [],
      };
      begin(roll, true);
      line?.tellRoll(roll);
      line?.order({ kind: 'roll', isRolling: true });
    },
    triggerNow: () => {
      const timeS = realS();
      const pullId = engine.current?.nextPullToTrigger(timeS);
      if (!engine.current || !pullId || timeS < 0) return;
      engine.current.triggerPull(pullId, timeS);
      line?.tellCue({ rollId: engine.current.id, pullId, timeS });
    },
    setFocusCheck: (isRocked) => engine.current?.setFocusCheck(isRocked, realS()),
    turn: (wheelDeg) => ring.current?.turn(wheelDeg),
    forget: () => setEnded(null),
  };
}

const noLine = () => () => undefined;
