import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useToday } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { SelectField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Answer } from './Answer';
import { Flow } from './Flow';
import { Months, Prices, Times } from './Lines';
import { TapeBars, type Bar } from './TapeBars';
import { cellOf, inCoins, yearsSince, type Chart, type Question } from './table';

const EARNS: { key: Question; name: string }[] = [
  { key: 'EARNS_BY_DESIGN', name: 'design' },
  { key: 'EARNS_BY_SIZE', name: 'size' },
  { key: 'EARNS_BY_CLOTH', name: 'cloth' },
  { key: 'EARNS_BY_CHANNEL', name: 'channel' },
];

/** What twelve months say: questions with their answers. */
export default function YearPage() {
  useTitle('What the year says');
  const today = useToday();
  const [params, setParams] = useSearchParams();
  const from = params.get('from') ?? '';
  const { data, error } = useQuery({
    queryKey: ['year', from],
    queryFn: () => api.get<Schemas['YearView']>(`/api/year${from && `?from=${from}`}`),
    placeholderData: keepPreviousData,
  });
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>What the year says</h1>
          <p className="text-soft">{data ? `${data.words}, ${data.sold} bags sold` : 'Adding up …'}</p>
        </div>
        <div className="flex flex-wrap items-end gap-2.5">
          <div className="w-[190px]">
            <SelectField
              label="Which months"
              value={from}
              onChange={(event) => setParams(event.target.value ? { from: event.target.value } : {})}
            >
              <option value="">the last twelve</option>
              {yearsSince(data?.firstSale, today).map((year) => (
                <option key={year.from} value={year.from}>
                  {year.words}
                </option>
              ))}
            </SelectField>
          </div>
          <ButtonLink look="quiet" to={`/year/books${from && `?from=${from}`}`}>
            For the books
          </ButtonLink>
        </div>
      </header>
      {error && <ProblemNotice problem={error} />}
      {data && <Answers year={data} />}
    </>
  );
}

function Answers({ year }: { year: Schemas['YearView'] }) {
  const [earns, setEarns] = useState<Question>('EARNS_BY_DESIGN');
  const chart = (key: Question) => year.charts.find((one) => one.key === key) as Chart;
  const earning = chart(earns);
  return (
    <div className="grid gap-4 xl:grid-cols-2">
      <Answer
        chart={earning}
        from={year.first}
        choice={
          <div role="group" aria-label="By what" className="mb-2 flex flex-wrap gap-1.5">
            {EARNS.map((one) => (
              <button
                key={one.key}
                type="button"
                aria-pressed={one.key === earns}
                className={`min-h-11 rounded border px-3 ${one.key === earns ? 'border-woad bg-woad-tint font-semibold' : 'border-line-strong bg-white hover:bg-woad-tint'}`}
                onClick={() => setEarns(one.key)}
              >
                by {one.name}
              </button>
            ))}
          </div>
        }
      >
        <TapeBars {...money(earning, 'an hour', 'bags')} what="an hour" />
      </Answer>
      <Answer chart={chart('FLOW')} from={year.first}>
        <Flow chart={chart('FLOW')} />
      </Answer>
      <Answer chart={chart('MONTHS')} from={year.first}>
        <Months chart={chart('MONTHS')} />
      </Answer>
      <Answer chart={chart('FAIRS')} from={year.first}>
        <TapeBars {...money(chart('FAIRS'), 'an hour there', 'day')} what="an hour" />
      </Answer>
      <Answer chart={chart('SHELF')} from={year.first}>
        <TapeBars bars={lasting(chart('SHELF'))} what="weeks" />
      </Answer>
      <Answer chart={chart('HOURS')} from={year.first}>
        <TapeBars bars={figures(chart('HOURS'), 'time', 'of all')} unit={3600} what="hours" />
      </Answer>
      <Answer chart={chart('TIMES')} from={year.first}>
        <Times chart={chart('TIMES')} />
      </Answer>
      <Answer chart={chart('PRICES')} from={year.first}>
        <Prices chart={chart('PRICES')} />
      </Answer>
      <Answer chart={chart('SPOILED')} from={year.first}>
        <TapeBars bars={figures(chart('SPOILED'), 'not well', 'begun')} what="of 100" />
      </Answer>
    </div>
  );
}

/** Bars of a column; rows without a figure there aren't drawn. */
function figures({ table }: Chart, column: string, more: string): Bar[] {
  return table.rows.flatMap((row) => {
    const cell = cellOf(table, row, column);
    if (cell.size === undefined) return [];
    return [
      {
        name: row.cells[0]?.text ?? '',
        more: cellOf(table, row, more).text,
        value: cell.size,
        text: cell.text,
        marked: row.marked,
      },
    ];
  });
}

function money(chart: Chart, column: string, more: string) {
  const bars = figures(chart, column, more);
  const first = chart.table.rows.map((row) => cellOf(chart.table, row, column)).find((cell) => cell.exact);
  return {
    bars,
    unit: first ? inCoins(first) : 1,
    against: chart.against && {
      value: chart.against.size ?? 0,
      text: `the ${chart.against.text} that you want for an hour`,
    },
  };
}

const LONGEST = 104;

/** How many weeks of sales lie there. What dies because none of it goes lies longest; of what is new nobody knows. */
function lasting({ table }: Chart): Bar[] {
  return table.rows.map((row) => {
    const weeks = cellOf(table, row, 'weeks it lasts');
    const none = row.marked ? { value: LONGEST, text: 'none goes' } : { text: 'new' };
    return {
      name: cellOf(table, row, 'bags').text,
      more: cellOf(table, row, 'there').text,
      marked: row.marked,
      ...(weeks.size === undefined ? none : { value: Math.min(LONGEST, weeks.size), text: weeks.text }),
    };
  });
}
