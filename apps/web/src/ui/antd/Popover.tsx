import { Popover as AntdPopover, type PopoverProps } from 'antd';
import { Antd } from './Antd';

/** antd's component in our theme. */
export function Popover(props: PopoverProps) {
  return (
    <Antd>
      <AntdPopover {...props} />
    </Antd>
  );
}
