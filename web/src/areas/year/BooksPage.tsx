import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useToday } from '../../api/queries';
import { ButtonLink, FileLink } from '../../ui/Button';
import { SelectField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useTitle } from '../../ui/useTitle';
import { FigureTable } from './FigureTable';

type Book = 'SALES' | 'PURCHASES' | 'FAIRS' | 'HOURS';

/** Which entries the figures of a column rest on. */
const BOOKS: Record<string, Book> = {
  sales: 'SALES',
  'paid by buyers': 'SALES',
  'deposits kept': 'SALES',
  'tax in it': 'SALES',
  'fees of selling': 'SALES',
  purchases: 'PURCHASES',
  fairs: 'FAIRS',
  travel: 'FAIRS',
  'at the bench': 'HOURS',
  'for fairs': 'HOURS',
};

const NAMES: Record<Book, string> = {
  SALES: 'sales',
  PURCHASES: 'purchases',
  FAIRS: 'fairs',
  HOURS: 'hours',
};

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

const YEARS_BACK = 12;

/** So many entries are listed; all of them are in the sheet. */
const SHOWN = 400;

/** A year for whoever keeps the books; each figure opens to its entries. */
export default function BooksPage() {
  useTitle('The year for the books');
  const today = useToday();
  const [params, setParams] = useSearchParams();
  const chosen = params.get('from');
  const from = chosen ?? `${today.slice(0, 4)}-01-01`;
  const [year, month] = [Number(from.slice(0, 4)), Number(from.slice(5, 7))];
  const [opened, setOpened] = useState<Opened>();
  const { data, error } = useQuery({
    queryKey: ['year', 'books', from],
    queryFn: () => api.get<Schemas['BooksView']>(`/api/year/books?from=${from}`),
    placeholderData: keepPreviousData,
    enabled: today !== '',
  });
  const choose = (newYear: number, newMonth: number) =>
    setParams({ from: `${newYear}-${String(newMonth).padStart(2, '0')}-01` });
  const now = Number(today.slice(0, 4));
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>The year for the books</h1>
          <p className="text-soft">{data ? data.words : 'Adding up …'}</p>
        </div>
        <div className="flex flex-wrap items-end gap-2.5">
          <div className="w-[150px]">
            <SelectField
              label="Begins in"
              value={month}
              onChange={(event) => choose(year, Number(event.target.value))}
            >
              {MONTHS.map((name, i) => (
                <option key={name} value={i + 1}>
                  {name}
                </option>
              ))}
            </SelectField>
          </div>
          <div className="w-[110px]">
            <SelectField
              label="of"
              value={year}
              onChange={(event) => choose(Number(event.target.value), month)}
            >
              {Array.from({ length: YEARS_BACK }, (_, i) => now - i)
                .concat(year <= now - YEARS_BACK || year > now ? [year] : [])
                .map((one) => (
                  <option key={one} value={one}>
                    {one}
                  </option>
                ))}
            </SelectField>
          </div>
          <ButtonLink look="quiet" to="/year">
            What the year says
          </ButtonLink>
        </div>
      </header>
      {error && <ProblemNotice problem={error} />}
      {data && (
        <div className="space-y-4">
          <section className="sheet overflow-x-auto px-4 py-3" aria-label="Month by month">
            <FigureTable
              table={data.table}
              caption="Month by month"
              onOpen={(row, column) => {
                const book = BOOKS[data.table.columns[column]?.name ?? ''];
                return book && (() => setOpened(entriesOf(data, book, row)));
              }}
            />
            <div className="mt-3 flex flex-wrap gap-2.5">
              <FileLink href={`/api/year/books.pdf?from=${data.first}`}>As PDF</FileLink>
              <FileLink href={`/api/year/books.csv?from=${data.first}`}>As CSV</FileLink>
              {(Object.keys(NAMES) as Book[]).map((book) => (
                <FileLink
                  key={book}

                  href={`/api/year/books/${book}.csv?from=${data.first}`}
                >
                  All {NAMES[book]} as CSV
                </FileLink>
              ))}
            </div>
          </section>
          <div className="grid items-start gap-4 lg:grid-cols-[1.3fr_1fr]">
            <section className="sheet overflow-x-auto px-4 py-3" aria-label="What lay there">
              <h2>What lay there</h2>
              <FigureTable table={data.stock} caption="What lay there" />
              <FileLink className="mt-3" href={`/api/year/books/stock.csv?from=${data.first}`}>
                As CSV
              </FileLink>
            </section>
            <section className="sheet px-4 py-3" aria-label="How to read it">
              <h2>How to read it</h2>
              <ul className="list-disc space-y-1.5 pl-5">
                {data.notes.map((note) => (
                  <li key={note}>{note}</li>
                ))}
              </ul>
            </section>
          </div>
        </div>
      )}
      {opened && <EntriesPanel opened={opened} onClose={() => setOpened(undefined)} />}
    </>
  );
}

interface Opened {
  book: Book;
  from: string;
  months: number;
  title: string;
}

/** The entries of a month, or of all twelve for the last row. */
function entriesOf(books: Schemas['BooksView'], book: Book, row: number): Opened {
  const cell = books.table.rows[row]?.cells[0];
  const isAll = row === books.table.rows.length - 1;
  return {
    book,
    from: isAll ? books.first : `${cell?.exact}-01`,
    months: isAll ? books.table.rows.length - 1 : 1,
    title: `${NAMES[book][0]?.toUpperCase()}${NAMES[book].slice(1)}, ${isAll ? books.words : cell?.text}`,
  };
}

function EntriesPanel({ opened, onClose }: { opened: Opened; onClose: () => void }) {
  const query = `from=${opened.from}&months=${opened.months}`;
  const { data, error } = useQuery({
    queryKey: ['year', 'book', opened.book, opened.from, opened.months],
    queryFn: () => api.get<Schemas['FigureTable']>(`/api/year/books/${opened.book}?${query}`),
  });
  return (
    <Panel title={opened.title} open wide onOpenChange={(open) => !open && onClose()}>
      {error && <ProblemNotice problem={error} />}
      {data && (
        <>
          {data.rows.length === 0 ? (
            <p className="text-soft">Nothing was entered.</p>
          ) : (
            <div className="overflow-x-auto">
              <FigureTable table={{ ...data, rows: data.rows.slice(0, SHOWN) }} caption={opened.title} />
            </div>
          )}
          {data.rows.length > SHOWN && (
            <p className="mt-2 text-soft">{data.rows.length - SHOWN} more are in the sheet.</p>
          )}
          <FileLink className="mt-3" href={`/api/year/books/${opened.book}.csv?${query}`}>
            As CSV
          </FileLink>
        </>
      )}
    </Panel>
  );
}
