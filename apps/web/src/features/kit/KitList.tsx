import type { KitItemView } from '@still-heron/contract';
import { cameraTable, type KitKind, kitName, lensTable, rigTable, wheelTable } from '@still-heron/core';
import { KIND_WORDS, itemLine } from '@still-heron/wording';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Dropdown } from '../../ui/antd/Dropdown';
import { useMemo, useRef, useState } from 'react';
import { NavLink } from 'react-router';
import clsx from 'clsx';
import { useAppSelector } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { printCsv, saveFile } from '../../shared/files/csv';
import { selectOpenKit } from './kitSlice';
import { useKitActions } from './useKitActions';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import styles from './KitList.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly kind: KitKind;
  readonly items: readonly KitItemView[];
  readonly itemId: string | null;
}

const ROW_PX = 58;

/** Searchable list of one kind of kit. Only visible rows are rendered, so a thousand items stay fast. */
export function KitList({ kind, items, itemId }: Props) {
  const [query, setQuery] = useState('');
  const actions = useKitActions(kind);
  const search = useRef<HTMLInputElement>(null);
  const rows = useRows(kind, items, query);
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 6,
    initialRect: { width: 250, height: 600 },
  });
  useKeys('f', () => search.current?.focus(), { preventDefault: true });
  useKeys('n', () => void actions.create());
  return (
    <aside className={styles.kitList} aria-label={KIND_WORDS[kind].many}>
      <div className={styles.kitSearch}>
        <input
          ref={search}
          type="search"
          className={clsx(fieldStyles.fieldInput, fieldStyles.words)}
          aria-label={`Find a ${actions.one}`}
          placeholder={`Find in ${items.length}`}
          data-testid="kit-search"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
        <Key aria-hidden="true">F</Key>
      </div>
      <div className={styles.kitRows} ref={scroller}>
        <ul style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const { id, name, line } = rows[index]!;
            return (
              <li key={id} style={{ transform: `translateY(${start}px)` }}>
                <NavLink
                  to={`/kit/${kind}/${id}`}
                  data-testid="kit-row"
                  className={clsx(styles.kitRow, id === itemId && styles.isHere)}
                >
                  <strong>{name}</strong>
                  <span>{line}</span>
                </NavLink>
              </li>
            );
          })}
        </ul>
        {rows.length === 0 && <p className={clsx(textStyles.muted, styles.kitNone)}>No match for “{query}”.</p>}
      </div>
      <div className={styles.kitFoot}>
        <Button look="main" isBlock onClick={() => void actions.create()}>
          New {actions.one} <Key isOnAccent>N</Key>
        </Button>
        <FileMenu kind={kind} items={items} onRead={() => void actions.readFile()} />
      </div>
    </aside>
  );
}

/** The open item appears with its unsaved edits. */
function useRows(kind: KitKind, items: readonly KitItemView[], query: string) {
  const open = useAppSelector(selectOpenKit);
  const all = useMemo(
    () =>
      items.map(({ id, item }) => {
        const name = kitName(kind, item as never);
        const line = itemLine(kind, item as never);
        return { id, name, line, words: `${name} ${line}`.toLowerCase() };
      }),
    [kind, items],
  );
  const found = useMemo(() => {
    const words = query.toLowerCase().split(/\s+/).filter(Boolean);
    return all.filter((row) => words.every((word) => row.words.includes(word)));
  }, [all, query]);
  return useMemo(
    () =>
      found.map((row) =>
        open?.id === row.id
          ? { ...row, name: kitName(open.kind, open.item as never), line: itemLine(open.kind, open.item as never) }
          : row,
      ),
    [found, open],
  );
}

/** How each kind is written as a table. */
const TABLES = { cameras: cameraTable, lenses: lensTable, wheels: wheelTable, rigs: rigTable } as const;

interface FileMenuProps {
  readonly kind: KitKind;
  readonly items: readonly KitItemView[];
  readonly onRead: () => void;
}

function FileMenu({ kind, items, onRead }: FileMenuProps) {
  const asTable = () => {
    const table = TABLES[kind](items.map(({ item }) => item) as never);
    saveFile(`still-heron-${kind}.csv`, printCsv(table), 'text/csv');
  };
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items: [
          { key: 'read', label: 'Import a kit file…', onClick: onRead },
          {
            key: 'whole',
            label: (
              <a href="/api/kit/export" download="still-heron-kit.json">
                The whole kit as JSON
              </a>
            ),
          },
          {
            key: 'table',
            label: `${KIND_WORDS[kind].many} as a CSV table${kind === 'cameras' ? ', without their tests' : ''}`,
            onClick: asTable,
          },
        ],
      }}
    >
      <Button isBlock>Files</Button>
    </Dropdown>
  );
}
