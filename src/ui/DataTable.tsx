import {
  type ColumnDef,
  createSortedRowModel,
  type RowData,
  rowSortingFeature,
  type SortingState,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';

export const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns });
export type Columns<Row extends RowData> = ColumnDef<typeof features, Row, unknown>[];

interface Props<Row extends RowData> {
  rows: Row[];
  columns: Columns<Row>;
  caption: string;
  /** Columns of numbers stand at the right. */
  numeric?: readonly string[];
  sortedBy?: SortingState;
  /** Where rows come sorted, a page of them: what is done when another order is asked for. */
  onSort?: (sorting: SortingState) => void;
  rowKey: (row: Row) => string;
}

/** A sortable table of numbers, one row for each thing. */
export function DataTable<Row extends RowData>({
  rows,
  columns,
  caption,
  numeric = [],
  sortedBy = [],
  onSort,
  rowKey,
}: Props<Row>) {
  const [sorting, setSorting] = useState<SortingState>(sortedBy);
  const table = useTable({
    features,
    columns,
    data: rows,
    getRowId: rowKey,
    state: { sorting },
    manualSorting: onSort !== undefined,
    onSortingChange: (change) => {
      const next = typeof change === 'function' ? change(sorting) : change;
      setSorting(next);
      onSort?.(next);
    },
  });
  const side = (column: string) => (numeric.includes(column) ? 'text-right figures' : '');
  return (
    <table className="ledger-table w-full border-collapse">
      <caption className="sr-only">{caption}</caption>
      <thead>
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id}>
            {group.headers.map((header) => {
              const sorted = header.column.getIsSorted();
              const right = numeric.includes(header.column.id);
              return (
                <th
                  key={header.id}
                  scope="col"
                  aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined}
                  style={right ? { textAlign: 'right' } : undefined}
                >
                  {header.column.getCanSort() ? (
                    <button
                      type="button"
                      className="inline-flex items-center gap-1 cursor-pointer hover:text-ink"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      <table.FlexRender header={header} />
                      {sorted === 'asc' && <ArrowUp size={13} aria-hidden />}
                      {sorted === 'desc' && <ArrowDown size={13} aria-hidden />}
                    </button>
                  ) : (
                    <table.FlexRender header={header} />
                  )}
                </th>
              );
            })}
          </tr>
        ))}
      </thead>
      <tbody>
        {table.getRowModel().rows.map((row) => (
          <tr key={row.id}>
            {row.getAllCells().map((cell) => (
              <td key={cell.id} className={side(cell.column.id)}>
                <table.FlexRender cell={cell} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
