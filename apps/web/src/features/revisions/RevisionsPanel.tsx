import { evaluatePull } from '@still-heron/core';
import { differenceLines, narrate } from '@still-heron/wording';
import { useEffect, useRef, useState } from 'react';
import clsx from 'clsx';
import { useRevisionQuery, useRevisionsQuery } from '../../shared/api/api';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { selectSaving } from '../shot/savingSlice';
import { documentEdited, selectDocument } from '../shot/shotSlice';
import { useUnits } from '../../shared/useUnits';
import { byDay, timeOfDay } from './byDay';
import { Button } from '../../ui/Button';
import barStyles from '../../ui/frame/bars.module.css';
import styles from './RevisionsPanel.module.css';
import textStyles from '../../ui/text.module.css';

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
  const { data: revisions, isError } = useRevisionsQuery({ shotId, version: baseVersion });
  useEffect(() => close.current?.focus(), []);
  return (
    <aside
      data-testid="revisions-panel"
      className={clsx(barStyles.keysPanel, styles.revisionsPanel)}
      aria-label="Saved versions"
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <header>
        <h2>Saved versions</h2>
        <Button look="quiet" ref={close} onClick={onClose}>
          Hide
        </Button>
      </header>
      {isError && (
        <p className={textStyles.toneEdge}>The server does not answer, so the saved versions are unknown. Try again later.</p>
      )}
      {byDay(revisions ?? []).map(({ day, items }) => (
        <section key={day}>
          <h3>{day}</h3>
          <ol>
            {items.map(({ version, savedAt }) => (
              <li key={version}>
                <Button
                  look="quiet"
                  aria-expanded={chosen === version}
                  onClick={() => setChosen(chosen === version ? null : version)}
                >
                  <span className={textStyles.figure}>{timeOfDay(savedAt)}</span>
                  {version === baseVersion && <span className={textStyles.muted}> the latest</span>}
                </Button>
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
  if (isError) return <p className={textStyles.toneEdge}>This version can’t be loaded.</p>;
  if (!then) return <p className={textStyles.muted}>…</p>;
  const headings = (['scene', 'slate', 'title'] as const).flatMap((part) =>
    then[part] === now[part] ? [] : [`the ${part}: ${now[part] || 'none'} → ${then[part] || 'none'}`],
  );
  const lines = [...headings, ...differenceLines(now.plan, then.plan, units)];
  return (
    <div data-testid="revision" className={styles.revision}>
      <p>{narrate(evaluatePull(then.plan), then.plan, units).text}</p>
      {lines.length === 0 ? (
        <p className={textStyles.muted}>Same as now.</p>
      ) : (
        <>
          <p className={textStyles.muted}>Now → then</p>
          <ul>
            {lines.slice(0, MAX_LINES).map((line) => (
              <li key={line}>{line}</li>
            ))}
            {lines.length > MAX_LINES && <li className={textStyles.muted}>and {lines.length - MAX_LINES} more</li>}
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
