import { WordChoice } from '../fields/WordChoice';
import { lightChosen, unitsChosen } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import styles from './PreferenceChoices.module.css';

const UNITS = [
  { value: 'metric', word: 'm', inFull: 'metres' },
  { value: 'imperial', word: 'ft', inFull: 'feet and inches' },
] as const;
const LIGHTS = [
  { value: 'dusk', word: 'Dusk' },
  { value: 'noon', word: 'Noon' },
] as const;

/** Units and light of this device, at the end of the top bar. */
export function PreferenceChoices() {
  const { light, units } = useAppSelector((state) => state.preferences);
  const dispatch = useAppDispatch();
  return (
    <div className={styles.settings}>
      <WordChoice label="Units" chosen={units} choices={UNITS} onChoose={(choice) => dispatch(unitsChosen(choice))} />
      <WordChoice label="Light" chosen={light} choices={LIGHTS} onChoose={(choice) => dispatch(lightChosen(choice))} />
    </div>
  );
}
