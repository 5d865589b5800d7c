import { Table as AntdTable, type TableColumnsType, type TableProps } from 'antd';
import { Antd } from './Antd';

export type TableColumns<Row> = TableColumnsType<Row>;

/** antd's component in our theme. */
export function Table<Row extends object>(props: TableProps<Row>) {
  return (
    <Antd>
      <AntdTable {...props} />
    </Antd>
  );
}
