import { useChangeProductionMutation, useProductionQuery } from '../api/api';
import { lightChosen } from './preferences';
import { useAppDispatch, useAppSelector } from './store';

/** Units of the production and light of this device, at the end of the top bar. */
export function Settings({ productionId }: { readonly productionId: string | null }) {
  return (
    <div className="settings">
      {productionId && <Units productionId={productionId} />}
      <LightSwitch />
    </div>
  );
}

function Units({ productionId }: { readonly productionId: string }) {
  const { data: production } = useProductionQuery(productionId);
  const [change] = useChangeProductionMutation();
  if (!production) return null;
  const choose = (units: 'metric' | 'imperial') => void change({ id: production.id, version: production.version, units });
  return (
    <div className="choice" role="radiogroup" aria-label="Units of the production">
      {(['metric', 'imperial'] as const).map((units) => (
        <button
          key={units}
          type="button"
          role="radio"
          aria-checked={production.units === units}
          aria-label={units === 'metric' ? 'metres' : 'feet and inches'}
          onClick={() => choose(units)}
        >
          {units === 'metric' ? 'm' : 'ft'}
        </button>
      ))}
    </div>
  );
}

function LightSwitch() {
  const light = useAppSelector((state) => state.preferences.light);
  const dispatch = useAppDispatch();
  return (
    <div className="choice" role="radiogroup" aria-label="Light">
      {(['dusk', 'noon'] as const).map((choice) => (
        <button
          key={choice}
          type="button"
          role="radio"
          aria-checked={light === choice}
          onClick={() => dispatch(lightChosen(choice))}
        >
          {choice === 'dusk' ? 'Dusk' : 'Noon'}
        </button>
      ))}
    </div>
  );
}
