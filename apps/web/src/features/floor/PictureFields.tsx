import {
  changePicture,
  type FloorPicture,
  formatDistance,
  MM_PER_FOOT,
  MM_PER_METRE,
  PLAN_LIMITS,
  removePicture,
  scalePicture,
  type UnitSystem,
} from '@still-heron/core';
import { NumberField } from '../../ui/fields/NumberField';
import { useEdit } from '../shot/useEdit';
import { FloorLength } from './FloorLength';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import layoutStyles from '../../ui/layout.module.css';

interface Props {
  readonly picture: FloorPicture;
  readonly units: UnitSystem;
  readonly onScale: () => void;
  /** Starts moving it by hand */
  readonly onMove: () => void;
}

/** Picture under the drawing: its real width and its place. */
export function PictureFields({ picture, units, onScale, onMove }: Props) {
  const edit = useEdit();
  const [unit, unitMm] = units === 'metric' ? (['m', MM_PER_METRE] as const) : (['ft', MM_PER_FOOT] as const);
  const left = { xMm: picture.xMm - picture.widthMm / 2, yMm: picture.yMm };
  const right = { xMm: picture.xMm + picture.widthMm / 2, yMm: picture.yMm };
  return (
    <section aria-label="The picture">
      <h2>Picture, {picture.name}</h2>
      <p className={picture.isScaled ? textStyles.muted : textStyles.toneEdge}>
        {picture.isScaled
          ? `${formatDistance(picture.widthMm, units)} wide, by the length that you drew.`
          : 'Its size is a guess until you draw a known length on it.'}
      </p>
      <div className={fieldStyles.fieldPair}>
        <NumberField
          label="width"
          unit={unit}
          decimals={2}
          step={0.1}
          min={Math.ceil((PLAN_LIMITS.pictureMm.min / unitMm) * 10) / 10}
          max={Math.floor(PLAN_LIMITS.pictureMm.max / unitMm)}
          value={picture.widthMm / unitMm}
          onChange={(value, gesture) =>
            edit('scale the picture', (now) => scalePicture(now, left, right, value * unitMm), gesture)
          }
        />
        <NumberField
          label="turned by"
          unit="°"
          step={1}
          decimals={1}
          {...PLAN_LIMITS.headingDeg}
          value={picture.turnedDeg}
          onChange={(turnedDeg, gesture) => edit('turn the picture', (now) => changePicture(now, { turnedDeg }), gesture)}
        />
        <FloorLength
          label="middle, to the right"
          mm={picture.xMm}
          units={units}
          isPlace
          onChange={(xMm, gesture) => edit('move the picture', (now) => changePicture(now, { xMm }), gesture)}
        />
        <FloorLength
          label="middle, up the page"
          mm={picture.yMm}
          units={units}
          isPlace
          onChange={(yMm, gesture) => edit('move the picture', (now) => changePicture(now, { yMm }), gesture)}
        />
      </div>
      <div className={layoutStyles.sideActions}>
        <Button onClick={onMove}>Move it by hand</Button>
        <Button onClick={onScale}>Draw a known length</Button>
        <Button onClick={() => edit('delete the picture', removePicture)}>Delete the picture</Button>
      </div>
    </section>
  );
}
