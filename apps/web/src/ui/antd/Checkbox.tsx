import { Checkbox as AntdCheckbox, type CheckboxProps } from 'antd';
import { Antd } from './Antd';

/** antd's component in our theme. */
export function Checkbox(props: CheckboxProps) {
  return (
    <Antd>
      <AntdCheckbox {...props} />
    </Antd>
  );
}
