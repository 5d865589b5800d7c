import { type ReactNode, Suspense, useState } from 'react';
import { lazyPart } from '../../shared/lazyPart';
import styles from './Explain.module.css';

const Explanation = lazyPart(() => import('./Explanation').then(({ Explanation }) => Explanation));

interface Props {
  readonly children: ReactNode;
  /** Short name of the figure */
  readonly what: string;
  /** Formula with the shot's values, and assumptions, one per line */
  readonly lines: readonly string[];
  /** Accessible name, if nothing is computed */
  readonly label?: string;
}

/** Whether a field has the cursor: an explanation would cover what is being typed. */
function isTyping(): boolean {
  return document.activeElement instanceof HTMLInputElement && document.activeElement.type === 'text';
}

/**
 * A figure with an explanation on hover or focus, but on hover not while a field is typed into. Until then it is a plain button,
 * which is cheap to redraw during a drag.
 */
export function Explain({ children, what, lines, label = `${what}: how it is computed` }: Props) {
  const [isShown, setIsShown] = useState(false);
  const figure = (
    <button
      type="button"
      className={styles.explained}
      aria-label={label}
      onMouseEnter={() => setIsShown(!isTyping())}
      onMouseLeave={() => setIsShown(false)}
      onFocus={() => setIsShown(true)}
      onBlur={() => setIsShown(false)}
    >
      {children}
    </button>
  );
  return (
    <span className={styles.explainAnchor}>
      {figure}
      {isShown && (
        <Suspense fallback={null}>
          <Explanation what={what} lines={lines} />
        </Suspense>
      )}
    </span>
  );
}
