import { useChangeProductionMutation, useProductionQuery } from '../../shared/api/api';
import { WordChoice } from '../fields/WordChoice';
import { lightChosen, unitsChosen } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../app/store';

const UNITS = [
  { value: 'metric', word: 'm', inFull: 'metres' },
  { value: 'imperial', word: 'ft', inFull: 'feet and inches' },
] as const;
const LIGHTS = [
  { value: 'dusk', word: 'Dusk' },
  { value: 'noon', word: 'Noon' },
] as const;

interface Props {
  /** Production whose units are shown; null without a production */
  readonly productionId: string | null;
  /** Shows this device's units, for pages without a production */
  readonly hasOwnUnits?: boolean;
}

/** Units and light, at the end of the top bar. */
export function PreferenceChoices({ productionId, hasOwnUnits = false }: Props) {
  const { light, units } = useAppSelector((state) => state.preferences);
  const dispatch = useAppDispatch();
  return (
    <div className="settings">
      {productionId && <Units productionId={productionId} />}
      {hasOwnUnits && (
        <WordChoice label="Units" chosen={units} choices={UNITS} onChoose={(choice) => dispatch(unitsChosen(choice))} />
      )}
      <WordChoice label="Light" chosen={light} choices={LIGHTS} onChoose={(choice) => dispatch(lightChosen(choice))} />
    </div>
  );
}

function Units({ productionId }: { readonly productionId: string }) {
  const { data: production } = useProductionQuery(productionId);
  const [change] = useChangeProductionMutation();
  if (!production) return null;
  const { id, version, units } = production;
  return (
    <WordChoice
      label="Units of the production"
      chosen={units}
      choices={UNITS}
      onChoose={(choice) => void change({ id, version, units: choice })}
    />
  );
}
