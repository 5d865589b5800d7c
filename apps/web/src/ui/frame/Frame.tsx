import { selectEntry } from '../../shared/api/entry';
import { EntryBar, EntryPage } from '../EntryForm';
import { type ReactNode, useState } from 'react';
import { useEscapeLeavesFields } from '../../shared/keys/useEscapeLeavesFields';
import { useKeys } from '../../shared/keys/useKeys';
import { ActionCreators } from 'redux-undo';
import { KeysPanel } from './KeysPanel';
import type { PageName } from '../../shared/keys/pageKeys';
import { Rail } from './Rail';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import styles from './Frame.module.css';
import barStyles from './bars.module.css';

interface Props {
  readonly screen: PageName;
  readonly top: ReactNode;
  readonly steps?: ReactNode;
  readonly children: ReactNode;
  /** Shows undo and redo of the open shot; the Shots page has its own */
  readonly hasShotUndo?: boolean;
}

/** Layout of every page: rail, top bar, steps and one main area. */
export function Frame({ screen, top, steps, children, hasShotUndo = false }: Props) {
  const [showsKeys, setShowsKeys] = useState(false);
  const { isAsked } = useAppSelector(selectEntry);
  // a roll goes on without the server
  const isRolling = screen === 'roll';
  const dispatch = useAppDispatch();
  useEscapeLeavesFields();
  useKeys('?', () => setShowsKeys((shown) => !shown), { useKey: true, ignoreModifiers: true });
  const undoOptions = { enableOnFormTags: true, enabled: hasShotUndo, preventDefault: false } as const;
  useKeys('mod+z', (event) => unlessTyping(event, () => dispatch(ActionCreators.undo())), undoOptions);
  useKeys('mod+shift+z, mod+y', (event) => unlessTyping(event, () => dispatch(ActionCreators.redo())), undoOptions);
  return (
    <div className={styles.frame}>
      <Rail areKeysShown={showsKeys} onKeys={() => setShowsKeys((shown) => !shown)} />
      <header className={barStyles.topBar}>{top}</header>
      <div className={styles.frameBody}>
        {steps}
        {isAsked && isRolling && <EntryBar />}
        <main className={styles.frameMain}>{isAsked && !isRolling ? <EntryPage /> : children}</main>
        {showsKeys && <KeysPanel screen={screen} onClose={() => setShowsKeys(false)} />}
      </div>
    </div>
  );
}

/** In a text field the browser's own undo applies. */
function unlessTyping(event: KeyboardEvent, act: () => void): void {
  if (event.target instanceof HTMLElement && event.target.dataset['draft']) return;
  event.preventDefault();
  act();
}
