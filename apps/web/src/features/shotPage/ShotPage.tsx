import { staleMarks } from '@still-heron/core';
import { Suspense, useEffect, useState } from 'react';
import { lazyPart } from '../../shared/lazyPart';
import { useKeys } from '../../shared/keys/useKeys';
import { Outlet, useMatch, useNavigate, useParams } from 'react-router';
import { api, problemOf } from '../../shared/api/api';
import { Frame } from '../../ui/frame/Frame';
import type { PageName } from '../../shared/keys/pageKeys';
import { useAfterDrag } from '../../shared/gestures/dragging';
import { useAppDispatch, useAppSelector, type Store } from '../../shared/store/hooks';
import { productionOpened } from '../../shared/preferences';
import { Unreachable } from '../../ui/Unreachable';
import { evaluator } from '../../shared/workers/evaluator';
import { ConflictBar } from './ConflictBar';
import { outbox } from '../shot/outbox';
import { shotSaver } from '../shot/saving';
import { savingActions, selectProductionId, selectSaving } from '../shot/savingSlice';
import { sessionReset } from '../shot/sessionSlice';
import { openDocument, selectPlan } from '../shot/shotSlice';
import { ShotTopBar } from './ShotTopBar';
import { DeletedShot } from './DeletedShot';
import { Steps } from './Steps';
import { forgetResults } from '../shot/useKeepRate';
import styles from './ShotPage.module.css';

const StaleMarks = lazyPart(() => import('../marks/StaleMarks').then(({ StaleMarks }) => StaleMarks));
const RevisionsPanel = lazyPart(() => import('../revisions/RevisionsPanel').then(({ RevisionsPanel }) => RevisionsPanel));

/** A shot: opens it, keeps its verdict up to date, and lays out its steps. */
export function ShotPage() {
  const { shotId = '' } = useParams();
  const { failure, retry } = useOpenShot(shotId);
  const isOpen = useAppSelector((state) => selectSaving(state).id === shotId && selectPlan(state) !== null);
  const productionId = useAppSelector(selectProductionId);
  const step = useMatch('/shots/:shotId/:step')?.params.step;
  const screen: PageName = step && isStep(step) ? step : 'pull';
  const navigate = useNavigate();
  useKeys('1', () => void navigate(`/shots/${shotId}/setup`));
  useKeys('2', () => void navigate(`/shots/${shotId}/floor`));
  useKeys('3', () => void navigate(`/shots/${shotId}/pull`));
  useKeys('4', () => void navigate(`/shots/${shotId}/stop`));
  useKeys('6', () => void navigate(`/shots/${shotId}/roll`));
  useKeys('7', () => void navigate(`/shots/${shotId}/takes`));
  useKeys('0', () => void navigate(productionId ? `/productions/${productionId}/shots` : '/'));
  const [showsHistory, setShowsHistory] = useState(false);
  useKeys('v', () => setShowsHistory((shown) => !shown));
  return (
    <Frame
      screen={screen}
      hasShotUndo
      top={isOpen && <ShotTopBar onHistory={() => setShowsHistory(!showsHistory)} />}
      steps={
        isOpen && (
          <div className={styles.stepsRow}>
            <Steps shotId={shotId} />
            <StaleDistances />
          </div>
        )
      }
    >
      <Judging />
      {isOpen ? (
        <div className={styles.shotBody}>
          <ConflictBar />
          <Outlet />
          {showsHistory && (
            <Suspense>
              <RevisionsPanel shotId={shotId} onClose={() => setShowsHistory(false)} />
            </Suspense>
          )}
        </div>
      ) : (
        <NotOpened shotId={shotId} failure={failure} retry={retry} />
      )}
    </Frame>
  );
}

function StaleDistances() {
  const plan = useAfterDrag(useAppSelector(selectPlan));
  if (!plan || staleMarks(plan).length === 0) return null;
  return (
    <Suspense>
      <StaleMarks plan={plan} />
    </Suspense>
  );
}

const STEPS = ['setup', 'floor', 'pull', 'stop', 'roll', 'takes'] as const;

function isStep(step: string): step is (typeof STEPS)[number] {
  return (STEPS as readonly string[]).includes(step);
}

/** Requests a verdict after every change of the plan; on its own, so that the page is not drawn again for it. */
function Judging() {
  const plan = useAppSelector(selectPlan);
  useEffect(() => {
    if (plan) evaluator.ask(plan);
  }, [plan]);
  return null;
}

/** Why a shot could not be opened, and whether this device has an edit of it. */
interface Failure {
  readonly error: unknown;
  readonly hasUnsent: boolean;
}

function NotOpened({
  shotId,
  failure,
  retry,
}: {
  readonly shotId: string;
  readonly failure: Failure | null;
  readonly retry: () => void;
}) {
  if (failure === null) return null;
  const isDeleted = failure.hasUnsent && problemOf(failure.error).body.code === 'not-found';
  return isDeleted ? <DeletedShot shotId={shotId} onRestored={retry} /> : <Unreachable error={failure.error} retry={retry} />;
}

function useOpenShot(shotId: string): { failure: Failure | null; retry: () => void } {
  const dispatch = useAppDispatch();
  const [failure, setFailure] = useState<Failure | null>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let isCurrent = true;
    void openShot(shotId, dispatch, () => isCurrent).then((failed) => isCurrent && setFailure(failed));
    return () => {
      isCurrent = false;
    };
  }, [shotId, dispatch, tries]);
  useEffect(
    () => () => {
      void dispatch(shotSaver.saveNow());
      dispatch(savingActions.closed());
      dispatch(openDocument(null));
      dispatch(sessionReset());
      forgetResults();
    },
    [shotId, dispatch],
  );
  return { failure, retry: () => setTries((count) => count + 1) };
}

/**
 * Opens the shot: this device's unsent edit if there is one, else the stored version.
 *
 * @returns what prevented it, or null
 */
async function openShot(shotId: string, dispatch: Store['dispatch'], isCurrent: () => boolean): Promise<Failure | null> {
  const [unsent, answer] = await Promise.all([
    outbox.get(shotId).catch(() => undefined),
    dispatch(api.endpoints.shot.initiate(shotId, { forceRefetch: true, subscribe: false })),
  ]);
  if (!isCurrent()) return null;
  if (unsent && (answer.data || problemOf(answer.error).isPassing)) {
    const { context, baseVersion, document } = unsent;
    dispatch(openDocument(document));
    dispatch(productionOpened(context));
    const savedAt = answer.data?.updatedAt ?? null;
    dispatch(savingActions.opened({ id: shotId, context, baseVersion, savedAt, hasUnsaved: true }));
    return null;
  }
  if (!answer.data) return { error: answer.error, hasUnsent: unsent !== undefined };
  const { productionId, version, updatedAt, scene, slate, title, plan } = answer.data;
  dispatch(openDocument({ scene, slate, title, plan }));
  dispatch(productionOpened(productionId));
  const saved = { id: shotId, context: productionId, baseVersion: version, savedAt: updatedAt, hasUnsaved: false };
  dispatch(savingActions.opened(saved));
  return null;
}
