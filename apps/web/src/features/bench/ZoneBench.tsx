import type { BenchSetup, UnitSystem } from '@still-heron/core';
import { startTransition, Suspense, useState } from 'react';
import { lazyPart } from '../../app/lazyPart';
import { WordChoice } from '../../fields/WordChoice';
import { CompareView } from './CompareView';
import { DepthView } from './DepthView';
import { SolveView } from './SolveView';
import './bench.css';

/** The table needs a large package, so it is loaded when first shown. */
const TableView = lazyPart(() => import('./TableView').then(({ TableView }) => TableView));

export const BENCH_VIEWS = [
  { value: 'compare', word: 'Compare' },
  { value: 'depth', word: 'Depth' },
  { value: 'table', word: 'Table' },
  { value: 'solve', word: 'Ask' },
] as const;
export type BenchViewName = (typeof BENCH_VIEWS)[number]['value'];

export interface BenchProps {
  readonly optics: BenchSetup;
  readonly units: UnitSystem;
  /** Sets the stop of the shown set-up */
  readonly onStop: (stop: number) => void;
}

/** Zone calculator: effects of camera, lens and stop on the zone, in four views. */
export function ZoneBench(props: BenchProps) {
  const [view, setView] = useState<BenchViewName>('compare');
  return (
    <>
      <div className="bench-bar">
        <WordChoice
          label="View of the bench"
          chosen={view}
          choices={BENCH_VIEWS}
          onChoose={(next) => startTransition(() => setView(next))}
        />
      </div>
      <BenchView view={view} {...props} />
    </>
  );
}

/** A single view, for pages that show the choice of views elsewhere. */
export function BenchView({ view, ...props }: BenchProps & { readonly view: BenchViewName }) {
  return (
    <Suspense fallback={null}>
      {view === 'depth' && <DepthView {...props} />}
      {view === 'table' && <TableView {...props} />}
      {view === 'compare' && <CompareView {...props} />}
      {view === 'solve' && <SolveView {...props} />}
    </Suspense>
  );
}
