import { testerNamed } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { TextField } from '../../ui/fields/TextField';

/** Name of the tester on this device, stored with every test result. */
export function TesterField() {
  const dispatch = useAppDispatch();
  const tester = useAppSelector((state) => state.preferences.tester);
  return (
    <TextField
      label="tested by"
      value={tester}
      max={80}
      placeholder="your name"
      onChange={(name) => dispatch(testerNamed(name))}
    />
  );
}
