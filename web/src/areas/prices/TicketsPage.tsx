import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, Problem, type Schemas } from '../../api/client';
import { keys, useChannels } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { LabelDrawing } from '../../ui/LabelDrawing';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';
import { OwnSheetPanel } from './OwnSheetPanel';
import { ChannelPicker } from './PricesPage';
import { PrintedTickets } from './PrintedTickets';
import { SheetMap } from './SheetMap';
import { QUALITY } from '../../ui/quality';

type Form = Schemas['TicketsForm'];
type Run = Schemas['TicketRunView'];
type Shown = Form['shown'][number];
type Typed = { chosen?: boolean; units?: string; price?: string };

const SHOWN: { key: Shown; name: string }[] = [
  { key: 'SIZE', name: 'size' },
  { key: 'CLOTH', name: 'cloth' },
  { key: 'FIBRE', name: 'fibre' },
  { key: 'CARE', name: 'care' },
  { key: 'BATCH', name: 'batch' },
];

/** A row of tickets to choose: bags that are there, or a size of a design. */
type Row = {
  key: string;
  name: string;
  size: string;
  cloth: string;
  about: string;
  there: number | undefined;
  price: string | undefined;
  quality: Schemas['BagView']['quality'];
  goods?: Schemas['TicketGoods'];
  target: Omit<Schemas['TicketLineForm'], 'units' | 'price'>;
  /** How many there are without a ticket that holds. */
  toPrint: number;
};

/** Price tickets: which bags have one that holds, and new ones on sheets of labels or out of the label printer. */
export default function TicketsPage() {
  useTitle('Price tickets');
  const [params, setParams] = useSearchParams();
  const asked = Number(params.get('channel')) || undefined;
  const withoutPrice = params.get('price') === 'none';
  const channels = useChannels();
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'tickets', asked ?? 'usual'],
    queryFn: () => api.get<Schemas['TicketsView']>(`/api/price-tickets${asked ? `?channel=${asked}` : ''}`),
    placeholderData: keepPreviousData,
  });
  const single = useSingle(params.get('design'), params.get('size'), params.get('cloth'), asked);
  const [typed, setTyped] = useState<Record<string, Typed>>({});
  const [sheetKey, setSheetKey] = useState('');
  const [firstTyped, setFirst] = useState<string>();
  const [shown, setShown] = useState<Shown[]>(['SIZE', 'CLOTH', 'FIBRE', 'CARE']);
  const [code, setCode] = useState<Form['code']>('NONE');
  const [more, setMore] = useState('');
  const [measuring, setMeasuring] = useState(false);
  const [made, setMade] = useState<Run>();
  const [lookedAt, setLookedAt] = useState('');
  const request = useRequestId();

  const sheet = data?.sheets.find((one) => one.key === sheetKey) ?? data?.sheets[0];
  const first = firstTyped ?? String(sheet?.next ?? 1);
  const rows = [...(single ? [single] : []), ...(data?.goods ?? []).map(rowOf)];
  const isChosen = (row: Row) =>
    typed[row.key]?.chosen ??
    (single
      ? row.key === single.key
      : row.toPrint > 0 && row.quality !== 'SECOND' && row.goods?.goodsId !== undefined);
  const unitsOf = (row: Row) => typed[row.key]?.units ?? String(row.toPrint || row.there || 1);
  const picked = rows.filter(isChosen);
  const form: Form = {
    requestId: request.id,
    target: 'SHEET',
    channelId: withoutPrice ? undefined : data?.channelId,
    sheetKey: sheet?.key ?? '',
    first,
    shown,
    code,
    more,
    lines: picked.map((row) => ({
      ...row.target,
      units: unitsOf(row),
      price: withoutPrice ? '' : (typed[row.key]?.price ?? ''),
    })),
  };
  const settled = useSettled(form, 250);
  const preview = useQuery({
    queryKey: [...keys.prices, 'tickets', 'preview', { ...settled, requestId: '' }],
    queryFn: () => api.post<Schemas['TicketPreview']>('/api/price-tickets/preview', settled),
    enabled: settled.lines.length > 0 && settled.sheetKey !== '',
    placeholderData: keepPreviousData,
    retry: false,
  });
  const send = useSend(
    (target: Form['target']) => api.post<Run>('/api/price-tickets', { ...form, target }),
    (run) => {
      setMade(run);
      request.renew();
      setTyped({});
      setFirst(undefined);
      if (run.target === 'SHEET') openSheets(run.id);
    },
  );
  const forget = useSend(
    (key: string) => api.remove(`/api/price-tickets/sheets/${key.replace('own-', '')}`),
    () => {
      setSheetKey('');
      setFirst(undefined);
    },
  );
  if (error) return <ProblemNotice problem={error} />;
  if (!data || !sheet) return <p className="text-soft">Opening …</p>;

  const problem =
    picked.length === 0
      ? undefined
      : (send.problem ?? (preview.error instanceof Problem ? preview.error : undefined));
  const on = (field: string) => problem?.errors.find((one) => one.field === field)?.sentence;
  const isWrong = problem !== undefined && problem.errors.length > 0;
  const units = picked.length > 0 && preview.data && !isWrong ? preview.data.units : 0;
  const type = (row: Row, what: Typed) => setTyped({ ...typed, [row.key]: { ...typed[row.key], ...what } });
  const outOfDate = data.outOfDate;
  const labels = preview.data?.labels ?? [];
  const label = labels[picked.findIndex((row) => row.key === lookedAt)] ?? labels[0];
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link className="text-woad hover:underline" to="/prices">
            Prices
          </Link>
          <h1>Price tickets</h1>
        </div>
        <div className="flex flex-wrap gap-1.5">
          <ChannelPicker
            channels={channels.data ?? []}
            chosen={withoutPrice ? undefined : data.channelId}
            onChoose={(id) => setParams({ channel: String(id) })}
          />
          <button
            type="button"
            aria-pressed={withoutPrice}
            className={`min-h-11 rounded border px-3 ${withoutPrice ? 'border-woad bg-woad-tint font-semibold' : 'border-line-strong bg-white hover:bg-woad-tint'}`}
            onClick={() => setParams({ ...(asked ? { channel: String(asked) } : {}), price: 'none' })}
          >
            no price
          </button>
        </div>
      </header>
      {outOfDate > 0 && (
        <div className="mb-3">
          <Notice look="care">
            {outOfDate === 1 ? 'One ticket says' : `${outOfDate} tickets say`} another price than you ask now.
          </Notice>
        </div>
      )}
      {made && <Made run={made} />}
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_330px]">
        <div className="min-w-0 space-y-4">
          <section className="sheet overflow-x-auto px-4 py-2" aria-label="Bags">
            {rows.length === 0 && (
              <p className="py-6 text-center text-soft">
                No bags are there, and none are in a batch. Tickets for any other come from its{' '}
                <Link className="text-woad underline" to="/prices">
                  price
                </Link>
                .
              </p>
            )}
            {rows.length > 0 && (
              <table className="listing">
                <thead>
                  <tr>
                    <th className="w-10">
                      <span className="sr-only">Print</span>
                    </th>
                    <th>Bag</th>
                    <th className="num">In stock</th>
                    <th>Tickets</th>
                    <th className="w-[92px]">Print</th>
                    <th className="w-[110px]">Price</th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row) => {
                    const i = picked.indexOf(row);
                    const name = `${row.name}${row.size && `, ${row.size}`}${row.about && `, ${row.about}`}`;
                    return (
                      <tr
                        key={row.key}
                        onMouseEnter={() => setLookedAt(row.key)}
                        onFocus={() => setLookedAt(row.key)}
                      >
                        <td>
                          <input
                            type="checkbox"
                            className="size-5"
                            aria-label={`Tickets for ${name}`}
                            checked={isChosen(row)}
                            onChange={(event) => type(row, { chosen: event.target.checked })}
                          />
                        </td>
                        <td>
                          <b>{row.name}</b>
                          {row.size && `, ${row.size}`}
                          {QUALITY[row.quality] && (
                            <>
                              {' '}
                              <Tag look="care">{QUALITY[row.quality]}</Tag>
                            </>
                          )}
                          <span className="block text-[13px] text-soft">
                            {[row.cloth, row.about].filter(Boolean).join(' · ')}
                          </span>
                          {row.goods?.licence && (
                            <span className="block text-[13px] text-weld">{row.goods.licence}</span>
                          )}
                        </td>
                        <td className="num">{row.there}</td>
                        <td>{row.goods && <State goods={row.goods} />}</td>
                        <td>
                          <TextField
                            label={`How many for ${name}`}
                            hideLabel
                            inputMode="numeric"
                            value={unitsOf(row)}
                            disabled={i < 0}
                            error={i < 0 ? undefined : on(`lines.${i}.units`)}
                            onChange={(event) => type(row, { units: event.target.value })}
                          />
                        </td>
                        <td>
                          {!withoutPrice && (
                            <TextField
                              label={`Price of ${name}`}
                              hideLabel
                              inputMode="decimal"
                              placeholder={row.price ?? 'type one'}
                              value={typed[row.key]?.price ?? ''}
                              disabled={i < 0}
                              error={i < 0 ? undefined : on(`lines.${i}.price`)}
                              onChange={(event) => type(row, { price: event.target.value })}
                            />
                          )}
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            )}
          </section>
          <PrintedTickets runs={data.runs} />
        </div>
        <section className="sheet space-y-3 px-4 py-3" aria-label="How they look">
          {label && picked.length > 0 && !isWrong ? (
            <div className="flex min-h-[150px] items-center justify-center bg-ground p-3">
              <LabelDrawing
                label={label}
                className="max-h-[260px] w-full drop-shadow-[0_1px_2px_rgb(20_36_45/0.25)]"
              />
            </div>
          ) : (
            <p className="min-h-[90px] bg-ground p-3 text-soft">
              {isWrong
                ? 'The ticket is drawn once this is right.'
                : 'Choose bags, and their ticket is drawn here.'}
            </p>
          )}
          <div className="flex flex-wrap gap-x-3">
            {SHOWN.map(({ key, name }) => (
              <label key={key} className="flex min-h-9 items-center gap-1.5">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={shown.includes(key)}
                  onChange={(event) =>
                    setShown(event.target.checked ? [...shown, key] : shown.filter((one) => one !== key))
                  }
                />
                {name}
              </label>
            ))}
          </div>
          <div className="grid grid-cols-[1fr_110px] items-start gap-2">
            <TextField
              label="More words"
              maxLength={200}
              value={more}
              error={on('more')}
              onChange={(event) => setMore(event.target.value)}
            />
            <SelectField
              label="Code"
              value={code}
              onChange={(event) => setCode(event.target.value as Form['code'])}
            >
              <option value="NONE">none</option>
              <option value="QR">square</option>
              <option value="BARS">bars</option>
            </SelectField>
          </div>
          <SelectField
            label="Labels"
            value={sheet.key}
            error={on('sheetKey')}
            onChange={(event) => {
              if (event.target.value === 'measure') setMeasuring(true);
              else {
                setSheetKey(event.target.value);
                setFirst(undefined);
              }
            }}
          >
            {data.sheets.map((one) => (
              <option key={one.key} value={one.key}>
                {one.name}
              </option>
            ))}
            <option value="measure">others, by measure …</option>
          </SelectField>
          {sheet.own && (
            <Button look="quiet" disabled={forget.isPending} onClick={() => forget.mutate(sheet.key)}>
              Forget these labels
            </Button>
          )}
          <div className="flex items-start gap-3">
            <SheetMap
              sheet={sheet}
              first={Math.max(1, Math.min(sheet.across * sheet.down, Number(first) || 1))}
              units={units}
              onFirst={(one) => setFirst(String(one))}
            />
            <div className="min-w-0 flex-1">
              <TextField
                label="Begin at label"
                inputMode="numeric"
                value={first}
                error={on('first')}
                onChange={(event) => setFirst(event.target.value)}
              />
              <p className="mt-1 text-[13px] text-soft">
                {units} {units === 1 ? 'ticket' : 'tickets'}
                {preview.data && picked.length > 0 && !isWrong
                  ? ` on ${preview.data.pages} ${preview.data.pages === 1 ? 'sheet' : 'sheets'}`
                  : ''}
                . Print at 100 %, not “fit to page”.
              </p>
            </div>
          </div>
          {problem && problem.errors.length === 0 && <ProblemNotice problem={problem} />}
          {on('lines') && <Notice>{on('lines')}</Notice>}
          <div className="flex flex-wrap gap-2">
            <Button disabled={picked.length === 0 || send.isPending} onClick={() => send.mutate('SHEET')}>
              Sheets as PDF
            </Button>
            <Button
              look="quiet"
              disabled={picked.length === 0 || send.isPending}
              onClick={() => send.mutate('PRINTER')}
            >
              Label printer
            </Button>
          </div>
        </section>
      </div>
      {measuring && (
        <OwnSheetPanel
          onClose={() => setMeasuring(false)}
          onKept={(key) => {
            setMeasuring(false);
            setSheetKey(key);
            setFirst(undefined);
          }}
        />
      )}
    </>
  );
}

/** The sheets are a file that the browser saves; the page stays where it is. */
function openSheets(id: number) {
  const link = document.createElement('a');
  link.href = `/api/price-tickets/${id}/sheets.pdf`;
  link.click();
}

function rowOf(goods: Schemas['TicketGoods']): Row {
  return {
    key: goods.goodsId ? `goods ${goods.goodsId}` : `batch ${goods.batchId} ${goods.lineNumber}`,
    name: goods.designName,
    size: goods.sizeName,
    cloth: goods.clothName,
    about: [goods.batchId ? `batch ${goods.batchId}` : '', goods.goodsId ? '' : 'still to be made']
      .filter(Boolean)
      .join(', '),
    there: goods.goodsId ? goods.units : undefined,
    price: goods.price?.amount,
    quality: goods.quality,
    goods,
    target: goods.goodsId
      ? { goodsId: goods.goodsId, cloth: '' }
      : { batchId: goods.batchId, lineNumber: goods.lineNumber, cloth: '' },
    toPrint: goods.toPrint,
  };
}

/** A size of a design that tickets were asked for from its price. */
function useSingle(
  design: string | null,
  size: string | null,
  cloth: string | null,
  channel: number | undefined,
): Row | undefined {
  const { data: book } = useQuery({
    queryKey: [...keys.prices, 'book', channel ?? 'usual'],
    queryFn: () => api.get<Schemas['BookView']>(`/api/prices/book${channel ? `?channel=${channel}` : ''}`),
    enabled: design !== null,
  });
  const row = book?.rows.find(
    (one) =>
      String(one.designId) === design &&
      one.sizeKey === size &&
      (one.clothId ? String(one.clothId) : null) === cloth,
  );
  return (
    row && {
      key: `design ${row.designId} ${row.sizeKey} ${row.clothId ?? ''}`,
      name: row.design,
      size: row.size,
      cloth: row.cloth,
      about: 'for one that isn’t among the finished bags',
      there: undefined,
      price: row.price?.amount,
      quality: 'GOOD',
      target: { designId: row.designId, sizeKey: row.sizeKey, cloth: row.cloth, clothId: row.clothId },
      toPrint: 1,
    }
  );
}

/** How many of the bags have a ticket that holds. */
function State({ goods }: { goods: Schemas['TicketGoods'] }) {
  return (
    <span className="flex flex-wrap gap-1">
      {goods.outOfDate > 0 && (
        <Tag look="care">
          {goods.outOfDate} say {goods.wrongPrice?.amount}
        </Tag>
      )}
      {goods.right > 0 && <Tag look="ok">{goods.right} right</Tag>}
      {goods.without > 0 && <span className="text-soft">{goods.without} without</span>}
    </span>
  );
}

/** What came of printing: where the sheets are, or why the printer stopped. */
function Made({ run }: { run: Run }) {
  return (
    <div className="mb-3">
      {run.trouble ? (
        <Notice look="care">
          {run.cameOut} of {run.units} came out. {run.trouble} Below, “Go on” prints the others.
        </Notice>
      ) : (
        <Notice look="ok">
          {run.units === 1 ? 'One ticket' : `${run.units} tickets`}
          {run.target === 'SHEET'
            ? ': the sheets are saved as a PDF file.'
            : ' came out of the label printer.'}
        </Notice>
      )}
    </div>
  );
}
