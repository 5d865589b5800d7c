import { type KitItems, type KitKind, kitName } from '@still-heron/core';
import { KIND_WORDS, problemView, refusalText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useNavigate } from 'react-router';
import { problemOf } from '../../shared/api/api';
import {
  useCreateKitItemMutation,
  useImportKitMutation,
  useRemoveKitItemMutation,
  useRestoreKitItemMutation,
} from '../../shared/api/kitApi';
import { useAppDispatch } from '../../shared/store/hooks';
import { askForFile } from '../../shared/files/csv';
import { ProblemList } from '../../ui/ProblemList';
import { readKitFile } from './exchange/readKitFile';
import { kitSaver } from './kitSaving';
import { copyName, newItem, renamed } from './newItems';
import { useKit } from '../../shared/api/useKit';
import { Button } from '../../ui/Button';

/** How long the page offers to undo a deletion. */
const OFFER_S = 10;

/** Actions on whole kit items. Every rejection is shown on the page. */
export function useKitActions<K extends KitKind>(kind: K) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const notices = useNotices();
  const { items } = useKit(kind);
  const [createItem] = useCreateKitItemMutation();
  const [removeItem] = useRemoveKitItemMutation();
  const [restoreItem] = useRestoreKitItemMutation();
  const readFile = useKitFile();

  const showRefusal = (what: string, error: unknown) => {
    if (error) notices.fail(refusalText(what, problemOf(error).body));
  };

  async function create(item: KitItems[K] = newItem(kind)): Promise<void> {
    const { data, error } = await createItem({ kind, item });
    showRefusal('It was not added', error);
    if (data) await navigate(`/kit/${kind}/${data.id}`);
  }

  async function duplicate(item: KitItems[K]): Promise<void> {
    const taken = new Set(items.map((view) => kitName(kind, view.item)));
    await create(renamed(kind, item, copyName(kitName(kind, item), taken)));
  }

  async function remove(id: string): Promise<void> {
    const view = items.find((item) => item.id === id);
    if (!view) return;
    const version = await dispatch(kitSaver.settledVersion(id, view.version));
    const { error } = await removeItem({ kind, id, version });
    showRefusal('It was not deleted', error);
    if (error) return;
    await navigate(`/kit/${kind}`);
    notices.show({
      key: id,
      title: `${kitName(kind, view.item)} was deleted. Shots that used it keep their copies.`,
      durationS: OFFER_S,
      actions: (
        <Button
          look="main"
          onClick={() => {
            notices.close(id);
            void restoreItem({ kind, id }).then(({ error: failed }) => {
              showRefusal('It was not restored', failed);
              if (!failed) void navigate(`/kit/${kind}/${id}`);
            });
          }}
        >
          Restore
        </Button>
      ),
    });
  }

  return { create, duplicate, remove, readFile, one: KIND_WORDS[kind].one };
}

/** Imports a kit file: all of it, or nothing with the reasons. */
function useKitFile(): () => Promise<void> {
  const notices = useNotices();
  const [importKit] = useImportKitMutation();

  async function readFile(): Promise<void> {
    const chosen = await askForFile('.json,.csv,.txt,application/json,text/csv');
    if (!chosen) return;
    const reading = readKitFile(chosen.text);
    if (reading.status === 'unread') return showProblems(chosen.name, reading.problems.map(problemView));
    const { data, error } = await importKit(reading.file);
    if (data) {
      const there = data.alreadyThere > 0 ? ` ${data.alreadyThere} were already there.` : '';
      notices.tell(`${data.added} ${data.added === 1 ? 'item' : 'items'} read from ${chosen.name}.${there}`);
    } else {
      const { body } = problemOf(error);
      showProblems(chosen.name, body.problems ?? [body]);
    }
  }

  function showProblems(name: string, problems: Parameters<typeof ProblemList>[0]['problems']): void {
    const key = 'kit-file';
    notices.show({
      key,
      durationS: 0,
      title: null,
      description: <ProblemList title={`Nothing was read from ${name}`} problems={problems} onClose={() => notices.close(key)} />,
    });
  }

  return readFile;
}
