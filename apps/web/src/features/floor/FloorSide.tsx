import { clearFloor, isCameraMoving, setLensHeight } from '@still-heron/core';
import { noteText } from '@still-heron/wording';
import clsx from 'clsx';
import { memo } from 'react';
import { useAfterDrag } from '../../shared/gestures/dragging';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { RingScale } from '../marks/RingScale';
import type { Measuring } from '../marks/useMeasuring';
import { itemSelected, selectHeld } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { Aims } from './Aims';
import { FloorLength } from './FloorLength';
import { GroupPanel } from './GroupPanel';
import { MarkDistances } from './MarkDistances';
import { MarkPanel } from './MarkPanel';
import { PictureFields } from './PictureFields';
import { UnknownHeights } from './UnknownHeights';
import { CameraKeyFields, LandmarkFields } from './SelectedFields';
import type { FloorSideProps } from './floorProps';
import { Button } from '../../ui/Button';
import layoutStyles from '../../ui/layout.module.css';
import floorStyles from './floor.module.css';
import styles from './FloorSide.module.css';

interface Props extends FloorSideProps {
  readonly measuring: Measuring;
  readonly onScale: () => void;
  readonly onMovePicture: () => void;
}

/** Fields of the selected item. Without a selection: all marks, camera aims, and the picture. They follow a drag when there is time. */
export function FloorSide({ plan, ...props }: Props) {
  return <SideFields plan={useAfterDrag(plan)} {...props} />;
}

const SideFields = memo(function SideFields({ plan, units, measuring, onScale, onMovePicture }: Props) {
  const dispatch = useAppDispatch();
  const held = useAppSelector(selectHeld);
  const floor = plan.floor!;
  const [only] = held.length === 1 ? held : [];
  const key = floor.camera.find(({ id }) => only?.kind === 'camera' && id === only.id);
  const landmark = floor.landmarks.find(({ id }) => only?.kind === 'landmark' && id === only.id);
  const mark = plan.marks.find(({ id }) => only?.kind === 'mark' && id === only.id);
  return (
    <aside data-testid="side" className={clsx(layoutStyles.side, floorStyles.floorSide)} aria-label="Selection and marks">
      {held.length > 1 && <GroupPanel held={held} />}
      {key && <CameraKeyFields key={key.id} cameraKey={key} plan={plan} units={units} />}
      {landmark && <LandmarkFields key={landmark.id} landmark={landmark} units={units} />}
      {mark && <MarkPanel key={mark.id} mark={mark} plan={plan} units={units} measuring={measuring} />}
      <MarkDistances plan={plan} units={units} />
      <UnknownHeights plan={plan} />
      <RingScale plan={plan} />
      <Aims plan={plan} units={units} />
      {isCameraMoving(plan) && (
        <section aria-label="Caution">
          <p className={floorStyles.moveCaution}>{noteText({ code: 'camera-moves', kind: 'caution' })}</p>
        </section>
      )}
      {floor.picture && <PictureFields picture={floor.picture} units={units} onScale={onScale} onMove={onMovePicture} />}
      <section>
        <h2>Lens</h2>
        <FloorLength
          label="height of the lens"
          mm={floor.lensHeightMm}
          units={units}
          onChange={(mm, gesture) =>
            dispatch(editPlan('change the height of the lens', (now) => setLensHeight(now, mm), gesture))
          }
        />
        <Button
          className={styles.floorTakeAway}
          onClick={() => {
            dispatch(editPlan('delete the floor plan', clearFloor));
            dispatch(itemSelected(null));
          }}
        >
          Delete the floor plan
        </Button>
      </section>
    </aside>
  );
});
