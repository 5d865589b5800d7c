import type { Place, UnitSystem } from '@still-heron/core';
import { FloorLength } from './FloorLength';

interface Props {
  readonly place: Place;
  readonly units: UnitSystem;
  readonly onChange: (place: Partial<Place>, gesture: string) => void;
}

/** Coordinates on the floor: to the right and up, from the origin of the drawing. */
export function PlaceFields({ place, units, onChange }: Props) {
  return (
    <>
      <FloorLength
        label="to the right"
        mm={place.xMm}
        units={units}
        isPlace
        onChange={(xMm, gesture) => onChange({ xMm }, gesture)}
      />
      <FloorLength
        label="up the page"
        mm={place.yMm}
        units={units}
        isPlace
        onChange={(yMm, gesture) => onChange({ yMm }, gesture)}
      />
    </>
  );
}
