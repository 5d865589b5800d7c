import { testerNamed } from '../../app/preferences';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { TextField } from '../../fields/TextField';

/** Who tries gear out on this device: kept with every answer they give. */
export function TesterField() {
  const dispatch = useAppDispatch();
  const tester = useAppSelector((state) => state.preferences.tester);
  return (
    <TextField
      label="tried by"
      value={tester}
      max={80}
      placeholder="your name"
      onChange={(name) => dispatch(testerNamed(name))}
    />
  );
}
