import { useEffect, useState } from 'react';
import { Link, useLocation, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useDays } from '../../api/queries';
import { Button, FileLink } from '../../ui/Button';
import { SelectField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { dayOfMonth, weekday } from '../../ui/units';
import { useTitle } from '../../ui/useTitle';
import { AwayPanel } from './AwayPanel';
import { FreeHoursField, useFreeHours, WhatItChanges } from './FreeHours';
import { Outlooks } from './Outlooks';
import { Slipped } from './Slipped';

type Day = Schemas['DayPlanView'];
type Stretch = Schemas['StretchView'];

const SPANS = [
  [7, 'a week'],
  [14, 'two weeks'],
  [28, 'four weeks'],
] as const;

/** What is done on which day, where to stop in the evening, and when each batch is done. */
export default function DaysPage() {
  useTitle('The days');
  const [search, setSearch] = useSearchParams();
  const count = Number(search.get('days') ?? 7) || 7;
  const { data, error } = useDays(count);
  const [away, setAway] = useState(false);
  const { hash } = useLocation();
  const there = data !== undefined;
  useEffect(() => {
    if (there && hash) document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'start' });
  }, [there, hash]);
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Planning the days …</p>;
  return (
    <>
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <div className="text-soft">Bench</div>
          <h1>The days</h1>
        </div>
        <div className="no-print flex flex-wrap items-end gap-2.5">
          <div className="w-[130px]">
            <SelectField
              label="Shown"
              value={count}
              onChange={(event) => setSearch({ days: event.target.value }, { replace: true })}
            >
              {SPANS.map(([days, name]) => (
                <option key={days} value={days}>
                  {name}
                </option>
              ))}
            </SelectField>
          </div>
          <Button look="quiet" onClick={() => setAway(true)}>
            Away …
          </Button>
          <FileLink href="/api/days.ics" download="mardun.ics">
            Calendar file
          </FileLink>
          <Button look="quiet" onClick={() => window.print()}>
            Print
          </Button>
        </div>
      </header>
      <Slipped days={data} />
      <div className="mt-4 grid items-start gap-4 xl:grid-cols-[1fr_340px] print:block">
        <ol className="min-w-0 space-y-2.5" aria-label="Days">
          {data.days.map((one) => (
            <DayRow key={one.date} day={one} today={data.today} people={data.people} />
          ))}
        </ol>
        <Outlooks batches={data.batches} />
      </div>
      <AwayPanel open={away} onOpenChange={setAway} today={data.today} />
    </>
  );
}

function DayRow({ day: one, today, people }: { day: Day; today: string; people: number }) {
  const free = useFreeHours(one);
  const isToday = one.date === today;
  const nothing = one.stretches.length === 0;
  return (
    <li id={one.date} className="sheet grid grid-cols-[118px_1fr] break-inside-avoid overflow-hidden">
      <div className="border-r border-line bg-[#fdf6dc] px-3 py-2.5">
        <div className="leading-tight">
          <span className={`text-[22px] font-bold ${isToday ? 'text-woad' : ''}`}>
            {dayOfMonth(one.date)}
          </span>{' '}
          <span>{isToday ? 'today' : weekday(one.date)}</span>
        </div>
        <FreeHoursField day={one} free={free} />
      </div>
      <div className="min-w-0 px-3.5 py-2.5">
        <WhatItChanges day={one} free={free} />
        {one.pins.map((pin) => (
          <div key={pin} className="font-semibold text-madder">
            ● {pin}
          </div>
        ))}
        {nothing && (
          <p className="text-soft">
            {one.free.seconds === 0 ? one.note || 'No time at the bench.' : 'Nothing is laid on this day.'}
          </p>
        )}
        {!nothing && one.note && <p className="text-soft">{one.note}</p>}
        <ol>
          {one.stretches.map((stretch) => (
            <StretchRow
              key={`${stretch.from}-${stretch.worker}-${stretch.name}`}
              stretch={stretch}
              several={people > 1}
            />
          ))}
        </ol>
        {one.stop && (
          <p className="mt-1.5 border-t-2 border-dashed border-woad-mid pt-1.5 text-soft">{one.stop}</p>
        )}
        {one.lies && <p className="mt-1">{one.lies}</p>}
      </div>
    </li>
  );
}

function StretchRow({ stretch, several }: { stretch: Stretch; several: boolean }) {
  const bags = stretch.onlySetUp
    ? `only set up, for ${stretch.bags} ${stretch.bags === 1 ? 'bag' : 'bags'}`
    : stretch.bagsFrom === 1 && stretch.bagsTo === stretch.bags
      ? `${stretch.bags} ${stretch.bags === 1 ? 'bag' : 'bags'}`
      : stretch.bagsTo < stretch.bagsFrom
        ? `begins bag ${stretch.bagsFrom} of ${stretch.bags}`
        : `bags ${stretch.bagsFrom}–${stretch.bagsTo} of ${stretch.bags}`;
  return (
    <li className="grid grid-cols-[48px_minmax(0,1fr)_auto] gap-x-3 py-[3px]">
      <span className="text-soft tabular-nums">{stretch.from}</span>
      <span>
        <b>{stretch.name}</b>
        {stretch.goesOn && <span className="text-soft">, goes on</span>}{' '}
        <Link
          to={`/batches/${stretch.batchId}`}
          className="text-woad underline decoration-line-strong hover:decoration-woad"
        >
          {stretch.batch}
        </Link>
        <span className="text-soft">
          {' '}
          · {bags}
          {several && ` · ${stretch.worker === 1 ? 'first' : 'second'} pair of hands`}
        </span>
        {stretch.changes.length > 0 && (
          <span className="block text-[13px]">
            <Tag look="plain">change</Tag> {stretch.changes.join(', ')}
          </span>
        )}
        {stretch.dries && (
          <span className="block text-[13px] text-soft">then it rests for {stretch.dries.text}</span>
        )}
      </span>
      <span className="text-right whitespace-nowrap text-soft">{stretch.hands.text}</span>
    </li>
  );
}
