import { KIT_KINDS, type KitKind } from '@still-heron/core';
import { Suspense } from 'react';
import { KIND_WORDS } from '@still-heron/wording';
import { Navigate, NavLink, useNavigate, useParams } from 'react-router';
import clsx from 'clsx';
import { Frame } from '../../ui/frame/Frame';
import { PreferenceChoices } from '../../ui/frame/PreferenceChoices';
import { useAppSelector } from '../../shared/store/hooks';
import { UndoRedo } from '../../ui/frame/UndoRedo';
import { useKeys } from '../../shared/keys/useKeys';
import { lazyPart } from '../../shared/lazyPart';
import { KitCalculator } from './KitCalculator';
import { KitItems } from './KitItems';
import { KitSaveState } from './KitSaveState';
import { selectKitRedoName, selectKitUndoName } from './kitSlice';
import { Key } from '../../ui/Key';
import barStyles from '../../ui/frame/bars.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './KitPage.module.css';

const PLACES = [...(['lenses', 'cameras', 'wheels', 'rigs'] satisfies KitKind[]), 'calculator', 'side-by-side'] as const;
const PLACE_WORDS = { calculator: 'Zone calculator', 'side-by-side': 'Lenses side by side' } as const;

// contains a table that most visits to Kit do not need
const LensTable = lazyPart(() => import('./lens/LensTable').then(({ LensTable }) => LensTable));

/** Kit: gear that is owned or hired, and the zone calculator. */
export function KitPage() {
  const { kind, itemId } = useParams();
  const navigate = useNavigate();
  const undoName = useAppSelector(selectKitUndoName);
  const redoName = useAppSelector(selectKitRedoName);
  useKeys('1, 2, 3, 4, 5, 6', (event) => void navigate(`/kit/${PLACES[Number(event.key) - 1]!}`));
  useKeys('0', () => void navigate('/'));
  const known = KIT_KINDS.find((name) => name === kind);
  // the address of older bookmarks
  if (kind === 'bench') return <Navigate to="/kit/calculator" replace />;
  const place = kind === 'calculator' || kind === 'side-by-side' ? kind : null;
  if (!known && !place) return <Navigate to="/kit/lenses" replace />;
  return (
    <Frame
      screen="kit"
      hasShotUndo
      top={
        <>
          <h1 className={barStyles.topTitle}>Kit</h1>
          <span className={clsx(textStyles.muted, styles.kitWhat)}>gear that you own or hire, described once for all shots</span>
          <span className={barStyles.topBarGap} />
          {known && (
            <>
              <UndoRedo undoName={undoName} redoName={redoName} />
              <KitSaveState />
            </>
          )}
          <PreferenceChoices />
        </>
      }
      steps={
        <nav className={barStyles.steps} aria-label="Kinds of kit">
          {PLACES.map((place, index) => (
            <NavLink
              key={place}
              to={`/kit/${place}`}
              className={({ isActive }) => clsx(barStyles.step, isActive && barStyles.isHere)}
            >
              {place === 'calculator' || place === 'side-by-side' ? PLACE_WORDS[place] : KIND_WORDS[place].many}
              <Key aria-hidden="true">{index + 1}</Key>
            </NavLink>
          ))}
        </nav>
      }
    >
      {known && <KitItems key={known} kind={known} itemId={itemId ?? null} />}
      {place === 'calculator' && <KitCalculator />}
      {place === 'side-by-side' && (
        <Suspense>
          <LensTable />
        </Suspense>
      )}
    </Frame>
  );
}
