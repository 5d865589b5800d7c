import { zoneSentence } from '@still-heron/wording';
import { formatStop, setStop, type UnitSystem } from '@still-heron/core';
import { startTransition, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { WordChoice } from '../../ui/fields/WordChoice';
import { CALCULATOR_VIEWS, CalculatorView, type CalculatorViewName } from '../calculator/ZoneCalculator';
import { GearChanges } from './GearChanges';
import { HandsView } from './HandsView';
import { LightView } from './LightView';
import { LookStopNote } from './LookStopNote';
import { DistanceField } from '../../ui/fields/DistanceField';
import { distanceTried, selectSession } from '../shot/sessionSlice';
import { abandonGesture, editPlan, selectPlan } from '../shot/shotSlice';
import { useUnits } from '../../shared/useUnits';
import { SetupFields } from './SetupFields';
import { StopScale } from './StopScale';
import { ZoneDrawing } from './ZoneDrawing';
import { ZoneFacts } from './ZoneFacts';
import { firstFocusMm, zoneFigures, type ZoneFigures } from './zoneFigures';
import { ZoneLoupe } from './ZoneLoupe';
import { Sentence } from '../../ui/Sentence';
import layoutStyles from '../../ui/layout.module.css';
import calculatorStyles from '../calculator/calculator.module.css';

type ViewName = 'zone' | 'light' | 'hands' | CalculatorViewName;
const VIEWS: readonly { readonly value: ViewName; readonly word: string }[] = [
  { value: 'zone', word: 'Zone' },
  ...CALCULATOR_VIEWS,
  { value: 'light', word: 'Light' },
  { value: 'hands', word: 'Hands' },
];

/** Set-up step: camera, lens and stop, with the zone drawn to scale, beside the zone calculator. */
export function SetupPage() {
  const plan = useAppSelector(selectPlan)!;
  const { triedMm } = useAppSelector(selectSession);
  const units = useUnits();
  const dispatch = useAppDispatch();
  const [view, setView] = useState<ViewName>('zone');
  const figures = zoneFigures(plan, triedMm ?? firstFocusMm(plan));
  const { zone, focusMm, closeFocusMm } = figures;
  const { lens, stop } = plan.optics;
  const tryDistance = (mm: number) => dispatch(distanceTried(mm));
  const setTheStop = (value: number, gesture?: string) =>
    dispatch(editPlan(`stop ${formatStop(value, lens.stopScale)}`, (now) => setStop(now, value), gesture));
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={layoutStyles.surface}>
        <GearChanges plan={plan} units={units} />
        <div className={calculatorStyles.calculatorBar}>
          <WordChoice
            label="View of the zone"
            chosen={view}
            choices={VIEWS}
            onChoose={(next) => startTransition(() => setView(next))}
          />
        </div>
        {view === 'light' && <LightView plan={plan} />}
        {view === 'hands' && <HandsView plan={plan} />}
        {view !== 'zone' && view !== 'light' && view !== 'hands' && (
          <CalculatorView view={view} optics={plan.optics} units={units} onStop={setTheStop} />
        )}
        {view === 'zone' && (
          <>
            <Sentence parts={zoneSentence({ zone, focusMm, stop, stopScale: lens.stopScale }, units)} aria-live="polite" />
            <ZoneDrawing figures={figures} plan={plan} units={units} onFocus={tryDistance} />
            <TriedDistance
              focusMm={focusMm}
              units={units}
              closeFocusMm={closeFocusMm}
              tryDistance={tryDistance}
              figures={figures}
            />
            <StopScale
              lens={lens}
              focalLengthMm={plan.optics.focalLengthMm}
              stop={stop}
              onStop={setTheStop}
              onGiveUp={(gesture) => dispatch(abandonGesture(gesture))}
            />
            <LookStopNote plan={plan} />
            <ZoneFacts figures={figures} plan={plan} units={units} />
          </>
        )}
      </div>
      <SetupFields plan={plan} units={units} />
    </div>
  );
}

interface TriedDistanceProps {
  readonly focusMm: number;
  readonly units: UnitSystem;
  readonly closeFocusMm: number;
  readonly tryDistance: (mm: number) => void;
  readonly figures: ZoneFigures;
}

function TriedDistance({ focusMm, units, closeFocusMm, tryDistance, figures }: TriedDistanceProps) {
  return (
    <div className={layoutStyles.zoneRow}>
      <div>
        <DistanceField
          label="Focus distance"
          size="large"
          distanceMm={focusMm}
          units={units}
          range={{ minMm: closeFocusMm, maxMm: Infinity, reason: 'close-focus' }}
          onChange={tryDistance}
          testId="focus-tried"
        />
      </div>
      <ZoneLoupe figures={figures} units={units} />
    </div>
  );
}
