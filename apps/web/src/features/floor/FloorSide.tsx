import { clearFloor, setLensHeight, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { Button } from 'antd';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { itemSelected, selectSelection } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { Aims } from './Aims';
import { FloorLength } from './FloorLength';
import { MarkDistances } from './MarkDistances';
import { CameraKeyFields, LandmarkFields, MarkFields } from './SelectedFields';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** What is selected on the floor, by its figures; then every mark with what is drawn and what is taped, and where the camera looks. */
export function FloorSide({ plan, units }: Props) {
  const dispatch = useAppDispatch();
  const selection = useAppSelector(selectSelection);
  const key = plan.floor!.camera.find(({ id }) => selection?.kind === 'camera' && id === selection.id);
  const landmark = plan.floor!.landmarks.find(({ id }) => selection?.kind === 'landmark' && id === selection.id);
  const mark = plan.marks.find(({ id }) => selection?.kind === 'mark' && id === selection.id);
  return (
    <aside className="side floor-side" aria-label="What is selected, and all marks">
      {key && <CameraKeyFields key={key.id} cameraKey={key} plan={plan} units={units} />}
      {landmark && <LandmarkFields key={landmark.id} landmark={landmark} units={units} />}
      {mark && <MarkFields key={mark.id} mark={mark} plan={plan} units={units} />}
      <MarkDistances plan={plan} units={units} />
      <Aims plan={plan} />
      <section>
        <h2>Lens</h2>
        <FloorLength
          label="height of the lens"
          mm={plan.floor!.lensHeightMm}
          units={units}
          onChange={(mm, gesture) => dispatch(editPlan('the lens’s height', (now) => setLensHeight(now, mm), gesture))}
        />
        <Button
          className="floor-take-away"
          onClick={() => {
            dispatch(editPlan('take the drawing away', clearFloor));
            dispatch(itemSelected(null));
          }}
        >
          Take the drawing away
        </Button>
      </section>
    </aside>
  );
}
