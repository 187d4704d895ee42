import { WorkedFigure } from '../../ui/WorkedFigure';
import type { Table } from './table';

/** The figures of a chart, or of the books: each that came about by a rule opens to it. */
export function FigureTable({
  table,
  caption,
  onOpen,
}: {
  table: Table;
  caption: string;
  /** What opens a cell's entries; nothing for a cell that has none. */
  onOpen?: (row: number, column: number) => (() => void) | undefined;
}) {
  return (
    <table className="listing">
      <caption className="sr-only">{caption}</caption>
      <thead>
        <tr>
          {table.columns.map((column) => (
            <th key={column.name} className={column.figure ? '!text-right' : ''}>
              {column.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((row, i) => (
          <tr key={i} className={row.marked ? 'font-bold' : ''}>
            {row.cells.map((cell, j) => {
              const column = table.columns[j];
              const open = onOpen?.(i, j);
              return (
                <td
                  key={j}
                  className={`${column?.figure ? 'num' : ''} ${cell.size === 0 ? 'text-soft' : ''}`}
                >
                  {cell.working ? (
                    <WorkedFigure working={cell.working} label={`${column?.name}, ${row.cells[0]?.text}`}>
                      {cell.text}
                    </WorkedFigure>
                  ) : open && cell.size ? (
                    <button
                      type="button"
                      className="figure min-h-6"
                      aria-label={`${column?.name}, ${row.cells[0]?.text}: ${cell.text}, its entries`}
                      onClick={open}
                    >
                      {cell.text}
                    </button>
                  ) : (
                    cell.text
                  )}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
