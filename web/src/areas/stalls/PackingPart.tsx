import { useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys, usePacking } from '../../api/queries';
import { BagLook } from '../../ui/BagLook';
import { Button } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { useTypedRow } from '../../ui/useTypedRow';
import { TableDrawing } from './TableDrawing';
import { called, ofQuality } from '../../ui/quality';

type Row = Schemas['PackingRow'];
type Packing = Schemas['PackingView'];

/** What goes along: how many of each, in which box, packed or not; change to bring, and the table. */
export function PackingPart({ fairId }: { fairId: number }) {
  const { data, error } = usePacking(fairId);
  const propose = useSend(() => api.put<Packing>(`/api/fairs/${fairId}/packing/proposed`, {}));
  const packBox = useSend((form: Schemas['PackedBoxForm']) =>
    api.put<Packing>(`/api/fairs/${fairId}/packing/packed-box`, form),
  );
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  const going = data.rows.filter((row) => row.units > 0);
  const others = data.rows.filter((row) => row.units === 0);
  return (
    <div className="grid items-start gap-4 xl:grid-cols-[1fr_340px]">
      <section className="sheet overflow-x-auto rounded-tl-none px-4 py-3" aria-label="Packing list">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h2>
            {data.fair}: {data.packedUnits} of {data.units} bags packed
          </h2>
          <div className="flex gap-2 print:hidden">
            <Button look="quiet" onClick={() => window.print()} disabled={going.length === 0}>
              Print the list
            </Button>
            <Button
              onClick={() => propose.mutate(undefined)}
              disabled={propose.isPending || data.rows.length === 0}
            >
              Take what is proposed
            </Button>
          </div>
        </div>
        {data.boxes.length > 1 && (
          <ul className="flex flex-wrap gap-x-6 text-soft">
            {data.boxes.map((box) => (
              <li key={box.box}>
                <label className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={box.packed === box.rows}
                    disabled={packBox.isPending}
                    onChange={(event) => packBox.mutate({ box: box.box, packed: event.target.checked })}
                  />
                  {box.box || 'no box'}: {box.packed} of {box.rows} packed, {box.units} bags
                </label>
              </li>
            ))}
          </ul>
        )}
        {propose.problem && <ProblemNotice problem={propose.problem} />}
        <ProblemNotice problem={packBox.problem} />
        {data.rows.length === 0 && (
          <p className="text-soft">No finished bags yet. They come from finished batches.</p>
        )}
        {data.rows.length > 0 && (
          <table className="listing mt-1">
            <thead>
              <tr>
                <th>Packed</th>
                <th>Bag</th>
                <th className="num">In stock</th>
                <th className="num">Take</th>
                <th>Box</th>
                <th className="num">Price there</th>
              </tr>
            </thead>
            <tbody>
              {/* One list, so that a row that is put on it, or taken off, keeps what is being typed in it. */}
              {[
                ...going.map((row) => <PackingLine key={row.bag.key} fairId={fairId} row={row} />),
                others.length > 0 && going.length > 0 && (
                  <tr key="not on the list" className="print:hidden">
                    <td colSpan={6} className="pt-3 font-bold text-soft">
                      Not on the list
                    </td>
                  </tr>
                ),
                ...others.map((row) => <PackingLine key={row.bag.key} fairId={fairId} row={row} />),
              ]}
            </tbody>
          </table>
        )}
      </section>
      <div className="space-y-4">
        {data.table && <TableDrawing table={data.table} rows={data.rows} />}
        {!data.table && (
          <section className="sheet p-4 print:hidden">
            <h2>The table</h2>
            <p className="text-soft">
              Type how large the table is, under Plan, and what fits on it is drawn to scale.
            </p>
          </section>
        )}
        <section className="sheet p-4" aria-label="Change to bring">
          <h2>Change to bring</h2>
          {data.change.coins.length === 0 ? (
            <p className="text-soft">Once bags with prices are on the list.</p>
          ) : (
            <>
              <table className="listing">
                <tbody>
                  {data.change.coins.map(({ coin, count }) => (
                    <tr key={coin.minor}>
                      <td className="num">{count} ×</td>
                      <td className="num">{coin.amount}</td>
                    </tr>
                  ))}
                  <tr className="font-bold">
                    <td>together</td>
                    <td className="num">{data.change.together.amount}</td>
                  </tr>
                </tbody>
              </table>
              <p className="mt-1 text-[13px] text-soft">
                For the first {data.change.buyers === 1 ? 'buyer' : `${data.change.buyers} buyers`}, of whom
                every third comes with a larger note.
              </p>
            </>
          )}
        </section>
        {data.coming.length > 0 && (
          <section className="sheet p-4 print:hidden" aria-label="Still to come">
            <h2>Still to come</h2>
            <ul>
              {data.coming.map((batch) => (
                <li key={batch.batchId} className="border-b border-line-faint py-1.5">
                  <Link className="font-semibold text-woad hover:underline" to={`/batches/${batch.batchId}`}>
                    {batch.units} × {batch.name}
                  </Link>
                  <span className="text-soft">, due {day(batch.dueOn)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        <p className="px-1 print:hidden">
          <Link className="font-semibold text-woad hover:underline" to="/prices/tickets">
            Price tickets for all that goes
          </Link>
        </p>
      </div>
    </div>
  );
}

function PackingLine({ fairId, row }: { fairId: number; row: Row }) {
  const client = useQueryClient();
  const line = useTypedRow(
    { units: row.units === 0 ? '' : String(row.units), box: row.box, ownPrice: row.ownPrice },
    (typed) => api.put<Packing>(`/api/fairs/${fairId}/packing`, { kind: row.bag.key, ...typed }),
    {
      isReady: ({ units }) => units !== '' || row.units > 0,
      then: (packing) => client.setQueryData([...keys.fairs, fairId, 'packing'], packing),
    },
  );
  const pack = useSend(() =>
    api.put<Packing>(`/api/fairs/${fairId}/packing/packed`, { kind: row.bag.key, packed: !row.packed }),
  );
  const problem = line.problem ?? pack.problem;
  const hints = [
    line.isUnready && 'Type how many to take, and the bag goes on the list.',
    row.units === 0 && row.proposed > 0 && `${row.proposed} proposed. ${row.reason}`,
    row.bag.quality === 'SECOND' &&
      row.price &&
      row.ownPrice === '' &&
      'A second is asked like a good one until you type its price.',
  ].filter(Boolean);
  const name = called(row.bag);
  const field = (
    label: string,
    which: keyof typeof line.shown,
    more: { wide: string; numeric?: boolean; placeholder?: string },
  ) => (
    <input
      className={`field ${more.wide} ${more.numeric ? 'text-right' : ''}`}
      aria-label={`${label}, ${name}`}
      aria-invalid={!!problem?.on(which)}
      inputMode={more.numeric ? 'decimal' : undefined}
      placeholder={more.placeholder}
      value={line.shown[which]}
      onChange={(event) => line.type(which, event.target.value)}
      onBlur={line.leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') line.leave();
      }}
    />
  );
  return (
    <>
      <tr className={row.units === 0 ? 'print:hidden' : ''}>
        <td>
          <input
            type="checkbox"
            className="size-6"
            aria-label={`Packed: ${name}`}
            checked={row.packed}
            disabled={row.units === 0 || pack.isPending}
            onChange={() => pack.mutate(undefined)}
          />
        </td>
        <td>
          <span className="flex items-center gap-3">
            <span className="w-[52px] shrink-0 print:hidden">
              <BagLook picture={row.bag.picture} photo={row.bag.photo} across={52} up={40} />
            </span>
            <span>
              <b>
                {row.bag.design}
                {row.bag.size && `, ${row.bag.size}`}
              </b>
              <span className="block text-[13px] text-soft">
                {row.bag.cloth}
                {ofQuality(row.bag.quality)}
              </span>
            </span>
          </span>
        </td>
        <td className="num">
          {row.elsewhere + row.atStall}
          {row.atStall > 0 && (
            <span className="block text-[13px] whitespace-nowrap text-soft">{row.atStall} in the box</span>
          )}
        </td>
        <td className="num">
          {field('Take', 'units', {
            wide: '!w-[74px]',
            numeric: true,
            placeholder: String(row.proposed),
          })}
        </td>
        <td>{field('Box', 'box', { wide: '!w-[92px]' })}</td>
        <td className="num">
          {field('Price', 'ownPrice', {
            wide: '!w-[92px]',
            numeric: true,
            placeholder: row.price?.amount ?? 'none yet',
          })}
        </td>
      </tr>
      {(problem || hints.length > 0) && (
        <tr className="print:hidden">
          <td className="!border-0 !pt-0" />
          <td colSpan={5} className="!border-0 !pt-0 text-[13px] text-soft">
            {problem ? (
              <span className="text-madder" role="alert">
                {problem.message}
              </span>
            ) : (
              hints.join(' ')
            )}
          </td>
        </tr>
      )}
    </>
  );
}
