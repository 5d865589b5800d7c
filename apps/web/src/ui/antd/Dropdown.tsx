import { Dropdown as AntdDropdown, type DropdownProps } from 'antd';
import { Antd } from './Antd';

/** antd's component in our theme. */
export function Dropdown(props: DropdownProps) {
  return (
    <Antd>
      <AntdDropdown {...props} />
    </Antd>
  );
}
