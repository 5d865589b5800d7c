import { Select as AntdSelect, type SelectProps } from 'antd';
import type { DefaultOptionType } from 'antd/es/select';
import { Antd } from './Antd';

/** antd's component in our theme. */
export function Select<Value, Option extends DefaultOptionType = DefaultOptionType>(props: SelectProps<Value, Option>) {
  return (
    <Antd>
      <AntdSelect {...props} />
    </Antd>
  );
}
