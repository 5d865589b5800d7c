import { useEffect, useState } from 'react';
import { lookWhetherAsked } from '../../shared/api/entry';
import { takesApi } from '../../shared/api/takesApi';
import { ownMs } from '../../shared/live/clockOffset';
import { openConnection } from '../../shared/live/liveConnection';
import { useAppDispatch } from '../../shared/store/hooks';
import { takeOverSaved } from '../shot/takeOverSaved';
import { cueSounds } from './cueSounds';
import { ownRolls } from './ownRolls';
import { RollController } from './rollController';
import type { RollEnvironment, RollInput, RollState } from './rollState';
import { storeAndSend } from './sendTakes';
import { signalCue } from './signalCue';
import { takeOutbox } from './takeOutbox';
import { deviceName, newId } from '../../shared/thisDevice';

/** The ring is read more often than it is drawn. A hidden page is not drawn, but keeps recording. */
const TICK_MS = 10;

/** A roll of the shot, as drawn, with its controller. */
export interface Roll extends RollState {
  readonly controller: RollController;
}

/** Runs rolls of a shot while the page is open, started here or on another device. A component shows one shot only. */
export function useRoll(input: RollInput): Roll {
  const dispatch = useAppDispatch();
  const [controller] = useState(() => new RollController(input, environmentOf(dispatch)));
  const [state, setState] = useState(controller.current);
  useEffect(() => controller.update(input));
  useEffect(() => controller.open(), [controller]);
  useEffect(() => {
    const timer = setInterval(() => controller.tick(), TICK_MS);
    let frame = 0;
    const stop = controller.subscribe(() => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => setState(controller.current()));
    });
    return () => {
      clearInterval(timer);
      cancelAnimationFrame(frame);
      stop();
    };
  }, [controller]);
  return { ...state, controller };
}

function environmentOf(dispatch: ReturnType<typeof useAppDispatch>): RollEnvironment {
  return {
    nowMs: ownMs,
    connect: (shotId, events) => openConnection(shotId, deviceName(), events, () => void dispatch(lookWhetherAsked())),
    device: deviceName(),
    newId,
    openSounds: cueSounds,
    signalCue,
    keepTake: (take) => void storeAndSend(take, dispatch),
    keepRolling: (take) => void takeOutbox.put({ ...take, aliveAtMs: Date.now() }).catch(() => undefined),
    onSaved: (shotId, version) => void dispatch(takeOverSaved(shotId, version)),
    onTaken: (shotId) => void dispatch(takesApi.util.invalidateTags([{ type: 'Takes', id: shotId }])),
    ownRolls: ownRolls(window.localStorage),
  };
}
