import { KIT_LIMITS, type Wheel } from '@still-heron/core';
import { Checkbox } from '../../../ui/antd/Checkbox';
import clsx from 'clsx';
import { NumberField } from '../../../ui/fields/NumberField';
import { TextField } from '../../../ui/fields/TextField';
import { Choice } from '../../../ui/fields/Choice';
import { KitFormFoot, MaybeNumber } from '../KitForm';
import { useOpenItem } from '../useOpenItem';
import { GearComparison } from './GearComparison';
import layoutStyles from '../../../ui/layout.module.css';
import styles from './WheelPage.module.css';
import fieldStyles from '../../../ui/fields/fields.module.css';

/** A wheel or motor: effect of its gear ratio on marks and fast pulls, compared with other wheels. */
export function WheelPage() {
  const { id, item, edit } = useOpenItem('wheels');
  if (!item) return null;
  const change = (name: string, changes: Partial<Wheel>, gesture?: string) =>
    edit(name, (now) => ({ ...now, ...changes }), gesture);
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={clsx(layoutStyles.surface, styles.wheelSurface)}>
        <GearComparison wheelId={id} wheel={item} />
      </div>
      <aside data-testid="side" className={layoutStyles.side} aria-label="Figures of the wheel">
        <section>
          <TextField
            label="name"
            isOptional={false}
            max={KIT_LIMITS.name.max}
            value={item.name}
            testId="kit-name"
            onChange={(name) => change(`rename to ${name}`, { name })}
          />
          <div className={fieldStyles.fieldPair}>
            <GearFields item={item} onChange={change} />
            <HandFigures item={item} onChange={change} />
          </div>
          <Checkbox checked={item.hasEndStops} onChange={(event) => change('hard stops', { hasEndStops: event.target.checked })}>
            two hard stops can be set
          </Checkbox>
        </section>
        <KitFormFoot kind="wheels" />
      </aside>
    </div>
  );
}

function GearFields({
  item,
  onChange,
}: {
  readonly item: Wheel;
  readonly onChange: (name: string, changes: Partial<Wheel>, gesture?: string) => void;
}) {
  return (
    <>
      <Choice
        label="kind"
        value={item.kind}
        choices={[
          { value: 'wheel', word: 'hand wheel' },
          { value: 'motor', word: 'motor' },
        ]}
        onPick={(kind) => onChange(`a ${kind}`, { kind })}
      />
      <NumberField
        label="turns per turn of the ring"
        unit="×"
        step={0.1}
        decimals={3}
        {...KIT_LIMITS.wheelPerRing}
        value={item.wheelPerRing}
        testId="wheel-ratio"
        onChange={(wheelPerRing, gesture) => onChange('change the gear', { wheelPerRing }, gesture)}
      />
      <Choice
        label="direction"
        value={item.turns}
        choices={[
          { value: 'same', word: 'with the ring' },
          { value: 'opposite', word: 'opposite to it' },
        ]}
        onPick={(turns) => onChange('change its direction', { turns })}
      />
    </>
  );
}

function HandFigures({
  item,
  onChange,
}: {
  readonly item: Wheel;
  readonly onChange: (name: string, changes: Partial<Wheel>, gesture?: string) => void;
}) {
  return (
    <>
      <NumberField
        label="diameter of the marking disc"
        unit="mm"
        step={1}
        decimals={1}
        {...KIT_LIMITS.discDiameterMm}
        value={item.discDiameterMm}
        onChange={(discDiameterMm, gesture) => onChange('change the disc', { discDiameterMm }, gesture)}
      />
      <NumberField
        label="comfortable turn of a hand"
        unit="°"
        step={10}
        {...KIT_LIMITS.comfortableDeg}
        value={item.comfortableDeg}
        onChange={(comfortableDeg, gesture) => onChange('change the comfortable turn', { comfortableDeg }, gesture)}
      />
      <MaybeNumber
        label="top speed"
        unit="°/s"
        start={540}
        limit={KIT_LIMITS.fastestDegPerS}
        step={10}
        value={item.fastestDegPerS}
        onChange={(fastestDegPerS, gesture) => onChange('change its speed', { fastestDegPerS }, gesture)}
      />
    </>
  );
}
