import { type ReactNode, Suspense, useState } from 'react';
import { lazyPart } from '../app/lazyPart';
import './explain.css';

const Explanation = lazyPart(() => import('./Explanation').then(({ Explanation }) => Explanation));

interface Props {
  readonly children: ReactNode;
  /** What the figure is, in a few words */
  readonly what: string;
  /** The formula with this shot's values in it, and what it assumes: a line each */
  readonly lines: readonly string[];
}

/** A figure that can be argued with: on hover or focus it says where it comes from. Until then it is a plain button, cheap to redraw during a drag. */
export function Explain({ children, what, lines }: Props) {
  const [isAsked, setIsAsked] = useState(false);
  const figure = (
    <button
      type="button"
      className="explained"
      aria-label={`${what}: where it comes from`}
      onMouseEnter={() => setIsAsked(true)}
      onMouseLeave={() => setIsAsked(false)}
      onFocus={() => setIsAsked(true)}
      onBlur={() => setIsAsked(false)}
    >
      {children}
    </button>
  );
  return (
    <span className="explain-anchor">
      {figure}
      {isAsked && (
        <Suspense fallback={null}>
          <Explanation what={what} lines={lines} />
        </Suspense>
      )}
    </span>
  );
}
