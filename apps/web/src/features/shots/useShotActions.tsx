import type { ProductionView, ShotRowView } from '@still-heron/contract';
import { refusalText } from '@still-heron/wording';
import { newPlan } from '@still-heron/core';
import { useNotices } from '../../ui/notices/notices';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import {
  problemOf,
  useCreateShotMutation,
  useDuplicateShotMutation,
  useLazyShotQuery,
  useRemoveShotMutation,
  useRestoreShotMutation,
} from '../../shared/api/api';
import { useKit } from '../../shared/api/useKit';
import { firstPlan } from './firstPlan';
import { nextSlate } from './nextSlate';
import { asProductionLooks } from './productionLook';
import { Button } from '../../ui/Button';

/** How long the page offers to undo a deletion. Ctrl Z works as long as the page is open. */
const OFFER_S = 8;

/** Actions on whole shots. Every rejection is shown on the page. */
export function useShotActions(production: ProductionView, shots: readonly ShotRowView[]) {
  const navigate = useNavigate();
  const notices = useNotices();
  const [findShot] = useLazyShotQuery();
  const [createShot] = useCreateShotMutation();
  const [duplicateShot] = useDuplicateShotMutation();
  const [removeShot] = useRemoveShotMutation();
  const [restoreShot] = useRestoreShotMutation();
  const { items: cameras } = useKit('cameras');
  const { items: lenses } = useKit('lenses');
  const removed = useRef<ShotRowView[]>([]);

  const showRefusal = (what: string, error: unknown) => {
    if (error) notices.fail(refusalText(what, problemOf(error).body));
  };

  async function create(): Promise<void> {
    const last = shots[shots.length - 1];
    const before = last && (await findShot(last.id));
    if (before?.error) return showRefusal('The shot was not created', before.error);
    const document = {
      scene: last?.scene ?? '',
      slate: nextSlate(shots.map(({ slate }) => slate)),
      title: '',
      plan: asProductionLooks(before?.data ? newPlan(before.data.plan) : firstPlan(cameras, lenses), production),
    };
    const { data, error } = await createShot({ productionId: production.id, document });
    showRefusal('The shot was not created', error);
    if (data) await navigate(`/shots/${data.id}/setup`);
  }

  async function duplicate(shot: ShotRowView): Promise<void> {
    showRefusal('The shot was not duplicated', (await duplicateShot(shot.id)).error);
  }

  async function takeBack(): Promise<void> {
    const shot = removed.current.pop();
    if (!shot) return;
    notices.close(shot.id);
    showRefusal(`${shot.slate} was not restored`, (await restoreShot(shot.id)).error);
  }

  async function remove(shot: ShotRowView): Promise<void> {
    const { error } = await removeShot({ id: shot.id, version: shot.version });
    showRefusal(`${shot.slate} was not deleted`, error);
    if (error) return;
    removed.current.push(shot);
    notices.show({
      key: shot.id,
      title: `${shot.slate} ${shot.title} was deleted.`,
      durationS: OFFER_S,
      actions: (
        <Button look="main" onClick={() => void takeBack()}>
          Restore
        </Button>
      ),
    });
  }

  return { create, duplicate, remove, takeBack };
}
