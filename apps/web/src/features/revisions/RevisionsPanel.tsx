import { evaluatePull } from '@still-heron/core';
import { differenceLines, narrate } from '@still-heron/wording';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useRevisionQuery, useRevisionsQuery } from '../../shared/api/api';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { selectSaving } from '../shot/savingSlice';
import { documentEdited, selectDocument } from '../shot/shotSlice';
import { useUnits } from '../../shared/useUnits';
import { byDay, timeOfDay } from './byDay';
import './revisions.css';

interface Props {
  readonly shotId: string;
  readonly onClose: () => void;
}

/** Saved versions of the shot, newest first, with their differences to the current plan. Restoring one is an undoable step. */
export function RevisionsPanel({ shotId, onClose }: Props) {
  const close = useRef<HTMLButtonElement>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  const { baseVersion } = useAppSelector(selectSaving);
  // reload the list after every save
  const { data: revisions, isError } = useRevisionsQuery({ shotId, version: baseVersion ?? 0 });
  useEffect(() => close.current?.focus(), []);
  return (
    <aside
      className="keys-panel history-panel"
      aria-label="Saved versions"
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <header>
        <h2>Saved versions</h2>
        <button type="button" className="quiet" ref={close} onClick={onClose}>
          Hide
        </button>
      </header>
      {isError && <p className="tone-edge">The server does not answer, so the saved versions are unknown. Try again later.</p>}
      {byDay(revisions ?? []).map(({ day, items }) => (
        <section key={day}>
          <h3>{day}</h3>
          <ol>
            {items.map(({ version, savedAt }) => (
              <li key={version}>
                <button
                  type="button"
                  className="quiet"
                  aria-expanded={chosen === version}
                  onClick={() => setChosen(chosen === version ? null : version)}
                >
                  <span className="figure">{timeOfDay(savedAt)}</span>
                  {version === baseVersion && <span className="haze"> the latest</span>}
                </button>
                {chosen === version && <Version shotId={shotId} version={version} time={timeOfDay(savedAt)} onClose={onClose} />}
              </li>
            ))}
          </ol>
        </section>
      ))}
    </aside>
  );
}

/** Number of differences listed; further ones are only counted. */
const MAX_LINES = 10;

function Version({ shotId, version, time, onClose }: Props & { readonly version: number; readonly time: string }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const now = useAppSelector(selectDocument)!;
  const { data: then, isError } = useRevisionQuery({ shotId, version });
  if (isError) return <p className="tone-edge">This version can’t be loaded.</p>;
  if (!then) return <p className="haze">…</p>;
  const headings = (['scene', 'slate', 'title'] as const).flatMap((part) =>
    then[part] === now[part] ? [] : [`the ${part}: ${now[part] || 'none'} → ${then[part] || 'none'}`],
  );
  const lines = [...headings, ...differenceLines(now.plan, then.plan, units)];
  return (
    <div className="history-version">
      <p>{narrate(evaluatePull(then.plan), then.plan, units).text}</p>
      {lines.length === 0 ? (
        <p className="haze">Same as now.</p>
      ) : (
        <>
          <p className="haze">Now → then</p>
          <ul>
            {lines.slice(0, MAX_LINES).map((line) => (
              <li key={line}>{line}</li>
            ))}
            {lines.length > MAX_LINES && <li className="haze">and {lines.length - MAX_LINES} more</li>}
          </ul>
          <Button
            onClick={() => {
              dispatch(documentEdited({ document: then, name: `restore the version of ${time}` }));
              onClose();
            }}
          >
            Restore this version
          </Button>
        </>
      )}
    </div>
  );
}
