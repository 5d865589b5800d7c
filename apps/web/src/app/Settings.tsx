import { useChangeProductionMutation, useProductionQuery } from '../api/api';
import { WordChoice } from '../fields/WordChoice';
import { lightChosen } from './preferences';
import { useAppDispatch, useAppSelector } from './store';

const UNITS = [
  { value: 'metric', word: 'm', inFull: 'metres' },
  { value: 'imperial', word: 'ft', inFull: 'feet and inches' },
] as const;
const LIGHTS = [
  { value: 'dusk', word: 'Dusk' },
  { value: 'noon', word: 'Noon' },
] as const;

/** Units of the production and light of this device, at the end of the top bar. */
export function Settings({ productionId }: { readonly productionId: string | null }) {
  const light = useAppSelector((state) => state.preferences.light);
  const dispatch = useAppDispatch();
  return (
    <div className="settings">
      {productionId && <Units productionId={productionId} />}
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
