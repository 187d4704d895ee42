import type { ReactNode } from 'react';
import { FigureTable } from './FigureTable';
import type { Chart } from './table';

/** A question with its answer in a sentence, its drawing, and the figures that it is drawn from. */
export function Answer({
  chart,
  from,
  choice,
  children,
}: {
  chart: Chart;
  from: string;
  /** What is chosen of the question, above its drawing. */
  choice?: ReactNode;
  children?: ReactNode;
}) {
  const some = chart.table.rows.length > 0;
  return (
    <section className="sheet flex flex-col p-4" aria-label={chart.question}>
      <h2>{chart.question}</h2>
      <p className="mb-2">{chart.answer}</p>
      {choice}
      {some && children}
      {chart.note && <p className="mt-2 text-[13px] text-soft">{chart.note}</p>}
      {some && (
        <details className="mt-auto pt-1">
          <summary className="cursor-pointer py-1 font-semibold text-woad">In numbers</summary>
          <div className="overflow-x-auto">
            <FigureTable table={chart.table} caption={chart.question} />
          </div>
          <a
            className="inline-flex min-h-11 items-center font-semibold text-woad hover:underline"
            href={`/api/year/${chart.key}.csv?from=${from}`}
            download
          >
            As CSV
          </a>
        </details>
      )}
    </section>
  );
}
