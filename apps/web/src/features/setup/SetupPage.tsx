import { formatDistance, formatGap, formatStop, setStop } from '@still-heron/core';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { DistanceField } from '../../fields/DistanceField';
import { distanceTried, selectSession } from '../shot/sessionSlice';
import { abandonGesture, editPlan, selectPlan } from '../shot/shotSlice';
import { useUnits } from '../shot/useUnits';
import { SetupFields } from './SetupFields';
import { StopScale } from './StopScale';
import { ZoneDrawing } from './ZoneDrawing';
import { ZoneFacts } from './ZoneFacts';
import { firstFocusMm, zoneFigures } from './zoneFigures';
import { ZoneLoupe } from './ZoneLoupe';
import './setup.css';

/** Camera, lens and stop, and the zone they make: drawn to scale, redrawn as focus is dragged or the stop turned. */
export function SetupPage() {
  const plan = useAppSelector(selectPlan)!;
  const { triedMm } = useAppSelector(selectSession);
  const units = useUnits();
  const dispatch = useAppDispatch();
  const figures = zoneFigures(plan, triedMm ?? firstFocusMm(plan));
  const { zone, focusMm, closeFocusMm } = figures;
  const { lens, stop } = plan.optics;
  const tryDistance = (mm: number) => dispatch(distanceTried(mm));
  const far = zone.farMm === Infinity ? 'infinity' : formatDistance(zone.farMm, units);
  return (
    <div className="step-page">
      <div className="surface">
        <p className="sentence" aria-live="polite">
          <span className="tone-sharp">
            Sharp from {formatDistance(zone.nearMm, units)} to {far}
          </span>{' '}
          at {formatStop(stop, lens.stopScale)}, focused at {focusMm === Infinity ? 'infinity' : formatDistance(focusMm, units)}:{' '}
          {formatGap(zone.inFrontMm, units)} in front
          {zone.behindMm === Infinity ? ', everything behind.' : `, ${formatGap(zone.behindMm, units)} behind.`}
        </p>
        <ZoneDrawing figures={figures} plan={plan} units={units} onFocus={tryDistance} />
        <div className="zone-row">
          <div className="zone-tried">
            <DistanceField
              label="Focus tried here"
              size="large"
              distanceMm={focusMm}
              units={units}
              range={{ minMm: closeFocusMm, maxMm: Infinity, why: 'nearer than the lens focuses' }}
              onChange={tryDistance}
              testId="focus-tried"
            />
          </div>
          <ZoneLoupe figures={figures} units={units} />
        </div>
        <StopScale
          lens={lens}
          stop={stop}
          onStop={(value, gesture) =>
            dispatch(editPlan(`stop ${formatStop(value, lens.stopScale)}`, (now) => setStop(now, value), gesture))
          }
          onGiveUp={(gesture) => dispatch(abandonGesture(gesture))}
        />
        <ZoneFacts figures={figures} plan={plan} units={units} />
      </div>
      <SetupFields plan={plan} units={units} />
    </div>
  );
}
