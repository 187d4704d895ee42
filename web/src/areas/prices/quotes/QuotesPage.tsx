import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { keys } from '../../../api/queries';
import { Button, ButtonLink } from '../../../ui/Button';
import { ProblemNotice } from '../../../ui/Notice';
import { Tag } from '../../../ui/Tag';
import { fullDay } from '../../../ui/units';
import { useTitle } from '../../../ui/useTitle';
import { PaperPanel } from './PaperPanel';

type Row = Schemas['QuoteRow'];

/** Quotes for private orders, those that wait for an answer first. */
export default function QuotesPage() {
  useTitle('Quotes');
  const { data, error } = useQuery({
    queryKey: keys.quotes,
    queryFn: () => api.get<Row[]>('/api/quotes'),
  });
  const [paper, setPaper] = useState(false);
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  const waiting = data.filter((row) => row.state === 'GIVEN' || row.state === 'DRAFT');
  const decided = data.filter((row) => row.state === 'ACCEPTED' || row.state === 'DECLINED');
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link className="inline-block min-h-6 text-soft hover:underline" to="/prices">
            Prices
          </Link>
          <h1>Quotes</h1>
        </div>
        <div className="flex gap-2">
          <Button look="quiet" onClick={() => setPaper(true)}>
            Heading and terms
          </Button>
          <ButtonLink to="/prices/quotes/new">New quote</ButtonLink>
        </div>
      </header>
      {data.length === 0 && (
        <section className="sheet max-w-[640px] p-5">
          <h2>No quotes yet</h2>
          <p className="text-soft">
            Somebody asks for bags: a quote says what they cost by number, by when they are done, and becomes
            a batch once it is accepted.
          </p>
        </section>
      )}
      {waiting.length > 0 && <Quotes title="Waiting for an answer" rows={waiting} />}
      {decided.length > 0 && <Quotes title="Answered" rows={decided} />}
      {paper && <PaperPanel onClose={() => setPaper(false)} />}
    </>
  );
}

function Quotes({ title, rows }: { title: string; rows: Row[] }) {
  return (
    <section className="sheet mb-4 overflow-x-auto px-4 py-2" aria-label={title}>
      <h2 className="py-1">{title}</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>For</th>
            <th>What</th>
            <th>Wanted by</th>
            <th className="num">Total</th>
            <th>Quote</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <td>
                <Link className="font-semibold text-woad hover:underline" to={`/prices/quotes/${row.id}`}>
                  {row.who}
                </Link>
              </td>
              <td>{row.about}</td>
              <td className="whitespace-nowrap">{row.by && fullDay(row.by)}</td>
              <td className="num">{row.total?.amount}</td>
              <td>
                <StateTag row={row} />
                {row.givenOn && (
                  <span className="block text-[13px] text-soft">
                    given {fullDay(row.givenOn)}
                    {row.versions > 1 && `, version ${row.versions}`}
                    {row.state === 'GIVEN' && row.validUntil && `, valid until ${fullDay(row.validUntil)}`}
                  </span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function StateTag({ row }: { row: Row }) {
  switch (row.state) {
    case 'DRAFT':
      return <Tag look="plain">not given yet</Tag>;
    case 'GIVEN':
      return row.isOver ? <Tag look="care">no longer valid</Tag> : <Tag look="plain">waiting</Tag>;
    case 'ACCEPTED':
      return <Tag look="ok">accepted</Tag>;
    case 'DECLINED':
      return <Tag look="care">declined</Tag>;
  }
}
