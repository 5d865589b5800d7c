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
}

/** A figure with an explanation on hover or focus. Until then it is a plain button, which is cheap to redraw during a drag. */
export function Explain({ children, what, lines }: Props) {
  const [isRequired, setIsAsked] = useState(false);
  const figure = (
    <button
      type="button"
      className={styles.explained}
      aria-label={`${what}: how it is computed`}
      onMouseEnter={() => setIsAsked(true)}
      onMouseLeave={() => setIsAsked(false)}
      onFocus={() => setIsAsked(true)}
      onBlur={() => setIsAsked(false)}
    >
      {children}
    </button>
  );
  return (
    <span className={styles.explainAnchor}>
      {figure}
      {isRequired && (
        <Suspense fallback={null}>
          <Explanation what={what} lines={lines} />
        </Suspense>
      )}
    </span>
  );
}
