import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, Problem } from '../../api/client';
import { keys, useChannels } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { CostFall } from '../../ui/CostFall';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Tagged } from '../../ui/Ticket';
import { fullDay, unsigned } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';
import { uuid } from '../../ui/uuid';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { nearest, type Point, type Sheet } from './curve';
import { PriceCurve } from './PriceCurve';
import { ChannelPicker } from './PricesPage';
import { Bargains } from './Bargains';
import { bagParams, placeOf } from './place';
import { WhatIf } from './WhatIf';

/** One bag and its price from all sides: what it costs, what each school asks, and what any price leaves for an hour. */
export default function PriceSheetPage() {
  const [params, setParams] = useSearchParams();
  const channels = useChannels();
  const question = params.toString();
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'sheet', question],
    queryFn: () => api.get<Sheet>(`/api/prices/sheet?${question}`),
    placeholderData: keepPreviousData,
    retry: false,
  });
  useTitle(data && `Price of ${data.design}`);
  if (error) {
    return (
      <div className="space-y-3">
        <ProblemNotice problem={error} />
        <Link to="/prices" className="font-semibold text-woad hover:underline">
          Back to the book
        </Link>
      </div>
    );
  }
  if (!data) return <p className="text-soft">Calculating …</p>;
  const change = (field: string, value: string) => {
    const next = new URLSearchParams(params);
    next.set(field, value);
    setParams(next, { replace: true });
  };
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link
            to={`/prices?channel=${data.channelId}`}
            className="inline-block min-h-6 text-soft hover:underline"
          >
            Price book
          </Link>
          <h1>
            {data.design}
            {data.size && `, ${data.size}`}
          </h1>
          {data.cloth && <p className="text-soft">{data.cloth}</p>}
        </div>
        <div className="flex flex-wrap gap-3">
          <ChannelPicker
            channels={channels.data ?? []}
            chosen={data.channelId}
            onChoose={(id) => change('channel', String(id))}
          />
          <ButtonLink look="quiet" to={`/prices/tickets?${bagParams(data, data.channelId)}`}>
            Ticket
          </ButtonLink>
        </div>
      </header>
      {data.noPrice && (
        <div className="mb-3">
          <Notice>{data.noPrice}</Notice>
        </div>
      )}
      <Looked
        key={bagParams(data, data.channelId)}
        sheet={data}
        onUnits={(units) => change('units', units)}
      />
    </>
  );
}

/** Everything follows the price that is looked at. */
function Looked({ sheet, onUnits }: { sheet: Sheet; onUnits: (units: string) => void }) {
  const [minor, setMinor] = useState(
    () => (sheet.own ?? sheet.suggested ?? sheet.breakEven)?.minor ?? sheet.wanted.minor,
  );
  const at = nearest(sheet.curve, minor);
  const point = sheet.curve[at] as Point;
  const look = (to: number) => setMinor(to);
  return (
    <div className="grid items-start gap-4 lg:grid-cols-[1fr_300px]">
      <div className="min-w-0 space-y-4">
        <section className="sheet px-4 py-3" aria-label="The curve">
          <PriceCurve sheet={sheet} at={at} onMove={(to) => look((sheet.curve[to] as Point).price.minor)} />
          <p className="text-[13px] text-soft">
            Drag along the tape, or press the arrow keys. ▽ are prices seen elsewhere.
            {sheet.sold.length > 0 && (
              <>
                {' '}
                What stands on the tape was sold here in two years:{' '}
                {sheet.sold.map((one) => `${one.units} at ${one.price.amount}`).join(', ')}.
              </>
            )}
          </p>
        </section>
        <Schools sheet={sheet} minor={point.price.minor} onLook={look} />
        <WhatIf sheet={sheet} price={point.price.amount} />
        <Bargains sheet={sheet} price={point.price.amount} />
        <div className="grid items-start gap-4 md:grid-cols-2">
          <AnHour sheet={sheet} onLook={look} />
          <Seen sheet={sheet} onLook={look} />
        </div>
      </div>
      <div className="space-y-4">
        <AtThisPrice sheet={sheet} point={point} />
        <Cost sheet={sheet} onUnits={onUnits} />
        <History sheet={sheet} />
      </div>
    </div>
  );
}

function AtThisPrice({ sheet, point }: { sheet: Sheet; point: Point }) {
  const [reason, setReason] = useState('');
  const [typed, setTyped] = useState<string>();
  const set = useSend(
    (price: string) =>
      api.post('/api/prices', {
        prices: [{ place: placeOf(sheet, sheet.channelId), price }],
        reason,
      }),
    () => {
      setReason('');
      setTyped(undefined);
    },
  );
  const price = typed ?? point.price.amount;
  const earns = point.perHour;
  const isBelow = !!earns && earns.minor < sheet.least.minor;
  const wrong = set.problem?.errors[0]?.sentence;
  return (
    <Tagged label="At this price">
      <div className="text-center text-[34px] leading-tight font-bold">{point.price.amount}</div>
      {point.buyerPays.minor !== point.price.minor && (
        <div className="text-center text-soft">the buyer pays {point.buyerPays.amount} in all</div>
      )}
      <dl className="mt-2">
        {point.lines.map((line) => (
          <div key={line.name} className="flex justify-between gap-3">
            <dt className="text-soft">
              {line.amount.minor < 0 ? '+' : '−'} {line.name}
            </dt>
            <dd>{unsigned(line.amount.amount)}</dd>
          </div>
        ))}
        <div className="flex justify-between gap-3">
          <dt className="text-soft">− full cost</dt>
          <dd>{sheet.cost.value.amount}</dd>
        </div>
        <div
          className={`mt-1 flex justify-between gap-3 border-t border-line pt-1 font-semibold ${point.left.minor < 0 ? 'text-madder' : ''}`}
        >
          <dt>{point.left.minor < 0 ? 'lost' : 'left'} of one</dt>
          <dd>{unsigned(point.left.amount)}</dd>
        </div>
        {earns && (
          <div
            className={`flex justify-between gap-3 text-lg font-bold ${isBelow ? 'text-madder' : 'text-moss'}`}
          >
            <dt>an hour earns</dt>
            <dd>{earns.amount}</dd>
          </div>
        )}
      </dl>
      {earns && (
        <p className="mt-1 text-[13px] text-soft">
          {isBelow && 'Too little. '}
          {point.many
            ? `For ${sheet.least.amount} an hour you have to make ${point.many} an hour.`
            : 'However many you make in an hour, it is never enough.'}
        </p>
      )}
      <form
        noValidate
        className="mt-3 space-y-2 border-t border-line-faint pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          set.mutate(price);
        }}
      >
        <div className="grid grid-cols-2 gap-2">
          <TextField
            label="Set"
            inputMode="decimal"
            value={price}
            error={wrong}
            onChange={(event) => setTyped(event.target.value)}
          />
          <TextField
            label="Why"
            maxLength={300}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </div>
        {set.problem instanceof Problem && !wrong && <ProblemNotice problem={set.problem} />}
        <div className="flex flex-wrap gap-2">
          <Button type="submit" disabled={set.isPending}>
            Set this price
          </Button>
          {sheet.own && (
            <Button look="quiet" disabled={set.isPending} onClick={() => set.mutate('')}>
              None
            </Button>
          )}
        </div>
        <p className="text-[13px] text-soft">
          {sheet.own
            ? `${sheet.own.amount} is set; calculated it is ${sheet.suggested?.amount ?? 'none'}.`
            : `None is set; calculated it is ${sheet.suggested?.amount ?? 'none'}.`}{' '}
          {sheet.clothId
            ? `Set here, it holds for bags in ${sheet.cloth} alone: for tickets and the next batches.`
            : 'It holds for tickets and the next batches.'}
        </p>
      </form>
    </Tagged>
  );
}

/** What one costs, part by part: each hangs where the one before it ended. */
function Cost({ sheet, onUnits }: { sheet: Sheet; onUnits: (units: string) => void }) {
  return (
    <section className="sheet px-4 py-3" aria-label="What one costs">
      <div className="flex items-baseline justify-between gap-3">
        <h2>What one costs</h2>
        <WorkedFigure label="Full cost" working={sheet.cost.working}>
          <b>{sheet.cost.value.amount}</b>
        </WorkedFigure>
      </div>
      {sheet.given && (
        <p className="text-[13px] text-soft">
          What was given to you counts {sheet.given.costsNothing ? 'nothing' : 'what it would have cost'};{' '}
          {sheet.given.costsNothing ? 'at what it would have cost' : 'at nothing'}: {sheet.given.cost.amount}.
        </p>
      )}
      <label className="flex items-center gap-2 text-soft">
        made
        <input
          key={sheet.units}
          className="field !w-20"
          inputMode="numeric"
          defaultValue={sheet.units}
          onBlur={(event) => {
            const units = event.target.value.trim();
            if (/^[1-9]\d{0,3}$/.test(units) && Number(units) !== sheet.units) onUnits(units);
            else event.target.value = String(sheet.units);
          }}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
        at a time, {sheet.time.text} each
      </label>
      <div className="mt-2">
        <CostFall
          parts={sheet.parts.map((part) => ({
            name: part.name,
            minor: part.cost.value.minor,
            amount: (
              <WorkedFigure label={part.name} working={part.cost.working}>
                {part.cost.value.amount}
              </WorkedFigure>
            ),
          }))}
        />
      </div>
    </section>
  );
}

/** What a school would ask if what was given were valued the other way. */
function GivenOtherwise({ sheet, school }: { sheet: Sheet; school: Sheet['schools'][number] }) {
  const other = sheet.given?.prices.find((one) => one.school === school.school)?.price;
  if (!other || other.minor === school.price.minor) return null;
  return (
    <span className="block text-[13px] font-normal text-soft">
      {sheet.given?.costsNothing ? 'gifts paid' : 'gifts free'}: {other.amount}
    </span>
  );
}

function Schools({ sheet, minor, onLook }: { sheet: Sheet; minor: number; onLook: (minor: number) => void }) {
  return (
    <section className="sheet overflow-x-auto px-4 py-3" aria-label="By each school">
      <h2>By each school</h2>
      <table className="listing w-full">
        <thead>
          <tr>
            <th>School</th>
            <th className="num">Price</th>
            <th className="num">{sheet.channel} takes</th>
            <th className="num">Left of one</th>
            <th className="num">An hour</th>
            <th>
              <span className="sr-only">Shares</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sheet.schools.map((school) => (
            <tr key={school.school} className={school.price.minor === minor ? 'bg-woad-tint' : ''}>
              <td>
                <button
                  type="button"
                  className={`min-h-9 text-left hover:underline ${school.usual ? 'font-bold' : 'text-woad'}`}
                  onClick={() => onLook(school.price.minor)}
                >
                  {school.words}
                  {school.usual && <span className="font-normal text-soft"> · usual</span>}
                </button>
              </td>
              <td className="num font-semibold">
                {school.price.amount}
                <GivenOtherwise sheet={sheet} school={school} />
              </td>
              <td className="num">{school.taken.amount}</td>
              <td className={`num ${school.left.minor < 0 ? 'text-madder' : ''}`}>{school.left.amount}</td>
              <td
                className={`num ${school.perHour && school.perHour.minor < sheet.least.minor ? 'text-madder' : ''}`}
              >
                {school.perHour?.amount}
              </td>
              <td>
                <Shares sheet={sheet} school={school} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const HATCHES = ['#14242d', '#1d5a85', '#8fb6d3', '#f2d675'];

/** Which part of the price is material, work and overheads, the channel's, and what is left. */
function Shares({ sheet, school }: { sheet: Sheet; school: Sheet['schools'][number] }) {
  const labour = sheet.parts.find((part) => part.name === 'labour')?.cost.value.minor ?? 0;
  const parts = [
    ['material and overheads', sheet.cost.value.minor - labour],
    ['work', labour],
    ['the channel', school.taken.minor],
    ['left', Math.max(0, school.left.minor)],
  ] as const;
  const whole = parts.reduce((sum, [, part]) => sum + Math.max(0, part), 0) || 1;
  const begins = parts.map((_, i) => parts.slice(0, i).reduce((sum, [, part]) => sum + Math.max(0, part), 0));
  const percent = (part: number) => Math.round((Math.max(0, part) / whole) * 100);
  return (
    <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="h-4 w-28 border border-ink">
      <title>{parts.map(([name, part]) => `${name} ${percent(part)} %`).join(', ')}</title>
      {parts.map(([name, part], i) => (
        <rect
          key={name}
          x={((begins[i] ?? 0) / whole) * 100}
          width={(Math.max(0, part) / whole) * 100}
          height="10"
          fill={HATCHES[i]}
          stroke="#fff"
          strokeWidth=".6"
        />
      ))}
    </svg>
  );
}

function AnHour({ sheet, onLook }: { sheet: Sheet; onLook: (minor: number) => void }) {
  if (sheet.anHour.length === 0) return null;
  return (
    <section className="sheet px-4 py-3" aria-label="So many an hour">
      <h2>So many an hour</h2>
      <p className="text-soft">By that school, for {sheet.least.amount} an hour one has to cost</p>
      <ul className="mt-1">
        {sheet.anHour.map((one) => (
          <li key={one.many} className={`flex items-center justify-between ${one.mine ? 'font-bold' : ''}`}>
            <span>
              {one.many} an hour{one.mine && ', about as you do'}
            </span>
            {one.price ? (
              <button
                type="button"
                className="min-h-9 px-2 text-woad hover:underline"
                onClick={() => one.price && onLook(one.price.minor)}
              >
                {one.price.amount}
              </button>
            ) : (
              <span className="text-soft">no price is enough</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Seen({ sheet, onLook }: { sheet: Sheet; onLook: (minor: number) => void }) {
  const [form, setForm] = useState({ what: '', where: '', price: '' });
  const [id, setId] = useState(() => uuid());
  const add = useSend(
    () => api.post('/api/prices/seen', { id, designId: sheet.designId, ...form }),
    () => {
      setForm({ what: '', where: '', price: '' });
      setId(uuid());
    },
  );
  const forget = useSend((gone: string) => api.remove(`/api/prices/seen/${gone}`));
  const on = (field: string) => add.problem?.errors.find((one) => one.field === field)?.sentence;
  return (
    <section className="sheet px-4 py-3" aria-label="Seen elsewhere">
      <h2>Seen elsewhere</h2>
      <ul className="divide-y divide-line-faint">
        {sheet.seen.map((one) => (
          <li key={one.id} className="flex items-center justify-between gap-2 py-1">
            <span className="min-w-0">
              {one.what}
              <span className="block text-[13px] text-soft">
                {one.where}, {fullDay(one.on)}
              </span>
            </span>
            <span className="flex shrink-0 items-center">
              <button
                type="button"
                className="min-h-9 px-2 font-semibold text-woad hover:underline"
                onClick={() => onLook(one.price.minor)}
              >
                {one.price.amount}
              </button>
              <button
                type="button"
                aria-label={`Forget ${one.what}, ${one.price.amount}`}
                className="size-9 text-soft hover:text-madder"
                onClick={() => forget.mutate(one.id)}
              >
                ×
              </button>
            </span>
          </li>
        ))}
      </ul>
      <form
        noValidate
        className="mt-2 grid grid-cols-[1.4fr_1fr_.7fr] items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate(undefined);
        }}
      >
        <TextField
          label="What"
          maxLength={200}
          value={form.what}
          error={on('what')}
          onChange={(event) => setForm({ ...form, what: event.target.value })}
        />
        <TextField
          label="Where"
          maxLength={200}
          value={form.where}
          error={on('where')}
          onChange={(event) => setForm({ ...form, where: event.target.value })}
        />
        <TextField
          label="Price"
          inputMode="decimal"
          value={form.price}
          error={on('price')}
          onChange={(event) => setForm({ ...form, price: event.target.value })}
        />
        <div className="col-span-3">
          <Button type="submit" look="quiet" disabled={add.isPending}>
            Note it
          </Button>
        </div>
      </form>
      {add.problem && add.problem.errors.length === 0 && <ProblemNotice problem={add.problem} />}
    </section>
  );
}

function History({ sheet }: { sheet: Sheet }) {
  if (sheet.history.length === 0) return null;
  return (
    <section className="sheet px-4 py-3" aria-label="Earlier prices">
      <h2>Earlier prices</h2>
      <ul className="divide-y divide-line-faint">
        {sheet.history.map((one, i) => (
          <li key={i} className="flex justify-between gap-3 py-1">
            <span className="min-w-0">
              {fullDay(one.since)}
              {one.reason && <span className="block text-[13px] text-soft">{one.reason}</span>}
            </span>
            <b>{one.price?.amount ?? 'calculated'}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}
