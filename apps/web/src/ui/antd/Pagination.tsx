import { Pagination as AntdPagination, type PaginationProps } from 'antd';
import { Antd } from './Antd';

/** antd's component in our theme. */
export function Pagination(props: PaginationProps) {
  return (
    <Antd>
      <AntdPagination {...props} />
    </Antd>
  );
}
