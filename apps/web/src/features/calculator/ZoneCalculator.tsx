import { startTransition, Suspense, useState } from 'react';
import { lazyPart } from '../../shared/lazyPart';
import { WordChoice } from '../../ui/fields/WordChoice';
import { CompareView } from './CompareView';
import { DepthView } from './DepthView';
import { SolveView } from './SolveView';
import type { CalculatorProps } from './calculatorProps';
import calculatorStyles from './calculator.module.css';

/** The table needs a large package, so it is loaded when first shown. */
const TableView = lazyPart(() => import('./TableView').then(({ TableView }) => TableView));

export const CALCULATOR_VIEWS = [
  { value: 'compare', word: 'Compare' },
  { value: 'depth', word: 'Depth' },
  { value: 'table', word: 'Table' },
  { value: 'solve', word: 'Solve' },
] as const;
export type CalculatorViewName = (typeof CALCULATOR_VIEWS)[number]['value'];

/** Zone calculator: effects of camera, lens and stop on the zone, in four views. */
export function ZoneCalculator(props: CalculatorProps) {
  const [view, setView] = useState<CalculatorViewName>('compare');
  return (
    <>
      <div className={calculatorStyles.calculatorBar}>
        <WordChoice
          label="View of the zone calculator"
          chosen={view}
          choices={CALCULATOR_VIEWS}
          onChoose={(next) => startTransition(() => setView(next))}
        />
      </div>
      <CalculatorView view={view} {...props} />
    </>
  );
}

/** A single view, for pages that show the choice of views elsewhere. */
export function CalculatorView({ view, ...props }: CalculatorProps & { readonly view: CalculatorViewName }) {
  return (
    <Suspense fallback={null}>
      {view === 'depth' && <DepthView {...props} />}
      {view === 'table' && <TableView {...props} />}
      {view === 'compare' && <CompareView {...props} />}
      {view === 'solve' && <SolveView {...props} />}
    </Suspense>
  );
}
