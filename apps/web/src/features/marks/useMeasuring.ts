import { nanoid } from '@reduxjs/toolkit';
import type { ReadingView } from '@still-heron/contract';
import { changeMark, type DeviceMethod, type Mark, planDistances } from '@still-heron/core';
import { measureRefusalText } from '@still-heron/wording';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useAppDispatch, useAppStore } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { selectSelection } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';

/** Id of this page, so that simulated readings reach no other page. */
const PAGE = `page-${nanoid()}`;

/** Pause before a refused connection to the measuring port is tried again. */
const LISTEN_AGAIN_MS = 5000;

export interface Measuring {
  readonly problem: string | null;
  readonly measure: (method: DeviceMethod, mark: Mark) => void;
}

/** Listens to the measuring port. @returns a function that ends it */
function listenToPort(onReading: (reading: ReadingView) => void): () => void {
  let events: EventSource;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const listen = () => {
    events = new EventSource('/api/measuring/events');
    events.addEventListener('reading', ({ data }) => onReading(JSON.parse(data as string) as ReadingView));
    // lost connections come back by themselves; refused ones do not, such as those before the crew code is given
    events.addEventListener('error', () => {
      if (events.readyState === EventSource.CLOSED) timer = setTimeout(listen, LISTEN_AGAIN_MS);
    });
  };
  listen();
  return () => {
    clearTimeout(timer);
    events.close();
  };
}

/**
 * Listens to the measuring port and writes readings to the selected mark. T and L request a simulated tape or laser reading:
 * the drawn distance with the noise of the method. It arrives the same way as a device's reading.
 */
export function useMeasuring(): Measuring {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [problem, setProblem] = useState<string | null>(null);
  /** mark of a requested reading, and readings already used: one can arrive both through the port and as the answer */
  const asked = useRef<string | null>(null);
  const taken = useRef(new Set<number>());

  const take = useRef((reading: ReadingView) => {
    if (reading.recipient !== null && reading.recipient !== PAGE) return;
    if (taken.current.has(reading.number)) return;
    taken.current.add(reading.number);
    const selection = selectSelection(store.getState());
    const markId = (reading.recipient === PAGE ? asked.current : null) ?? (selection?.kind === 'mark' ? selection.id : null);
    const mark = selectPlan(store.getState())?.marks.find(({ id }) => id === markId);
    if (!mark) return;
    const { method, distanceMm, uncertaintyMm, isSimulated } = reading;
    dispatch(
      editPlan(`${method} ${mark.letter}`, (now) => changeMark(now, mark.id, { distanceMm, method, uncertaintyMm, isSimulated })),
    );
  });

  useEffect(() => {
    return listenToPort((reading) => take.current(reading));
  }, []);

  const measure = useCallback(
    (method: DeviceMethod, mark: Mark): void => {
      const plan = selectPlan(store.getState());
      const drawnMm = plan ? planDistances(plan).markSightings.get(mark.id)?.tapeMm : undefined;
      if (drawnMm === undefined) {
        setProblem(measureRefusalText('not-on-the-floor', mark.letter, method));
        return;
      }
      asked.current = mark.id;
      const body = JSON.stringify({ method, drawnMm: Math.max(drawnMm, 1), recipient: PAGE });
      fetch('/api/measuring/simulated', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body })
        .then(async (response) => {
          if (!response.ok) throw new Error(String(response.status));
          take.current((await response.json()) as ReadingView);
          setProblem(null);
        })
        .catch(() => setProblem(measureRefusalText('no-answer', mark.letter, method)));
    },
    [store],
  );
  function measureSelected(method: DeviceMethod): void {
    const selection = selectSelection(store.getState());
    const mark = selectPlan(store.getState())?.marks.find(({ id }) => selection?.kind === 'mark' && id === selection.id);
    if (mark) measure(method, mark);
  }
  useKeys('t', () => measureSelected('tape'));
  useKeys('l', () => measureSelected('laser'));
  return useMemo(() => ({ problem, measure }), [problem, measure]);
}
