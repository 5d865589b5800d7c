import { type ReactNode, useEffect } from 'react';
import { NavLink, useParams } from 'react-router';
import clsx from 'clsx';
import { Logo } from './Logo';
import { productionOpened } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import styles from './Rail.module.css';
import textStyles from '../text.module.css';

interface Props {
  readonly areKeysShown: boolean;
  readonly onKeys: () => void;
}

/** Main navigation. */
export function Rail({ areKeysShown, onKeys }: Props) {
  const { productionId } = useParams();
  const last = useAppSelector((state) => state.preferences.productionId);
  const production = productionId ?? last;
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (productionId && productionId !== last) dispatch(productionOpened(productionId));
  }, [productionId, last, dispatch]);
  return (
    <nav className={styles.rail} aria-label="Main">
      <span className={styles.railMark}>
        <Logo />
        <span className={textStyles.unseen}>Still Heron</span>
      </span>
      <NavLink className={styles.railItem} to={production ? `/productions/${production}/shots` : '/productions'}>
        <RailIcon>
          <path d="M3 5.5h16M3 11h16M3 16.5h10" />
        </RailIcon>
        Shots
      </NavLink>
      {production && (
        <NavLink className={styles.railItem} to={`/productions/${production}/takes`}>
          <RailIcon>
            <path d="M3 17V9M8 17V4M13 17v-6M18 17V7" />
          </RailIcon>
          Log
        </NavLink>
      )}
      <NavLink className={styles.railItem} to="/kit">
        <RailIcon>
          <circle cx="11" cy="11" r="8" />
          <circle cx="11" cy="11" r="4" />
          <path d="M11 3v3M17 6.2l-2 1.8M19 12h-3" />
        </RailIcon>
        Kit
      </NavLink>
      <button type="button" className={clsx(styles.railItem, styles.railFoot)} aria-expanded={areKeysShown} onClick={onKeys}>
        <span className={textStyles.figure} aria-hidden="true">
          ?
        </span>
        Keys
      </button>
    </nav>
  );
}

function RailIcon({ children }: { readonly children: ReactNode }) {
  return (
    <svg
      width="22"
      height="22"
      viewBox="0 0 22 22"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinecap="round"
      aria-hidden="true"
    >
      {children}
    </svg>
  );
}
