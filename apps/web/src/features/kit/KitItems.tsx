import type { KitItemView } from '@still-heron/contract';
import type { KitKind } from '@still-heron/core';
import { KIND_WORDS } from '@still-heron/wording';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { PageNote } from '../../ui/PageNote';
import { Unreachable } from '../../ui/Unreachable';
import { CameraPage } from './camera/CameraPage';
import { KitList } from './KitList';
import { KitConflictBar } from './KitSaveState';
import { kitSaver } from './kitSaving';
import { kitSavingActions } from './kitSavingSlice';
import { openKit, type OpenKit, selectOpenKit } from './kitSlice';
import { LensPage } from './lens/LensPage';
import { RigPage } from './rig/RigPage';
import { useKit } from '../../shared/api/useKit';
import { useKitActions } from './useKitActions';
import { WheelPage } from './wheel/WheelPage';
import { Button } from '../../ui/Button';
import styles from './KitItems.module.css';

interface Props {
  readonly kind: KitKind;
  readonly itemId: string | null;
}

/** List of one kind of kit beside the open item. Without an id in the address, the first item is open. */
export function KitItems({ kind, itemId }: Props) {
  const { items, isLoaded, error, refetch } = useKit(kind);
  const actions = useKitActions(kind);
  const navigate = useNavigate();
  const open = useAppSelector(selectOpenKit);
  const first = items[0]?.id;
  useEffect(() => {
    if (itemId === null && first) void navigate(`/kit/${kind}/${first}`, { replace: true });
  }, [itemId, first, kind, navigate]);
  const shown = items.find(({ id }) => id === itemId);
  useOpening(kind, shown);
  if (error && !isLoaded) return <Unreachable error={error} retry={refetch} />;
  if (!isLoaded) return null;
  if (items.length === 0) return <EmptyKit kind={kind} />;
  return (
    <div className={styles.kit}>
      <KitList kind={kind} items={items} itemId={itemId} />
      <div className={styles.kitItem}>
        <KitConflictBar />
        {itemId !== null && !shown ? (
          <PageNote title={`There is no such ${KIND_WORDS[kind].one}.`}>
            <p>It may have been deleted. Shots that used it keep their copies.</p>
            <Button onClick={() => void actions.create()}>Add a new one</Button>
          </PageNote>
        ) : (
          open?.kind === kind && open.id === itemId && <ItemPage kind={kind} key={open.id} />
        )}
      </div>
    </div>
  );
}

function ItemPage({ kind }: { readonly kind: KitKind }) {
  switch (kind) {
    case 'lenses':
      return <LensPage />;
    case 'cameras':
      return <CameraPage />;
    case 'wheels':
      return <WheelPage />;
    case 'rigs':
      return <RigPage />;
  }
}

/** Opens the item in the address with an empty undo history, with its unsent edit if there is one. Saves the previous item. */
function useOpening(kind: KitKind, shown: KitItemView | undefined): void {
  const dispatch = useAppDispatch();
  const id = shown?.id;
  useEffect(() => {
    if (!shown) return undefined;
    let isCurrent = true;
    void kitSaver.outbox
      .get(shown.id)
      .catch(() => undefined)
      .then((unsent) => {
        if (!isCurrent) return;
        const item = unsent?.document ?? shown.item;
        dispatch(openKit({ kind, id: shown.id, item } as OpenKit['open']));
        const baseVersion = unsent?.baseVersion ?? shown.version;
        dispatch(kitSavingActions.opened({ id: shown.id, context: kind, baseVersion, savedAt: null, hasUnsaved: !!unsent }));
      });
    return () => {
      isCurrent = false;
      void dispatch(kitSaver.saveNow());
      dispatch(kitSavingActions.closed());
      dispatch(openKit(null));
    };
    // only another item is opened: the list also changes when this one is saved
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [kind, id, dispatch]);
}

function EmptyKit({ kind }: { readonly kind: KitKind }) {
  const actions = useKitActions(kind);
  const { one } = KIND_WORDS[kind];
  return (
    <PageNote title={`No ${one} yet.`}>
      <p>{KIND_WORDS[kind].empty}</p>
      <p>
        <Button look="main" size="large" onClick={() => void actions.create()}>
          Describe the first {one}
        </Button>{' '}
        <Button size="large" onClick={() => void actions.readFile()}>
          Import a kit file
        </Button>
      </p>
    </PageNote>
  );
}
