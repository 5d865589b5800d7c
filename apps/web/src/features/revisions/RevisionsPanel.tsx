import { evaluatePull } from '@still-heron/core';
import type { RevisionView } from '@still-heron/contract';
import { narrate, shotDifferenceLines, versionText } from '@still-heron/wording';
import { useEffect, useRef, useState } from 'react';
import clsx from 'clsx';
import { useNameRevisionMutation, useRevisionQuery, useRevisionsQuery } from '../../shared/api/revisionsApi';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { selectSaving } from '../shot/savingSlice';
import { documentEdited, selectDocument } from '../shot/shotSlice';
import { useUnits } from '../../shared/useUnits';
import { byDay, timeOfDay } from './byDay';
import { stretchesOf, type Stretch } from './stretches';
import { deviceId } from '../../shared/thisDevice';
import { TextField } from '../../ui/fields/TextField';
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
            {stretchesOf(items).map((stretch) => (
              <StretchItem
                key={stretch.newest.version}
                stretch={stretch}
                latest={baseVersion}
                shotId={shotId}
                onClose={onClose}
              />
            ))}
          </ol>
        </section>
      ))}
    </aside>
  );
}

/** Saves in quick succession: the newest of them, and the others on demand. */
function StretchItem({ stretch, latest, ...rest }: Props & { readonly stretch: Stretch; readonly latest: number }) {
  const [showsAll, setShowsAll] = useState(false);
  const { newest, versions, changes } = stretch;
  const earlier = versions.slice(1);
  return (
    <li>
      <VersionItem
        revision={newest}
        changes={showsAll ? newest.changes : changes}
        isLatest={newest.version === latest}
        {...rest}
      />
      {earlier.length > 0 && (
        <Button look="quiet" size="small" aria-expanded={showsAll} onClick={() => setShowsAll(!showsAll)}>
          {versions.length} saves from {timeOfDay(versions.at(-1)!.savedAt)}
        </Button>
      )}
      {showsAll && (
        <ol>
          {earlier.map((revision) => (
            <li key={revision.version}>
              <VersionItem revision={revision} changes={revision.changes} isLatest={false} {...rest} />
            </li>
          ))}
        </ol>
      )}
    </li>
  );
}

interface ItemProps extends Props {
  readonly revision: RevisionView;
  readonly changes: Stretch['changes'];
  readonly isLatest: boolean;
}

/** A version in the list: when, by which device, and what it changed. */
function VersionItem({ revision, changes, isLatest, shotId, onClose }: ItemProps) {
  const [isChosen, setIsChosen] = useState(false);
  const { savedAt, savedBy, name } = revision;
  return (
    <>
      <Button look="quiet" className={styles.version} aria-expanded={isChosen} onClick={() => setIsChosen(!isChosen)}>
        <span>
          <span className={textStyles.figure}>{timeOfDay(savedAt)}</span>
          {name !== '' && <strong> {name}</strong>}
          {isLatest && <span className={textStyles.muted}> the latest</span>}
        </span>
        <span className={textStyles.muted}>{versionText(savedBy, changes, deviceId())}</span>
      </Button>
      {isChosen && <Version revision={revision} shotId={shotId} onClose={onClose} />}
    </>
  );
}

/** Number of differences listed; further ones are only counted. */
const MAX_LINES = 10;
/** Longest name that the server takes. */
const REVISION_NAME_MAX = 60;

function Version({ shotId, revision, onClose }: Props & { readonly revision: RevisionView }) {
  const { version, savedAt, name } = revision;
  const [giveName] = useNameRevisionMutation();
  const dispatch = useAppDispatch();
  const units = useUnits();
  const now = useAppSelector(selectDocument)!;
  const { data: then, isError } = useRevisionQuery({ shotId, version });
  if (isError) return <p className={textStyles.toneEdge}>This version can’t be loaded.</p>;
  if (!then) return <p className={textStyles.muted}>…</p>;
  const lines = shotDifferenceLines(now, then, units);
  return (
    <div data-testid="revision" className={styles.revision}>
      <TextField
        label="Name, to keep it and find it again"
        value={name}
        max={REVISION_NAME_MAX}
        onChange={(text) => void giveName({ shotId, version, name: text })}
      />
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
              dispatch(documentEdited({ document: then, name: `restore the version of ${timeOfDay(savedAt)}` }));
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
