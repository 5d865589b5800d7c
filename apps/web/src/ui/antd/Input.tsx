import { Input as AntdInput, type InputProps } from 'antd';
import { Antd } from './Antd';

/** antd's component in our theme. */
export function Input(props: InputProps) {
  return (
    <Antd>
      <AntdInput {...props} />
    </Antd>
  );
}
